import type { ProblemField } from '@trug/contract';

/** Codes a refusal may carry, with their HTTP status: the one table of the server. */
export const STATUS_BY_CODE = {
  'bad-request': 400,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  'not-allowed': 422,
  'too-many': 429,
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
