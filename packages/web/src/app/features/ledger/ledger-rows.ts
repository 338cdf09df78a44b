import type { VesselDto } from '@trug/contract/plain';
import { drinkOf } from '@trug/core/book/state/drink-of';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { strengthOf } from '@trug/core/matter/measure/strength-of';
import { dayIn } from '@trug/core/matter/quantity/zone';
import type { BatchView } from '../../state/batch-views.selectors';
import type { Units } from '../../units/units';

/** Where a batch is in its life. */
export type Whereabouts = 'on' | 'bottled' | 'gone';

/** A batch as the ledger lists it: what is shown, and what each column is sorted by. */
export interface LedgerRow {
  readonly id: string;
  readonly name: string;
  readonly tape: string;
  readonly is: Whereabouts;
  /** The day it was begun, `YYYY-MM-DD`. */
  readonly begunOn: string;
  readonly begun: string;
  readonly where: string;
  readonly gravities: string;
  readonly lastSg: number | null;
  readonly strength: string;
  readonly abv: number | null;
  readonly left: number;
  /** Everything it is found by, in small letters. */
  readonly words: string;
}

/** By what the ledger is narrowed. */
export interface LedgerFilter {
  readonly find: string;
  readonly is: Whereabouts | '';
  /** Such as `2026`; empty for all. */
  readonly year: string;
}

/** A column to sort by. */
export type LedgerColumn = 'name' | 'begun' | 'where' | 'gravity' | 'strength' | 'left';

function whereOf({ state }: BatchView, left: number, vessels: ReadonlyMap<string, VesselDto>): { readonly is: Whereabouts; readonly where: string } {
  const inBottles = left > 0 ? `${left} in bottle` : '';
  if (state.liquid && state.vessels.length > 0) {
    const names = state.vessels.map((f) => vessels.get(f.vesselId)?.name ?? 'a vessel').join(', ');
    return { is: 'on', where: [names, inBottles].filter((w) => w !== '').join(' · ') };
  }
  if (left > 0) return { is: 'bottled', where: state.crates.map((c) => c.name).join(', ') };
  return { is: 'gone', where: state.crates.length > 0 ? 'drunk' : state.filledAt === null ? 'nothing in it yet' : 'poured on or away' };
}

/**
 * Every batch as a row of the ledger.
 *
 * @param views - every batch
 * @param vessels - the maker's vessels by id
 * @param units - the maker's units
 * @returns rows in the order of the views
 */
export function ledgerRows(views: readonly BatchView[], vessels: ReadonlyMap<string, VesselDto>, units: Units): readonly LedgerRow[] {
  const { strengthSchool } = units.preferences();
  return views.map((view) => {
    const { batch, state, summary } = view;
    const left = state.crates.flatMap((c) => c.lots).reduce((sum, lot) => sum + lot.left, 0);
    const { is, where } = whereOf(view, left, vessels);
    const drink = drinkOf(state);
    const first = state.must ? gravityOf(state.must) : (state.readings[0]?.sg ?? null);
    const last = state.readings.at(-1)?.sg ?? (drink ? gravityOf(drink.liquid) : null);
    const abv = drink && state.pitchedAt ? strengthOf(drink.liquid, drink.must, strengthSchool) : null;
    const begunOn = dayIn(batch.startedAt, units.zone());
    const strength = abv === null ? '' : units.percent(abv);
    const found = [batch.name, where, state.place ?? '', ...state.crates.map((c) => c.name), ...summary.from.map((p) => p.name), begunOn];
    return {
      id: batch.id,
      name: batch.name,
      tape: batch.tape,
      is,
      begunOn,
      begun: `${units.day(batch.startedAt)} ${begunOn.slice(0, 4)}`,
      where,
      gravities: first === null || last === null ? '' : `${units.gravity(first)} → ${units.gravity(last)}`,
      lastSg: last,
      strength,
      abv,
      left,
      words: found.join(' ').toLowerCase(),
    };
  });
}

/**
 * Rows that hold every word looked for, where they are and when they were begun.
 *
 * @param rows - of the ledger
 * @param filter - what is wanted
 * @returns those that fit
 */
export function narrowed(rows: readonly LedgerRow[], { find, is, year }: LedgerFilter): readonly LedgerRow[] {
  const wanted = find
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  return rows.filter(
    (row) => (is === '' || row.is === is) && (year === '' || row.begunOn.startsWith(year)) && wanted.every((word) => row.words.includes(word)),
  );
}

const KEYS: Readonly<Record<LedgerColumn, (row: LedgerRow) => string | number | null>> = {
  name: (row) => row.name.toLowerCase(),
  begun: (row) => row.begunOn,
  where: (row) => row.where.toLowerCase(),
  gravity: (row) => row.lastSg,
  strength: (row) => row.abv,
  left: (row) => row.left,
};

/**
 * Rows in order of a column; what it knows nothing of comes last either way.
 *
 * @param rows - of the ledger
 * @param column - to sort by
 * @param direction - up or down
 * @returns them sorted
 */
export function sorted(rows: readonly LedgerRow[], column: LedgerColumn, direction: 'asc' | 'desc'): readonly LedgerRow[] {
  const key = KEYS[column];
  const sign = direction === 'asc' ? 1 : -1;
  return [...rows].sort((a, b) => {
    const [x, y] = [key(a), key(b)];
    if (x === null || y === null) return Number(x === null) - Number(y === null);
    return x === y ? 0 : x < y ? -sign : sign;
  });
}
