import type { UnitPreferences } from '../../matter/quantity/format-quantity.js';
import type { Entry } from '../entry/entry.js';
import { wordsOf } from '../entry/entry-kinds.js';
import { sayIn, type EntryWords } from '../kinds/kind.js';

/**
 * An entry as a maker would read it back.
 *
 * @param entry - any entry but a correction, which shows as the entry it corrects
 * @param units - the maker's units
 * @returns the words
 */
export const describeEntry = (entry: Entry, units: UnitPreferences): EntryWords => wordsOf(entry, sayIn(units));
