import type { Sequelize } from 'sequelize';
import { BatchModel, initBatchModel } from '../batches/batch.model.js';
import { initCardModels } from '../cards/card.models.js';
import { initDeviceReadingModel } from '../devices/device-reading.model.js';
import { EntryModel, initEntryModel } from '../entries/entry.model.js';
import { initSettingsModel } from '../settings/settings.model.js';
import { initSummaryModels } from '../summaries/summary.models.js';
import { initVesselModel } from '../vessels/vessel.model.js';

/**
 * Binds every model to a connection and ties them together.
 *
 * @param sequelize - the connection
 */
export function initModels(sequelize: Sequelize): void {
  initBatchModel(sequelize);
  initEntryModel(sequelize);
  initVesselModel(sequelize);
  initSettingsModel(sequelize);
  initCardModels(sequelize);
  initDeviceReadingModel(sequelize);
  initSummaryModels(sequelize);
  BatchModel.hasMany(EntryModel, { foreignKey: 'batchId' });
  EntryModel.belongsTo(BatchModel, { foreignKey: 'batchId' });
}
