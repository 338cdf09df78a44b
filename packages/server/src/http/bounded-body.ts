import { oversizedShape } from '@trug/contract';
import { json, type RequestHandler } from 'express';
import { HttpError } from './http-error.js';

const BODY_LIMIT = '1mb';

/**
 * Reads JSON bodies up to their limits of size and shape, so that no request costs more than it is worth.
 *
 * @returns the handlers, in order
 */
export function boundedJson(): readonly RequestHandler[] {
  const checkShape: RequestHandler = (request, _response, next) => {
    const oversized = request.body === undefined ? null : oversizedShape(request.body);
    if (oversized) throw new HttpError('bad-request', `The request is ${oversized.message}.`, { fields: [oversized] });
    next();
  };
  return [json({ limit: BODY_LIMIT }), checkShape];
}
