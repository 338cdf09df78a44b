import { DEFAULT_SETTINGS, SettingsDto, type VersionedSettings } from '@trug/contract';
import { Router } from 'express';
import type { Transaction } from 'sequelize';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import { SettingsModel } from './settings.model.js';

/** Settings are one row. */
const ROW_ID = 1;

async function current(transaction: Transaction | null): Promise<VersionedSettings> {
  const row = await SettingsModel.findByPk(ROW_ID, { transaction });
  if (!row) return DEFAULT_SETTINGS;
  return readBody(SettingsDto, { ...DEFAULT_SETTINGS, ...(JSON.parse(row.choices) as object), version: row.version });
}

/**
 * `GET /` gives the maker's choices, `PUT /` changes them unless another window changed them first.
 *
 * @param write - the write queue
 * @returns the router
 */
export function createSettingsRouter(write: Write): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await current(null));
  });
  router.put('/', async (request, response) => {
    const { version, ...choices } = readBody(SettingsDto, request.body);
    const saved = await write(async (transaction) => {
      const there = await current(transaction);
      if (there.version !== version) {
        throw new HttpError('conflict', 'Another window changed the settings in the meantime. Look at both and choose.', { current: there });
      }
      await SettingsModel.upsert({ id: ROW_ID, version: version + 1, choices: JSON.stringify(choices) }, { transaction });
      return { ...choices, version: version + 1 };
    });
    response.json(saved);
  });
  return router;
}
