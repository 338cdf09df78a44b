import { Router } from 'express';
import { HttpError } from '../http/http-error.js';
import type { SeasonOf, ThrowAwaySeason } from './throw-away-season.js';

/**
 * `POST /` makes a season to look around in and says where it answers; whoever goes away meanwhile stops it.
 * `DELETE /`, asked of that season, throws it away.
 *
 * @param season - the season that can be shown, or what this Trug is the season of; null for neither
 * @returns the router
 */
export function createSeasonRouter(season: ThrowAwaySeason | SeasonOf | null): Router {
  const router = Router();
  router.post('/', async (_request, response) => {
    if (season === null) throw new HttpError('not-allowed', 'This Trug has no season to show.');
    if ('home' in season) throw new HttpError('not-allowed', 'This is the made-up season already.');
    const gone = new AbortController();
    response.once('close', () => {
      gone.abort();
    });
    const url = await season.open(gone.signal).catch((error: unknown) => {
      if (gone.signal.aborted) return null;
      throw error;
    });
    if (url !== null) response.json({ url });
  });
  router.delete('/', async (_request, response) => {
    if (season === null || !('home' in season)) throw new HttpError('not-allowed', 'This is your own cellar, which is not thrown away.');
    await season.takeLeave();
    response.once('finish', season.end);
    response.json({ home: season.home });
  });
  return router;
}
