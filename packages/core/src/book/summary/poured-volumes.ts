import type { Entry } from '../entry/entry.js';
import { juicesOf } from '../entry/entry-kinds.js';
import type { Amount } from '../kinds/kind.js';
import { summed } from './sum-over-logs.js';

/**
 * How much of each juice a log has poured into its batch: derived, so that a pour struck out gives its juice back.
 *
 * @param entries - of a batch, as they now stand
 * @returns litres by juice id
 */
export const pouredVolumes = (entries: readonly Entry[]): readonly Amount[] => summed(entries.flatMap(juicesOf));
