/** A level of fizz in words. */
export interface FizzLevel {
  readonly id: 'prickle' | 'gentle' | 'lively' | 'brisk';
  readonly name: string;
  readonly volumes: number;
  readonly like: string;
}

/** @source our estimate of what drinkers call each level */
export const FIZZ_LEVELS: readonly [FizzLevel, ...FizzLevel[]] = [
  { id: 'prickle', name: 'A prickle', volumes: 1.5, like: 'just felt on the tongue' },
  { id: 'gentle', name: 'Gentle', volumes: 2.0, like: 'soft, settles in the glass' },
  { id: 'lively', name: 'Lively', volumes: 2.6, like: 'a steady stream of bubbles' },
  { id: 'brisk', name: 'Brisk', volumes: 3.0, like: 'foams when poured; strong bottles only' },
];

/**
 * The word for an amount of fizz: the nearest level.
 *
 * @param volumes - CO₂, volumes
 * @returns such as `lively`
 */
export function fizzWord(volumes: number): string {
  if (volumes < 1.2) return 'still';
  const nearest = FIZZ_LEVELS.reduce((best, level) => (Math.abs(level.volumes - volumes) < Math.abs(best.volumes - volumes) ? level : best));
  return nearest.name.toLowerCase().replace(/^a /, '');
}
