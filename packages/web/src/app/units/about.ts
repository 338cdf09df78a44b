/** A figure in words, which says so where nobody measured it. */
export const about = (text: string, isGuessed: boolean): string => (isGuessed ? `about ${text}` : text);
