import { strengthText } from '../../units/strength-text';
import type { Crate } from '@trug/core';
import { awaitsHeat } from '@trug/core/book/state/crate-heat';
import { bottleById } from '@trug/core/base/reference/bottle-kinds';
import { fizzWord } from '@trug/core/finish/bottle/fizz-levels';
import { drinkCost, type DrinkCost, type Prices } from '@trug/core/book/summary/batch-cost';
import { crateSweetness, type FoundCrate } from '@trug/core/book/tasting/crate-find';
import { whyUntil } from '@trug/core/finish/bottle/why-until';
import { readyWindow } from '@trug/core/finish/bottle/ready-window';
import { daysBetween, dayText } from '@trug/core/matter/quantity/days';
import type { Units } from '../../units/units';
import type { BatchView } from '../../state/batch-views.selectors';
import { countText } from '@trug/core/matter/quantity/count-text';

/** A crate as the cellar shows it. */
export interface CellarCrate {
  readonly id: string;
  readonly batchId: string;
  readonly crate: Crate;
  readonly tape: string;
  readonly left: number;
  readonly filled: number;
  readonly lots: readonly { readonly kindId: string; readonly name: string; readonly left: number }[];
  readonly about: string;
  readonly ready: string;
  /** What sets the end of that. */
  readonly whyUntil: string;
  /** Where it was carried to; null where nobody said. */
  readonly where: string | null;
  /** That little is left; null where there is enough. */
  readonly few: string | null;
  /** What a bottle cost; null where nothing in it has a price. */
  readonly cost: string | null;
  readonly found: FoundCrate;
  readonly isReady: boolean;
  /** How its test bottle last felt; null where nobody squeezed it. */
  readonly felt: string | null;
  /** What to mind of sugar that only sulfite and sorbate hold, or nothing yet; null where there is none. */
  readonly held: string | null;
  /** Filled to be heated, and not heated through. */
  readonly awaitsHeat: boolean;
  /** Bottles from the top: true is still there. */
  readonly caps: readonly boolean[];
}

/** So few are said to be few, where there were more than twice as many. */
const FEW_LEFT = 4;
/** Most bottles drawn; a bigger lot is drawn in part and counted in words. */
const MOST_CAPS = 48;

/**
 * The crates of every batch, newest first, the empty ones last.
 *
 * @param views - every batch
 * @param now - ISO 8601
 * @param units - the maker's units
 * @param prices - what was paid, as far as it is known
 * @returns what to show of each
 */
export function cellarCrates(views: readonly BatchView[], now: string, units: Units, prices: Prices): readonly CellarCrate[] {
  const all = views.flatMap((view) => view.state.crates.map((crate) => cellarCrate(view, crate, now, units, prices)));
  return all.sort((a, b) => Number(a.left === 0) - Number(b.left === 0) || (a.crate.bottledAt < b.crate.bottledAt ? 1 : -1));
}

/** What holds the sugar of a crate, and for how long. */
function heldWords(crate: Crate): string | null {
  if (awaitsHeat(crate)) return 'Not heated through: sugar and live yeast are in it. Heat it the day it is filled, or open it.';
  return crate.wakesVolumes === null ? null : 'Only sulfite and sorbate hold its sugar. Keep it cold, open one each week, and drink it within weeks.';
}

/** What a bottle of a crate cost, as far as prices are known; null where nobody wrote any down. */
function costWords(crate: Crate, cost: DrinkCost | null): string | null {
  if (cost === null) return null;
  const each = crate.lots.map(({ kindId }) => {
    const { name, sizeMl } = bottleById(kindId);
    return `${((cost.perLitre * sizeMl) / 1000).toFixed(2)}${crate.lots.length > 1 ? ` for a ${name}` : ' a bottle'}`;
  });
  const unpriced = `; ${countText(cost.unpriced, 'thing')} in it ${cost.unpriced === 1 ? 'has' : 'have'} no price`;
  return `About ${each.join(', ')}${cost.unpriced === 0 ? '' : unpriced}`;
}

function cellarCrate(view: BatchView, crate: Crate, now: string, units: Units, prices: Prices): CellarCrate {
  const left = crate.lots.reduce((sum, lot) => sum + lot.left, 0);
  const filled = crate.lots.reduce((sum, lot) => sum + lot.filled, 0);
  const window = readyWindow(crate, units.zone());
  const sweetness = crateSweetness(crate);
  const untilReady = daysBetween(units.dateOf(now), window.from);
  const isReady = untilReady <= 0;
  return {
    id: crate.id,
    batchId: view.batch.id,
    crate,
    tape: view.batch.tape,
    left,
    filled,
    lots: crate.lots.map((lot) => ({ kindId: lot.kindId, name: bottleById(lot.kindId).name, left: lot.left })),
    about: [
      strengthText(units, crate.drink.liquid, crate.drink.must),
      crate.sparkling ? `${fizzWord(crate.co2Volumes)}, ${crate.co2Volumes.toFixed(1)} volumes` : 'still',
      ...(sweetness === 'dry' ? [] : [sweetness]),
      ...(crate.heat !== null && !awaitsHeat(crate) ? ['kept by heat'] : []),
      `${crate.capColour} caps`,
    ].join(' · '),
    where: crate.place === null ? null : `Where: ${crate.place}`,
    few: left > 0 && left <= FEW_LEFT && filled > 2 * FEW_LEFT ? `Only ${left} left` : null,
    whyUntil: whyUntil(crate),
    found: { crate, batchName: view.batch.name, tastings: view.summary.tastings, zone: units.zone() },
    ready: awaitsHeat(crate)
      ? 'Ready once it is heated'
      : isReady
        ? `Ready. At its best until about ${dayText(window.bestUntil)} ${window.bestUntil.slice(0, 4)}`
        : `Ready from about ${dayText(window.from)}, in ${countText(Math.ceil(untilReady), 'day')}`,
    isReady: isReady && !awaitsHeat(crate),
    felt: left > 0 && crate.squeezed ? `Test bottle ${crate.squeezed.feel} on ${units.day(crate.squeezed.at)}` : null,
    held: left > 0 ? heldWords(crate) : null,
    awaitsHeat: left > 0 && awaitsHeat(crate),
    cost: costWords(crate, drinkCost(view.summary, prices)),
    caps: Array.from({ length: Math.min(MOST_CAPS, filled) }, (_, i) => i < Math.round((left / Math.max(1, filled)) * Math.min(MOST_CAPS, filled))),
  };
}
