import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as createBatches from './0001-create-batches.js';
import * as createVesselsAndSettings from './0002-create-vessels-and-settings.js';
import * as createJuicesAndSupplies from './0003-create-juices-and-supplies.js';
import * as createInstruments from './0004-create-instruments-and-device-readings.js';
import * as createPlaces from './0005-create-places-and-cleanings.js';
import * as markMadeUp from './0006-mark-made-up-readings.js';

/** Every step, in order. A landed step is never edited. */
const STEPS = [createBatches, createVesselsAndSettings, createJuicesAndSupplies, createInstruments, createPlaces, markMadeUp] as const;

/**
 * The runner of migrations, each in a transaction of its own.
 *
 * @param sequelize - the connection
 * @returns umzug, with `up()` and `down()`
 */
export function createMigrator(sequelize: Sequelize): Umzug<Sequelize> {
  return new Umzug({
    context: sequelize,
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
    migrations: STEPS.map((step) => ({
      name: step.name,
      up: () => sequelize.transaction((transaction) => step.up(sequelize.getQueryInterface(), transaction)),
      down: () => sequelize.transaction((transaction) => step.down(sequelize.getQueryInterface(), transaction)),
    })),
  });
}
