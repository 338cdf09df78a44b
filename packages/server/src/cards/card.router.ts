import { Router } from 'express';
import type { Card, CardStore } from './card.store.js';

/**
 * `GET /` lists cards, `POST /` files one, `PUT /:id` changes one on the version it was read at.
 *
 * @param store - the cards
 * @returns the router
 */
export function createCardRouter<T extends Card>(store: CardStore<T>): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });
  router.post('/', async (request, response) => {
    const { card, created } = await store.add(request.body);
    response.status(created ? 201 : 200).json(card);
  });
  router.put('/:id', async (request, response) => {
    response.json(await store.change(request.params.id, request.body));
  });
  return router;
}
