import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import type { Turn, WhatFollows } from '@trug/core/book/log/what-follows';
import { drinkOf } from '@trug/core/book/state/drink-of';
import { STATUS_WORDS, type FermentStatus } from '@trug/core/ferment/verdict/verdict';
import { strengthOf } from '@trug/core/matter/measure/strength-of';
import type { Entry } from '@trug/core';
import { figure } from '@trug/core/base/worked/figures';
import type { FigureRow } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import type { Units } from '../../units/units';

const NOT_JUDGED = 'not judged';
const statusWords = (status: FermentStatus | null): string => (status === null ? NOT_JUDGED : STATUS_WORDS[status]);

/**
 * What turns about by a correction, in the maker's words.
 *
 * @param turns - beside the figures of the drink
 * @param log - whose entries are named
 * @param units - how the maker writes
 */
export function turnWords(turns: readonly Turn[], log: readonly Entry[], units: Units): readonly string[] {
  const named = (entryId: string): string => {
    const entry = effectiveEntries(log).entries.find((e) => e.id === entryId) ?? log.find((e) => e.id === entryId);
    if (!entry) return 'An entry';
    const { lead, rest } = describeEntry(entry, units.preferences());
    return `${units.day(entry.at)}, ${`${lead} ${rest}`.trim()}`;
  };
  return turns.map((turn) => {
    switch (turn.is) {
      case 'status':
        return `The verdict turns from “${statusWords(turn.from)}” to “${statusWords(turn.to)}”.`;
      case 'fizz':
        return `${turn.crate} comes to ${turn.toVolumes.toFixed(1)} volumes of fizz, not ${turn.fromVolumes.toFixed(1)}.`;
      case 'not-counted':
        return `${named(turn.entryId)}: no longer counted, since ${units.say(turn.why)}.`;
      case 'counted-again':
        return `${named(turn.entryId)}: counted again.`;
    }
  });
}

/** The figures of the batch before a correction and after it. */
export function followRows({ before, after }: WhatFollows, units: Units): readonly FigureRow[] {
  const [was, is] = [drinkOf(before), drinkOf(after)];
  if (!was) return [];
  const rows = liquidRows(units, was.liquid, is && is.liquid, ['volume', 'gravity', 'sugarLeft']);
  if (before.pitchedAt === null) return rows;
  const strength = ({ liquid, must }: typeof was): string => figure(strengthOf(liquid, must, units.preferences().strengthSchool), 1);
  return [...rows, { name: 'Strength', unit: '%', before: strength(was), after: is && strength(is) }];
}
