import type { Problem } from '@trug/contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { HttpError, STATUS_BY_CODE, type HttpErrorCode } from './http-error.js';

const TITLES: Readonly<Record<HttpErrorCode | 'failed', string>> = {
  'bad-request': 'Something in it cannot be read',
  'not-found': 'There is nothing here',
  conflict: 'Something else was quicker',
  'too-large': 'That is too much at once',
  'not-allowed': 'That cannot be filed',
  'too-many': 'That came too fast',
  failed: 'Something went wrong here',
};

function asHttpError(error: unknown): HttpError | null {
  if (error instanceof HttpError) return error;
  if (!(error instanceof Error)) return null;
  const type = 'type' in error ? error.type : undefined;
  if (type === 'entity.parse.failed') return new HttpError('bad-request', 'the body is not JSON');
  if (type === 'entity.too.large') return new HttpError('too-large', 'the body is larger than 1 MB');
  if (type === 'charset.unsupported' || type === 'encoding.unsupported') return new HttpError('bad-request', 'the body is in an unknown encoding');
  return null;
}

/** Anything not routed. */
export const notFound: RequestHandler = (request) => {
  throw new HttpError('not-found', `there is no ${request.method} ${request.path}`);
};

/**
 * The one way out for errors: a problem document, with no details of faults.
 *
 * @param log - where faults are written
 * @returns the last handler of the app
 */
export function createProblemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = asHttpError(error);
    if (!known) log.error({ err: error }, 'request failed');
    const status = known ? STATUS_BY_CODE[known.code] : 500;
    const code = known?.code ?? 'failed';
    const problem: Problem & { readonly current?: unknown } = {
      type: 'about:blank',
      title: TITLES[code],
      status,
      detail: known?.message ?? 'Trug has noted it in its log. Nothing you sent was stored.',
      code,
      ...(known?.facts.fields ? { fields: known.facts.fields } : {}),
      ...(known?.facts.current === undefined ? {} : { current: known.facts.current }),
    };
    response.status(status).type('application/problem+json').send(JSON.stringify(problem));
  };
}
