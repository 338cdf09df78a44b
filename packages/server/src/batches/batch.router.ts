import { Router } from 'express';
import { sendKept } from '../http/kept-answer.js';
import type { BatchService } from './batch.service.js';

const MOST_IDS = 200;

/** Ids parted by commas; null when none are named. */
const idsIn = (ids: unknown): readonly string[] | null => (typeof ids === 'string' ? ids.split(',').slice(0, MOST_IDS) : null);

/**
 * `GET /` lists batches with their summaries, `GET /?ids=` some of them, `GET /?with=logs` all or some with their logs, `GET /:id` gives one, `POST /` files
 * entries on several batches at once, and begins batches with them: a first filling, a pour from the blend bench, a split, a trial, a jar
 * topped up from another. All of it is filed or none.
 *
 * @param service - the use cases of batches
 * @returns the router
 */
export function createBatchRouter(service: BatchService): Router {
  const router = Router();
  const whole = sendKept(service.wholeAsJson);
  router.get('/', async (request, response, next) => {
    const ids = idsIn(request.query['ids']);
    if (request.query['with'] === 'logs') response.json(await service.listWithLogs(ids));
    else if (ids === null) await whole(request, response, next);
    else response.type('json').send(await service.listAsJson(ids));
  });
  router.get('/:id', async (request, response) => {
    response.json(await service.get(request.params.id));
  });
  router.post('/', async (request, response) => {
    const { batches, created } = await service.begin(request.body);
    response.status(created ? 201 : 200).json({ batches });
  });
  return router;
}
