/** One field that was refused. */
export interface ProblemField {
  /** Dotted path into the request. */
  readonly path: string;
  /** The rule's name, such as `min`. */
  readonly code: string;
  readonly message: string;
  /** The figures of the rule, such as the most it allows. */
  readonly details?: Readonly<Record<string, number>>;
}

/** A refusal in words and facts, as RFC 9457 has it. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: string;
  readonly fields?: readonly ProblemField[];
  /** What is stored under the same name, where something else was quicker. */
  readonly current?: unknown;
}
