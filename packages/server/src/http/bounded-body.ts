import { oversizedShape, SHAPE_LIMITS } from '@trug/contract';
import { json, type RequestHandler } from 'express';
import { HttpError } from './http-error.js';

const BODY_LIMIT = '1mb';
const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);

/** The type by which the one way out for errors knows a body of an unreasonable shape. */
export const SHAPE_REFUSED = 'trug.shape';

/**
 * Looks at the bytes of a JSON body before it is parsed: taking apart what is nested without end costs more memory than
 * any answer is worth.
 *
 * @param body - as it came in
 * @returns whether its shape is worth parsing
 */
export function isReasonable(body: Uint8Array): boolean {
  let [depth, items, inText] = [0, 0, false];
  for (let i = 0; i < body.length; i += 1) {
    const byte = body[i] ?? 0;
    if (inText) {
      if (byte === BACKSLASH) i += 1;
      else if (byte === QUOTE) inText = false;
    } else if (byte === QUOTE) inText = true;
    else if (byte === COMMA) items += 1;
    else if (OPENING.has(byte)) depth += 1;
    else if (CLOSING.has(byte)) depth -= 1;
    if (depth > SHAPE_LIMITS.depth || items > SHAPE_LIMITS.values) return false;
  }
  return true;
}

function verify(_request: unknown, _response: unknown, body: Buffer): void {
  if (!isReasonable(body)) throw Object.assign(new Error('unreasonable shape'), { type: SHAPE_REFUSED });
}

/**
 * Reads JSON bodies up to their limits of size and shape, so that no request costs more than it is worth.
 *
 * @returns the handlers, in order
 */
export function boundedJson(): readonly RequestHandler[] {
  const checkShape: RequestHandler = (request, _response, next) => {
    const oversized = request.body === undefined ? null : oversizedShape(request.body);
    if (oversized) throw new HttpError('bad-request', `The request has an unreasonable shape: ${oversized.message}.`, { fields: [oversized] });
    next();
  };
  return [json({ limit: BODY_LIMIT, verify }), checkShape];
}
