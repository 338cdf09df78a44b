import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry } from '../entry/entry.js';
import type { Called } from '../kinds/renamed.js';

/**
 * What a log says that its batch is called.
 *
 * @param log - every entry, in the order filed
 * @returns the last name that stands; the first one where all others were struck out, and null where it was never called otherwise
 */
export function calledBy(log: readonly Entry[]): Called | null {
  const last = effectiveEntries(log).entries.findLast((entry) => entry.kind === 'renamed');
  if (last?.kind === 'renamed') return { name: last.payload.name, tape: last.payload.tape };
  const first = log.find((entry) => entry.kind === 'renamed');
  return first?.kind === 'renamed' ? first.payload.was : null;
}
