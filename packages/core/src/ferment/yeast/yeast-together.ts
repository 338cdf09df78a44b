import { usualToleranceAbv, yeastById } from '../../base/reference/yeast-kinds.js';

/**
 * Whether two kinds of yeast live together, when mixed or when one restarts the other.
 *
 * @param first - the kind that is there, or goes in first
 * @param second - the kind that joins it
 * @returns a sentence, and whether one kills the other
 * @throws {CoreError} UNKNOWN_ID
 * @source killer and sensitive kinds of the yeast library
 */
export function yeastTogether(first: string, second: string): { readonly kills: boolean; readonly text: string } {
  const [a, b] = [yeastById(first), yeastById(second)];
  if (a.id === b.id) return { kills: false, text: 'They are the same kind.' };
  const killer = [a, b].find((k) => k.killer === 'killer');
  const victim = [a, b].find((k) => k.killer === 'sensitive');
  if (killer && victim) return { kills: true, text: `${killer.name} kills ${victim.name}. Only the first will be left, so pitch that alone.` };
  if ([a, b].some((k) => k.killer === 'unknown'))
    return { kills: false, text: 'Nobody can say which of these will win. The one with more live cells usually does.' };
  return { kills: false, text: 'They can live together; the quicker one will do most of the work.' };
}

/**
 * Which of two kinds pitched together ends up doing the work: a killer that meets a sensitive kind, or else the one
 * that stands more alcohol, since it is there at the end.
 *
 * @param first - one kind
 * @param second - the other
 * @returns its id
 * @throws {CoreError} UNKNOWN_ID
 * @source killer and sensitive kinds of the yeast library; the rest is our estimate
 */
export function leadingYeast(first: string, second: string): string {
  const [a, b] = [yeastById(first), yeastById(second)];
  if (yeastTogether(first, second).kills) return a.killer === 'killer' ? a.id : b.id;
  return usualToleranceAbv(b) > usualToleranceAbv(a) ? b.id : a.id;
}
