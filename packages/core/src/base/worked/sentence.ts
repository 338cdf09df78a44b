/** With a capital letter, as what begins a line. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A reason or a list of them as a sentence of its own. */
export const asSentence = (reason: string): string => `${capital(reason)}.`;
