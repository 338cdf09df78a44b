import { awaitsHeat } from '../state/crate-heat.js';
import { fermentableById, fermentableWord } from '../../base/reference/fermentables.js';
import { isOwnFermentable } from '../../base/reference/own-fermentable.js';
import { infusionById } from '../../finish/steep/infusions.js';
import { fizzWord } from '../../finish/bottle/fizz-levels.js';
import { readyWindow } from '../../finish/bottle/ready-window.js';
import { sweetnessWord } from '../../finish/sweeten/sweetness.js';
import { sweetnessGPerL } from '../../matter/liquid/views.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry } from '../entry/entry.js';
import type { Crate } from '../state/batch-state.js';

/** What a label tells of a crate. */
export interface LabelFacts {
  /** Such as `off dry, lively`. */
  readonly taste: string;
  /** ISO 8601. */
  readonly bottledAt: string;
  /** `YYYY-MM-DD`. */
  readonly readyFrom: string;
  readonly bestUntil: string;
  /** What went into it, in the order it did, each once. */
  readonly contents: readonly string[];
  /** What whoever drinks it, or pours it, has to know. */
  readonly cautions: readonly string[];
}

/** Sulfite in all from which a label names it, mg/L. @source safety rule: many places ask for it above 10 */
export const NAMED_SULFITE_MG_PER_L = 10;

/** Sugars and sweeteners that an entry brings, by their ids. */
function sweetIdsOf(entry: Entry): readonly string[] {
  if (entry.kind === 'addition') return entry.payload.what === 'fermentable' ? [entry.payload.fermentableId] : [];
  if (entry.kind === 'sweetened') return [entry.payload.sweetenerId];
  if (entry.kind === 'primed') return [entry.payload.fermentableId];
  return entry.kind === 'steeped' ? entry.payload.sugars.map((sugar) => sugar.fermentableId) : [];
}

/** What an entry puts in, in words; nothing for what settles out again, or is named among the cautions. */
function contentsOf(entry: Entry): readonly string[] {
  const sweet = sweetIdsOf(entry).map(fermentableWord);
  switch (entry.kind) {
    case 'filled':
      return [entry.payload.source];
    case 'blended':
      return entry.payload.parts.map((part) => part.name);
    case 'steeped':
      return [entry.payload.source, ...sweet, ...(entry.payload.driedFruitG > 0 ? ['raisins'] : []), ...(entry.payload.teaCups > 0 ? ['tea'] : [])];
    case 'pitched':
      return ['yeast'];
    case 'infused':
      return [infusionById(entry.payload.infusionId).name];
    case 'addition':
      if (entry.payload.what === 'acid') return [`${entry.payload.acid} acid`];
      return entry.payload.what === 'water' || entry.payload.what === 'tannin' ? [entry.payload.what] : sweet;
    default:
      return sweet;
  }
}

function cautionsOf(crate: Crate, entries: readonly Entry[]): readonly string[] {
  const sweet = new Set(entries.flatMap(sweetIdsOf));
  const own = [...sweet].filter(isOwnFermentable);
  const mayLast = own.some((id) => fermentableById(id).fermentableFraction < fermentableById(id).extractFraction);
  const isCleared = entries.some((e) => (e.kind === 'clarified' && e.payload.means === 'finings') || (e.kind === 'addition' && e.payload.what === 'finings'));
  // What a cider that was poured in once held is in its own log.
  const pours = entries.flatMap((e) => (e.kind === 'blended' ? [e.payload.parts.flatMap((part) => (part.from === 'batch' ? [part.name] : []))] : []));
  const isShare = pours.length === 1 && pours[0]?.length === 1 && entries[0]?.kind === 'blended';
  const poured = pours.flat();
  const { totalSo2MgPerL, sorbateMgPerL } = crate.drink.liquid;
  const said: readonly (readonly [boolean, string])[] = [
    [true, 'Contains alcohol.'],
    [totalSo2MgPerL > NAMED_SULFITE_MG_PER_L, 'Contains sulfites.'],
    [sorbateMgPerL > 0, 'Contains sorbate.'],
    [sweet.has('lactose'), 'Contains milk sugar (lactose).'],
    [sweet.has('xylitol'), 'Contains xylitol: deadly to dogs.'],
    [!sweet.has('xylitol') && mayLast, 'May contain xylitol: keep it from dogs.'],
    [own.length > 0, `May contain what the packet of ${own.map(fermentableWord).join(' and ')} names, such as nuts, milk or gluten.`],
    [isCleared, 'Cleared with finings, which may be of fish, egg, milk or shellfish.'],
    [isShare, `Poured off ${poured.join('')}: look at its label as well.`],
    [poured.length > 0 && !isShare, `Poured together with ${poured.join(' and ')}: look at the labels of those as well.`],
    [fizzWord(crate.co2Volumes) !== 'still', 'Under pressure: chill it and open it slowly.'],
    [crate.sparkling, 'Yeast lies at the bottom: pour gently.'],
    [crate.heat !== null && !awaitsHeat(crate), 'Heated in the bottle.'],
    [awaitsHeat(crate), 'Not heated yet: not to be kept.'],
    [crate.wakesVolumes !== null && !awaitsHeat(crate), 'Keep it cold and drink it soon.'],
  ];
  return said.flatMap(([holds, text]) => (holds ? [text] : []));
}

/**
 * What a label tells of a crate: taste, dates, contents and cautions, from its log as it was when the bottles were filled.
 *
 * @param log - every entry of the batch, in the order filed
 * @param crate - one of its crates
 * @param zone - IANA time zone of the maker, for the days
 * @returns facts; local rules may ask for more, or forbid some of it
 * @source safety rules for labels; dates are estimates as in `readyWindow`
 */
export function labelFacts(log: readonly Entry[], crate: Crate, zone?: string): LabelFacts {
  const { entries: all } = effectiveEntries(log);
  const entries = all.slice(0, all.findIndex((entry) => entry.id === crate.id) + 1);
  const { from, bestUntil } = readyWindow(crate, zone);
  return {
    taste: `${sweetnessWord(sweetnessGPerL(crate.drink.liquid))}, ${crate.sparkling ? fizzWord(crate.co2Volumes) : 'still'}`,
    bottledAt: crate.bottledAt,
    readyFrom: from,
    bestUntil,
    contents: [...new Set(entries.flatMap(contentsOf))],
    cautions: cautionsOf(crate, entries),
  };
}
