/** Kinds of vessel that are as wide at the top as below: a hand and a bag of fruit go in, and so does the air. */
export const WIDE_OPEN: ReadonlySet<string> = new Set(['bucket']);
