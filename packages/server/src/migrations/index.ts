import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import * as createBatches from './0001-create-batches.js';
import * as createVesselsAndSettings from './0002-create-vessels-and-settings.js';
import * as createJuicesAndSupplies from './0003-create-juices-and-supplies.js';
import * as createInstruments from './0004-create-instruments-and-device-readings.js';
import * as createPlaces from './0005-create-places-and-cleanings.js';
import * as markMadeUp from './0006-mark-made-up-readings.js';
import * as orderAndCheckEntries from './0007-order-and-check-entries.js';
import * as keepSummaries from './0008-keep-summaries.js';
import * as retireVessels from './0009-retire-vessels.js';
import * as createRecipes from './0010-create-recipes.js';

/** Every step, in order. A landed step is never edited. */
const STEPS = [
  createBatches,
  createVesselsAndSettings,
  createJuicesAndSupplies,
  createInstruments,
  createPlaces,
  markMadeUp,
  orderAndCheckEntries,
  keepSummaries,
  retireVessels,
  createRecipes,
] as const;

/** Names of the steps this Trug knows, in order. */
export const STEP_NAMES: readonly string[] = STEPS.map((step) => step.name);

/** Where the steps that were taken are marked. */
export const MARKS_TABLE = 'sequelize_meta';

/** The marks of steps are written by the steps themselves, in their own transaction: this only reads them. */
function marksOf(sequelize: Sequelize): UmzugStorage {
  return {
    executed: async () => {
      await sequelize.query(`CREATE TABLE IF NOT EXISTS ${MARKS_TABLE} (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)`);
      const rows = await sequelize.query<{ name: string }>(`SELECT name FROM ${MARKS_TABLE} ORDER BY name`, { type: QueryTypes.SELECT });
      return rows.map((row) => row.name);
    },
    logMigration: () => Promise.resolve(),
    unlogMigration: () => Promise.resolve(),
  };
}

/**
 * The runner of migrations. Each step and its mark are one transaction, so that a kill at any moment leaves either both
 * or neither, and the next start goes on where this one stopped.
 *
 * @param sequelize - the connection
 * @returns umzug, with `up()` and `down()`
 */
export function createMigrator(sequelize: Sequelize): Umzug<Sequelize> {
  const marked = (sql: string, work: (transaction: Transaction) => Promise<void>, name: string): Promise<void> =>
    sequelize.transaction(async (transaction) => {
      await work(transaction);
      await sequelize.query(sql, { replacements: [name], transaction });
    });
  return new Umzug({
    context: sequelize,
    storage: marksOf(sequelize),
    logger: undefined,
    migrations: STEPS.map((step) => ({
      name: step.name,
      up: () => marked(`INSERT INTO ${MARKS_TABLE} (name) VALUES (?)`, (t) => step.up(sequelize.getQueryInterface(), t), step.name),
      down: () => marked(`DELETE FROM ${MARKS_TABLE} WHERE name = ?`, (t) => step.down(sequelize.getQueryInterface(), t), step.name),
    })),
  });
}
