import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { connect } from './connect.js';
import { createWriteQueue } from './write-queue.js';

const dataDir = mkdtempSync(join(tmpdir(), 'trug-queue-'));
const sequelize = connect({ file: join(dataDir, 'trug.sqlite') });
const { write } = createWriteQueue(sequelize);
beforeAll(() => sequelize.query('CREATE TABLE marks (n INTEGER PRIMARY KEY)'));
afterAll(async () => {
  await sequelize.close();
  rmSync(dataDir, { recursive: true, force: true });
});

const pragma = async (name: string): Promise<unknown> =>
  Object.values((await sequelize.query<Record<string, unknown>>(`PRAGMA ${name}`, { type: QueryTypes.SELECT }))[0] ?? {})[0];
const marks = async (): Promise<number[]> =>
  (await sequelize.query<{ n: number }>('SELECT n FROM marks ORDER BY n', { type: QueryTypes.SELECT })).map((r) => r.n);

it('keeps every connection durable', async () => {
  // 2 is FULL.
  expect([await pragma('journal_mode'), await pragma('synchronous'), await pragma('foreign_keys'), await pragma('busy_timeout')]).toEqual(['wal', 2, 1, 5000]);
  const within = await write(async (transaction) =>
    Object.values((await sequelize.query<Record<string, unknown>>('PRAGMA synchronous', { type: QueryTypes.SELECT, transaction }))[0] ?? {}),
  );
  expect(within).toEqual([2]);
});

it('takes turns, and a write that fails leaves nothing behind and holds nobody up', async () => {
  const add = (n: number): Promise<unknown> => write((transaction) => sequelize.query(`INSERT INTO marks VALUES (${n})`, { transaction }));
  const failing = write(async (transaction) => {
    await sequelize.query('INSERT INTO marks VALUES (99)', { transaction });
    throw new Error('no');
  });
  const outcomes = await Promise.allSettled([add(1), failing, add(2), add(1), add(3)]);
  expect(outcomes.map((o) => o.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'rejected', 'fulfilled']);
  expect(await marks()).toEqual([1, 2, 3]);
});
