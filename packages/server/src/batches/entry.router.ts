import { Router } from 'express';
import type { EntryService } from './entry.service.js';

/**
 * `POST /` files entries, all or none; a repeated send changes nothing.
 *
 * @param service - the log's use cases
 * @returns the router
 */
export function createEntryRouter(service: EntryService): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const filed = await service.file(request.body);
    response.status(filed.added > 0 ? 201 : 200).json(filed);
  });
  return router;
}
