import { connect } from '../db/connect.js';
import { initModels } from '../book/init-models.js';
import { createMigrator } from './index.js';

it('migrates up, down and up again, into the tables the models expect', async () => {
  const sequelize = connect({ file: null });
  initModels(sequelize);
  const migrator = createMigrator(sequelize);
  const tables = async (): Promise<string[]> => (await sequelize.getQueryInterface().showAllTables()).filter((t) => t !== 'sequelize_meta').sort();
  await migrator.up();
  const first = await tables();
  await migrator.down({ to: 0 });
  expect(await tables()).toEqual([]);
  await migrator.up();
  expect(await tables()).toEqual(first);
  for (const model of Object.values(sequelize.models)) {
    const columns = await sequelize.getQueryInterface().describeTable(model.getTableName() as string);
    const fields = Object.values(model.getAttributes()).map((a) => a.field ?? '');
    expect(Object.keys(columns).sort()).toEqual(fields.sort());
  }
  await sequelize.close();
});
