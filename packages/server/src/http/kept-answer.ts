import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';

/** What an answer that is kept is made of. */
export interface KeptAnswerDeps {
  /** What the answer was made of, so that it is made anew once that has changed; cheap to ask. */
  readonly madeOf: () => Promise<string>;
  /** Makes the answer, as JSON text. */
  readonly make: () => Promise<string>;
}

/** A long answer as it is now: JSON, and a tag that changes whenever it does. */
export type KeptAnswer = () => Promise<{ readonly tag: string; readonly json: Buffer }>;

/**
 * A long answer that is kept ready to send until what it was made of changes: every window asks for it when it opens.
 *
 * @param deps - what it is made of and how
 * @returns the answer, made anew only where it must be
 */
export function keptAnswer({ madeOf, make }: KeptAnswerDeps): KeptAnswer {
  // Another book, or another run, may have come as far by other ways.
  const own = randomUUID();
  let kept: { readonly of: string; readonly json: Promise<Buffer> } | null = null;
  const jsonOf = (of: string): Promise<Buffer> => {
    if (kept?.of === of) return kept.json;
    const made = { of, json: make().then((text) => Buffer.from(text)) };
    kept = made;
    // What failed once is tried again at the next asking.
    made.json.catch(() => {
      if (kept === made) kept = null;
    });
    return made.json;
  };
  return async () => {
    const of = await madeOf();
    return { tag: `"${own}.${of}"`, json: await jsonOf(of) };
  };
}

/** Sends a kept answer. A browser that has it already is told so and sent nothing. */
export const sendKept =
  (kept: KeptAnswer): RequestHandler =>
  async (_request, response) => {
    const { tag, json } = await kept();
    response.setHeader('ETag', tag).setHeader('Cache-Control', 'no-cache');
    response.type('json').send(json);
  };
