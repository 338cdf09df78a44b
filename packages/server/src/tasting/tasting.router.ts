import { TastingDto } from '@trug/contract';
import { Router } from 'express';
import { readBody } from '../http/read-body.js';
import type { TastingDoor } from './tasting-door.js';

/**
 * `POST /` opens a tasting to phones in the house and says where, `GET /` says who named which glass, null while it is shut, `DELETE /` shuts the door.
 *
 * @param door - the door
 * @returns the router
 */
export function createTastingRouter(door: TastingDoor): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    response.json(await door.open(readBody(TastingDto, request.body)));
  });
  router.get('/', (_request, response) => {
    response.json(door.now());
  });
  router.delete('/', async (_request, response) => {
    await door.shut();
    response.status(204).end();
  });
  return router;
}
