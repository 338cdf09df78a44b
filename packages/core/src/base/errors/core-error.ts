/** What can be wrong with an input to the core. */
export type CoreErrorCode = 'OUT_OF_RANGE' | 'NOT_CONVERGED' | 'UNREACHABLE' | 'UNKNOWN_ID' | 'UNREADABLE' | 'NOT_ALLOWED';

/** Facts about a refusal, by name; numbers carry their unit in the name. */
export type Details = Readonly<Record<string, string | number | boolean | null>>;

/** The one error the core throws: a code for programs, a sentence for logs and the facts for whoever words it. */
export class CoreError extends Error {
  override readonly name = 'CoreError';

  constructor(
    readonly code: CoreErrorCode,
    message: string,
    readonly details: Details = {},
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}
