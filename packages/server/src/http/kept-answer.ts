import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';

/** What an answer that is kept is made of. */
export interface KeptAnswerDeps {
  /** What the answer was made of, so that it is made anew once that has changed; cheap to ask. */
  readonly madeOf: () => Promise<string>;
  /** Makes the answer, as JSON text. */
  readonly make: () => Promise<string>;
}

/**
 * A long answer that is kept ready to send until what it was made of changes: every window asks for it when it opens. A browser that has it
 * already is told so and sent nothing.
 *
 * @param deps - what it is made of and how
 * @returns the handler
 */
export function keptAnswer({ madeOf, make }: KeptAnswerDeps): RequestHandler {
  // Another book, or another run, may have come as far by other ways.
  const own = randomUUID();
  let kept: { readonly of: string; readonly bytes: Promise<Buffer> } | null = null;
  const bytesOf = (of: string): Promise<Buffer> => {
    if (kept?.of === of) return kept.bytes;
    const made = { of, bytes: make().then((text) => Buffer.from(text)) };
    kept = made;
    // What failed once is tried again at the next asking.
    made.bytes.catch(() => {
      if (kept === made) kept = null;
    });
    return made.bytes;
  };
  return async (_request, response) => {
    const of = await madeOf();
    response.setHeader('ETag', `"${own}.${of}"`).setHeader('Cache-Control', 'no-cache');
    response.type('json').send(await bytesOf(of));
  };
}
