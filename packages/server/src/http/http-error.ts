import type { ProblemField } from '@trug/contract';

/** Codes a refusal may carry, with their HTTP status: the one table of the server. */
export const STATUS_BY_CODE = {
  'bad-request': 400,
  'not-yours': 403,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  'not-allowed': 422,
  'too-many': 429,
  /** The book is damaged or not there: it can be looked at, or not even that. */
  'read-only': 503,
  closed: 503,
  /** The disk does not do its part. */
  'no-room': 507,
  'no-disk': 503,
} as const;

/** A refusal's code. */
export type HttpErrorCode = keyof typeof STATUS_BY_CODE;

/** A refusal that the client is told about. */
export class HttpError extends Error {
  override readonly name = 'HttpError';

  constructor(
    readonly code: HttpErrorCode,
    message: string,
    readonly facts: { readonly fields?: readonly ProblemField[]; readonly current?: unknown } = {},
  ) {
    super(message);
  }
}
