import { Router } from 'express';
import type { Resource, ResourceStore } from './resource.store.js';

/**
 * `GET /` lists resources, `POST /` files one, `PUT /:id` changes one on the version it was read at,
 * `DELETE /:id?version=` takes one away that nothing tells of.
 *
 * @param store - the resources
 * @returns the router
 */
export function createResourceRouter<T extends Resource>(store: ResourceStore<T>): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });
  router.post('/', async (request, response) => {
    const { resource, created } = await store.add(request.body);
    response.status(created ? 201 : 200).json(resource);
  });
  router.put('/:id', async (request, response) => {
    response.json(await store.change(request.params.id, request.body));
  });
  router.delete('/:id', async (request, response) => {
    await store.remove(request.params.id, Number(request.query['version']));
    response.status(204).end();
  });
  return router;
}
