import type { BatchState } from '@trug/core';

/** A figure in words, which says so where nobody measured it. */
export const about = (text: string, isGuessed: boolean): string => (isGuessed ? `about ${text}` : text);

/** Whether the gravity of a batch is still that of a juice nobody measured, and nothing was read since. */
export const isGravityGuessed = ({ guessed, readings }: Pick<BatchState, 'guessed' | 'readings'>): boolean => guessed.includes('sg') && readings.length === 0;
