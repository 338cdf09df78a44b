import { NewBatchDto, type BatchDto } from '@trug/contract';
import { Router } from 'express';
import type { BatchService } from '../batches/batch.service.js';
import { readEntries } from '../entries/entry.service.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';

/** Most vessels one pour may begin batches in. */
const MOST_BATCHES = 12;

function readBatches(body: unknown): readonly NewBatchDto[] {
  const list = typeof body === 'object' && body !== null && 'batches' in body ? body.batches : undefined;
  if (!Array.isArray(list) || list.length > MOST_BATCHES) {
    throw new HttpError('bad-request', `batches must be a list of up to ${MOST_BATCHES}`);
  }
  return list.map((plain: unknown) => readBody(NewBatchDto, plain));
}

/**
 * `POST /` files entries on several batches at once, and begins batches with them: a pour from the blend bench, a
 * split, a trial, a jar topped up from another. All of it is filed or none.
 *
 * @param batches - the use cases of batches
 * @returns the router
 */
export function createFamilyRouter(batches: BatchService): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const { family, created } = await batches.beginFamily(readBatches(request.body), readEntries(request.body));
    const answer: { readonly batches: readonly BatchDto[] } = { batches: family };
    response.status(created ? 201 : 200).json(answer);
  });
  return router;
}
