import { isDeepStrictEqual } from 'node:util';
import { SettingsDto } from '@trug/contract';
import { Router } from 'express';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import { settingsInForce, storeSettings } from './settings.store.js';

/**
 * `GET /` gives the maker's choices, `PUT /` changes them unless another window changed them first.
 *
 * @param write - the write queue
 * @returns the router
 */
export function createSettingsRouter(write: Write): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await settingsInForce(null));
  });
  router.put('/', async (request, response) => {
    const { version, ...choices } = readBody(SettingsDto, request.body);
    const saved = await write(async (transaction) => {
      const there = await settingsInForce(transaction);
      const { version: stored, ...standing } = there;
      // Sent again after an answer that was lost: it is in force already.
      if (stored === version + 1 && isDeepStrictEqual({ ...standing }, { ...choices })) return there;
      if (stored !== version) {
        throw new HttpError('conflict', 'Another window changed the settings in the meantime. Look at both and choose.', { current: there });
      }
      return storeSettings({ ...choices, version: version + 1 }, transaction);
    });
    response.json(saved);
  });
  return router;
}
