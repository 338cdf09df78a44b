import { isDeepStrictEqual } from 'node:util';
import { CleanedDto, CleaningDto, NewVesselDto, VesselChangeDto, type VesselDto, type VesselFactsDto } from '@trug/contract';
import { Router } from 'express';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import { isOverBrim } from './brim.js';
import type { IsTold } from './resource.store.js';
import type { Transaction } from 'sequelize';
import { VesselModel } from './vessel.model.js';

const toDto = ({ id, name, kind, capacityL, cleanedAt, retiredOn }: VesselModel): VesselDto => ({ id, name, kind, capacityL, cleanedAt, retiredOn });

/** Every vessel, by id. */
export const vesselList = async (): Promise<readonly VesselDto[]> => (await VesselModel.findAll({ order: [['id', 'ASC']] })).map(toDto);

const factsOf = ({ name, kind, capacityL, retiredOn }: VesselModel | VesselFactsDto): VesselFactsDto => ({
  name,
  kind,
  capacityL,
  retiredOn: retiredOn ?? null,
});

/**
 * `GET /` lists the maker's vessels, `POST /` adds one, `POST /:id/cleaned` says when one was cleaned,
 * `PUT /:id/cleaned` puts that right, `PUT /:id` changes one or puts it away for good, `DELETE /:id` takes one away that nothing tells of.
 *
 * @param write - the write queue
 * @param isTold - whether a log tells of a vessel
 * @param heldL - how much stands in a vessel, L
 * @returns the router
 */
export function createVesselRouter(write: Write, isTold: IsTold, heldL: (id: string, transaction: Transaction) => Promise<number>): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await vesselList());
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
  router.put('/:id', async (request, response) => {
    const { was, ...changed } = readBody(VesselChangeDto, request.body);
    const row = await write(async (transaction) => {
      const there = await VesselModel.findByPk(request.params.id, { transaction });
      if (!there) throw new HttpError('not-found', `there is no vessel ${request.params.id}`);
      // Sent again after an answer that was lost: it is stored already.
      if (isDeepStrictEqual(factsOf(there), factsOf(changed))) return there;
      if (!isDeepStrictEqual(factsOf(there), factsOf(was))) {
        throw new HttpError('conflict', `Another window changed ${there.name} in the meantime. Look at it again.`, { current: toDto(there) });
      }
      const held = await heldL(there.id, transaction);
      if (held > 0 && changed.retiredOn !== null) throw new HttpError('not-allowed', `Something stands in ${there.name}. Rack it or bottle it first.`);
      if (isOverBrim(held, changed.capacityL)) throw new HttpError('not-allowed', `More stands in ${there.name} than it would hold.`);
      return there.update(factsOf(changed), { transaction });
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
