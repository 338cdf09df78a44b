import { MOST_FIELDS, type Problem } from '@trug/contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { TROUBLE_WORDS, troubleOf } from '../db/cellar-error.js';
import { SHAPE_REFUSED } from './bounded-body.js';
import { HttpError, STATUS_BY_CODE, type HttpErrorCode } from './http-error.js';

const TITLES: Readonly<Record<HttpErrorCode | 'failed', string>> = {
  'bad-request': 'Something in it cannot be read',
  'not-yours': 'That did not come from Trug’s own page',
  'not-found': 'There is nothing here',
  conflict: 'Something else was quicker',
  'too-large': 'That is too much at once',
  'not-allowed': 'That cannot be filed',
  'too-many': 'That came too fast',
  'read-only': 'Your cellar is damaged',
  closed: 'Your cellar cannot be opened',
  'no-room': 'The disk is full',
  'no-disk': 'The disk does not answer',
  failed: 'Something went wrong here',
};

/** An answer is never longer than this, whatever the question held. */
const LONGEST_DETAIL = 2000;
const LONGEST_ADDRESS = 120;

/** What the parsers of requests refuse, by the type or the status they give. None of their own words are passed on: some name files. */
const REFUSED_TYPES: Readonly<Record<string, readonly [HttpErrorCode, string]>> = {
  'entity.parse.failed': ['bad-request', 'the body is not JSON'],
  'entity.too.large': ['too-large', 'the body is larger than 1 MB'],
  'charset.unsupported': ['bad-request', 'the body is in an unknown encoding'],
  'encoding.unsupported': ['bad-request', 'the body is in an unknown encoding'],
  [SHAPE_REFUSED]: ['bad-request', 'the body is nested too deep or holds too many values'],
};
const REFUSED_STATUSES: Readonly<Record<number, readonly [HttpErrorCode, string]>> = {
  404: ['not-found', 'there is nothing at this address'],
  413: ['too-large', 'that is larger than can be taken in'],
};

function asHttpError(error: unknown, dataDir: string | null): HttpError | null {
  if (error instanceof HttpError) return error;
  if (error instanceof URIError) return new HttpError('bad-request', 'the address cannot be read');
  if (!(error instanceof Error)) return null;
  const type = 'type' in error && typeof error.type === 'string' ? REFUSED_TYPES[error.type] : undefined;
  if (type) return new HttpError(...type);
  const status = 'status' in error && typeof error.status === 'number' ? error.status : 0;
  // What the client got wrong is the client's, whatever library noticed it.
  if (status >= 400 && status < 500) return new HttpError(...(REFUSED_STATUSES[status] ?? (['bad-request', 'the request cannot be read'] as const)));
  const trouble = troubleOf(error, dataDir);
  if (trouble === null) return null;
  return new HttpError(trouble === 'disk-full' ? 'no-room' : 'no-disk', TROUBLE_WORDS[trouble]);
}

/** Anything not routed. */
export const notFound: RequestHandler = (request) => {
  throw new HttpError('not-found', `there is no ${request.method} ${request.path.slice(0, LONGEST_ADDRESS)}`);
};

/** What the handler needs besides the error. */
export interface ProblemHandlerDeps {
  readonly log: Logger;
  readonly dataDir?: string | null;
  /** Told of every fault that was no refusal. */
  readonly noteTrouble?: (error: unknown) => void;
}

/**
 * The one way out for errors: a problem document, with no details of faults.
 *
 * @param deps - where faults are written and who is told of them
 * @returns the last handler of the app
 */
export function createProblemHandler({ log, dataDir = null, noteTrouble = () => undefined }: ProblemHandlerDeps): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    noteTrouble(error);
    const known = asHttpError(error, dataDir);
    if (!known) log.error({ err: error }, 'request failed');
    const status = known ? STATUS_BY_CODE[known.code] : 500;
    const code = known?.code ?? 'failed';
    const problem: Problem = {
      type: 'about:blank',
      title: TITLES[code],
      status,
      detail: (known?.message ?? 'Trug has noted it in its log. Nothing you sent was stored.').slice(0, LONGEST_DETAIL),
      code,
      ...(known?.facts.fields ? { fields: known.facts.fields.slice(0, MOST_FIELDS) } : {}),
      ...(known?.facts.current === undefined ? {} : { current: known.facts.current }),
    };
    response.status(status).type('application/problem+json').send(JSON.stringify(problem));
  };
}
