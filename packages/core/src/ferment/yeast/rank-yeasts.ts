import { isOwnYeast } from '../../base/reference/own-yeast.js';
import { yeastWords } from '../../base/reference/yeast-words.js';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { brixOf, dryAbvOf } from '../../matter/liquid/views.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { calendarDays } from '../../matter/quantity/days.js';
import { YEAST_KINDS, type YeastKind } from '../../base/reference/yeast-kinds-data.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** What the cider should become. */
export const YEAST_AIMS = ['clean', 'fruity', 'soft', 'strong', 'wild'] as const;

/** One of them. */
export type YeastAim = (typeof YEAST_AIMS)[number];

/** A packet in the cupboard. */
export interface YeastInStock {
  readonly yeastId: string;
  /** The last day it is good, ISO day; null when it has none. */
  readonly bestBefore: string | null;
}

/** What yeasts are ranked for. */
export interface RankInput {
  readonly liquid: Liquid;
  readonly aim: YeastAim | null;
  /** What the place will be over the coming weeks, °C. */
  readonly tempProfile: readonly number[];
  readonly stock: readonly YeastInStock[];
  /** ISO 8601. */
  readonly today: string;
}

/** A reason for or against. */
export interface YeastReason {
  readonly on: 'temperature' | 'strength' | 'acid' | 'nitrogen' | 'character' | 'stock';
  readonly text: string;
  /** 0 rules it out, 1 could not be better. */
  readonly fit: number;
}

/** A kind of yeast with how well it fits. */
export interface RankedYeast {
  readonly yeastId: string;
  readonly name: string;
  /** 0–1; anything ruled out is 0. */
  readonly fit: number;
  /** The worst first, since that is what decides. */
  readonly reasons: readonly YeastReason[];
  readonly inStock: 'in-date' | 'out-of-date' | 'none';
}

/** How much each counts. @source our estimate: a yeast that cannot stand the place or the strength is no yeast for it */
const WEIGHTS: Readonly<Record<YeastReason['on'], number>> = { temperature: 3, strength: 3, character: 2, acid: 1, nitrogen: 1, stock: 1.5 };

/** Which kinds suit which aim. @source the library's own notes on each kind, read as roles */
const SUITS: Readonly<Record<YeastAim, readonly string[]>> = {
  clean: ['neutral-champagne', 'crisp-cider', 'american-ale', 'restart'],
  fruity: ['cool-fruity-white', 'fruity-cider', 'cold-tolerant-slow', 'farmhouse-saison-like'],
  soft: ['acid-softening', 'english-ale', 'sweet-finish', 'fruity-cider'],
  strong: ['high-alcohol-dessert', 'neutral-champagne', 'restart'],
  wild: ['wild-spontaneous', 'cold-tolerant-slow', 'farmhouse-saison-like'],
};
/** Fit of a kind for trials and repairs only. */
const LAST_RESORTS = new Set(['baking', 'restart']);

/**
 * Kinds of yeast by how well they suit this must, this place and this maker, each with its reasons. The fit is the
 * weighted geometric mean of its parts, so that one part that fails rules a kind out.
 *
 * @param input - the must, the character wanted, the place's temperatures, the cupboard and today
 * @returns every kind of the library and the maker's own in the cupboard, best first
 * @throws {CoreError} OUT_OF_RANGE on impossible temperatures
 * @source figures of the yeast library; weights are our estimates
 */
export function rankYeasts(input: RankInput): Worked<readonly RankedYeast[]> {
  for (const tempC of input.tempProfile) inRange('tempProfile', tempC, LIMITS.tempC);
  const own = [...new Set(input.stock.map((s) => s.yeastId))].filter(isOwnYeast).map(yeastById);
  const ranked = [...YEAST_KINDS, ...own].map((kind) => rankOne(kind, input)).sort((a, b) => b.fit - a.fit || (a.yeastId < b.yeastId ? -1 : 1));
  const best = ranked[0];
  return worked(ranked, [
    {
      label: best?.name ?? 'No yeast',
      expression: (best?.reasons ?? []).map((r) => `${r.on} ${figure(r.fit, 2)}`).join(' · '),
      result: figure(best?.fit ?? 0, 2),
      source: 'weighted geometric mean of its fits; weights are our estimates',
    },
  ]);
}

function rankOne(kind: YeastKind, input: RankInput): RankedYeast {
  const stocked = input.stock.filter((s) => s.yeastId === kind.id);
  const inDate = stocked.some((s) => s.bestBefore === null || calendarDays(input.today, s.bestBefore) >= 0);
  const inStock = inDate ? 'in-date' : stocked.length > 0 ? 'out-of-date' : 'none';
  const reasons = [
    temperature(kind, input.tempProfile),
    strength(kind, input.liquid),
    acid(kind, input.liquid),
    nitrogen(kind, input.liquid),
    character(kind, input.aim),
    stock(kind, inStock),
  ];
  const weight = reasons.reduce((sum, r) => sum + WEIGHTS[r.on], 0);
  const fit = reasons.some((r) => r.fit <= 0) ? 0 : Math.exp(reasons.reduce((sum, r) => sum + WEIGHTS[r.on] * Math.log(r.fit), 0) / weight);
  return { yeastId: kind.id, name: kind.name, fit, reasons: [...reasons].sort((a, b) => a.fit - b.fit), inStock };
}

function temperature({ tempC: [least, from, to, most] }: YeastKind, profile: readonly number[]): YeastReason {
  if (profile.length === 0) return { on: 'temperature', fit: 0.6, text: `likes ${from} to ${to} °C; say how warm the place is` };
  const fits = profile.map((t) =>
    t < least || t > most ? 0 : t >= from && t <= to ? 1 : t < from ? 0.3 + (0.7 * (t - least)) / (from - least) : 0.3 + (0.7 * (most - t)) / (most - to),
  );
  const mean = fits.reduce((sum, f) => sum + f, 0) / fits.length;
  const [low, high] = [Math.min(...profile), Math.max(...profile)];
  const says = `likes ${from} to ${to} °C, and it will be ${low === high ? celsius(low) : `${figure(low, 0)} to ${figure(high, 0)} °C`}`;
  return {
    on: 'temperature',
    fit: high > most ? 0 : mean,
    text: high > most ? `dies above ${most} °C; ${says}` : low < least ? `stops below ${least} °C; ${says}` : says,
  };
}

function strength({ toleranceAbv: [may, surely] }: YeastKind, liquid: Liquid): YeastReason {
  const abv = dryAbvOf(liquid);
  const fit = abv <= may - 1 ? 1 : abv >= surely ? 0.05 : abv > may ? 0.35 : 0.8;
  return {
    on: 'strength',
    fit,
    text:
      abv >= surely
        ? `stops at about ${surely} %, and this would reach ${figure(abv, 1)} %`
        : `stands ${may} to ${surely} %; this would reach ${figure(abv, 1)} %`,
  };
}

function acid({ malicReductionPct: [, most], id }: YeastKind, liquid: Liquid): YeastReason {
  const ta = taOf(liquid);
  const ph = phOf(liquid);
  if (id === WILD_YEAST_ID && ph > 3.8) return { on: 'acid', fit: 0.3, text: `pH ${figure(ph, 2)} is too high to leave to the wild` };
  if (most >= 20 && ta < 5) return { on: 'acid', fit: 0.4, text: `takes acid away, and ${figure(ta, 1)} g/L is little already` };
  if (most >= 20 && ta > 7) return { on: 'acid', fit: 1, text: `softens the ${figure(ta, 1)} g/L of acid` };
  if (ta > 8.5) return { on: 'acid', fit: 0.7, text: `leaves the ${figure(ta, 1)} g/L of acid sharp` };
  return { on: 'acid', fit: 0.9, text: 'leaves the acid about as it is' };
}

function nitrogen({ nitrogenMgNPerLPerBrix: perBrix }: YeastKind, liquid: Liquid): YeastReason {
  const lack = brixOf(liquid) * perBrix - liquid.yanMgPerL;
  if (lack <= 0) return { on: 'nitrogen', fit: 1, text: 'finds all the nitrogen it wants' };
  return { on: 'nitrogen', fit: Math.max(0.4, 1 - lack / 200), text: `lacks about ${figure(lack, 0)} mg/L of nitrogen: feed it, or expect a slow ferment` };
}

function character(kind: YeastKind, aim: YeastAim | null): YeastReason {
  const resort = LAST_RESORTS.has(kind.id);
  if (aim === null) return { on: 'character', fit: resort ? 0.4 : 0.8, text: yeastWords(kind).aroma };
  const place = SUITS[aim].indexOf(kind.id);
  if (place < 0) return { on: 'character', fit: resort ? 0.25 : 0.45, text: yeastWords(kind).aroma };
  return { on: 'character', fit: resort ? 0.55 : 1 - place * 0.08, text: yeastWords(kind).aroma };
}

function stock(kind: YeastKind, inStock: RankedYeast['inStock']): YeastReason {
  if (kind.id === WILD_YEAST_ID) return { on: 'stock', fit: 0.9, text: 'is on the fruit already' };
  if (inStock === 'in-date') return { on: 'stock', fit: 1, text: 'in your cupboard, in date' };
  return inStock === 'out-of-date'
    ? { on: 'stock', fit: 0.35, text: 'in your cupboard, past its date' }
    : { on: 'stock', fit: 0.6, text: 'not in your cupboard' };
}
