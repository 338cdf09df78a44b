import { CleanedDto, CleaningDto, NewVesselDto, type VesselDto } from '@trug/contract';
import { Router } from 'express';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import type { IsTold } from './resource.store.js';
import { VesselModel } from './vessel.model.js';

const toDto = ({ id, name, kind, capacityL, cleanedAt }: VesselModel): VesselDto => ({ id, name, kind, capacityL, cleanedAt });

/**
 * `GET /` lists the maker's vessels, `POST /` adds one, `POST /:id/cleaned` says when one was cleaned,
 * `PUT /:id/cleaned` puts that right, `DELETE /:id` takes one away that nothing tells of.
 *
 * @param write - the write queue
 * @param isTold - whether a log tells of a vessel
 * @returns the router
 */
export function createVesselRouter(write: Write, isTold: IsTold): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    const rows = await VesselModel.findAll({ order: [['id', 'ASC']] });
    response.json(rows.map(toDto));
  });
  router.post('/', async (request, response) => {
    const { id, name, kind, capacityL } = readBody(NewVesselDto, request.body);
    const { row, created } = await write(async (transaction) => {
      const there = await VesselModel.findByPk(id, { transaction });
      if (there) return { row: there, created: false };
      return { row: await VesselModel.create({ id, name, kind, capacityL }, { transaction }), created: true };
    });
    if (row.name !== name || row.kind !== kind || row.capacityL !== capacityL) {
      throw new HttpError('conflict', `another vessel is already filed under ${id}`, { current: toDto(row) });
    }
    response.status(created ? 201 : 200).json(toDto(row));
  });
  router.post('/:id/cleaned', async (request, response) => {
    const { at } = readBody(CleanedDto, request.body);
    const row = await write(async (transaction) => {
      const there = await VesselModel.findByPk(request.params.id, { transaction });
      if (!there) throw new HttpError('not-found', `there is no vessel ${request.params.id}`);
      // Said twice, or late from another window: the newest counts.
      return (there.cleanedAt ?? '') >= at ? there : there.update({ cleanedAt: at }, { transaction });
    });
    response.json(toDto(row));
  });
  router.put('/:id/cleaned', async (request, response) => {
    const { at, was } = readBody(CleaningDto, request.body);
    const row = await write(async (transaction) => {
      const there = await VesselModel.findByPk(request.params.id, { transaction });
      if (!there) throw new HttpError('not-found', `there is no vessel ${request.params.id}`);
      // It was cleaned again since, or this was sent twice: what stands stays.
      return (there.cleanedAt ?? null) === was ? there.update({ cleanedAt: at }, { transaction }) : there;
    });
    response.json(toDto(row));
  });
  router.delete('/:id', async (request, response) => {
    await write(async (transaction) => {
      const there = await VesselModel.findByPk(request.params.id, { transaction });
      if (!there) return;
      if (await isTold(there.id, transaction)) throw new HttpError('not-allowed', `${there.name} stands in a log since, so it stays.`);
      await there.destroy({ transaction });
    });
    response.status(204).end();
  });
  return router;
}
