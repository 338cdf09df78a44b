import { caution } from '../../base/cautions/catalogue.js';
import { headspaceCheck } from '../../finish/rack/headspace.js';
import { isTooCold } from '../../ferment/verdict/judge-facts.js';
import { isAtRest, type Verdict } from '../../ferment/verdict/verdict.js';
import { abvOf, dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import type { BatchState } from '../state/batch-state.js';
import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { barrelLoss } from '../../finish/rack/barrel-loss.js';
import { WIDE_OPEN } from '../../finish/rack/wide-open.js';
import { blowOffRisk } from './blow-off-risk.js';
import { ROOM_GAS_L } from './room-gas.js';
import { clearsUntil } from '../state/clearing.js';

/** Something to mind while a batch stands. */
export interface CareNote {
  readonly id: 'foam' | 'narrow' | 'gas' | 'heat' | 'cold' | 'vent' | 'air' | 'lees' | 'plastic' | 'barrel' | 'malolactic' | 'haze' | 'room';
  readonly weight: 'note' | 'mind' | 'act';
  readonly text: string;
}

/** A vessel as care needs to know it. */
export interface CareVessel {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly capacityL: number;
}

/** Foam is over after the first week or two. @source our estimate */
const FOAM_DAYS = 12;
/** How far a ferment is when its foam is over. @source usual advice: after the first half, our estimate */
const FOAM_OVER_FRACTION = 0.6;
/** Closer to its end than this there is nothing left to sleep on, SG. @source two g/L of sugar */
const NOTHING_LEFT_SG = 0.001;
/** A drink holds this much gas from its own ferment when it stands colder than this, °C. @source CO2 solubility: above one volume under about 12 °C */
const GASSY_C = 12;

/** Vessels that let air through, and how long a fermented drink may stay in them, days. @source usual advice: weeks, not months */
const THIN_PLASTIC = new Set(['bucket']);
const THICK_PLASTIC = new Set(['cube']);
const THIN_DAYS = 28;
const THICK_DAYS = 120;
/** Weak cider is off its lees within this; stronger may lie. @source makers' rule: six weeks under 8 % */
export const LEES_DAYS = 42;
export const LEES_ABV = 8;
const LONG_LEES_DAYS = 180;
/** A barrel is filled up once a month. @source usual practice */
const BARREL_DAYS = 28;
/** Where nobody said how warm it stands, °C. */
const USUAL_PLACE_C = 15;

/**
 * What to mind about a batch as it stands: foam, heat and cold, gas, air, lees, plastic and wood.
 *
 * @param state - the batch
 * @param verdict - its verdict; null before yeast
 * @param context - today, ISO 8601, the maker's vessels, and the gas still to come in its room, L
 * @returns notes, what needs a hand first
 * @source waits are makers' usual rules or our estimates, named where they stand
 */
export function careNotes(
  state: BatchState,
  verdict: Verdict | null,
  context: { readonly today: string; readonly vessels: readonly CareVessel[]; readonly roomGasL?: number },
): readonly CareNote[] {
  if (!state.liquid || state.keg) return [];
  const notes: CareNote[] = [];
  const working = verdict !== null && !isAtRest(verdict.status);
  const fills = state.vessels.flatMap((fill) => {
    const vessel = context.vessels.find((v) => v.id === fill.vesselId);
    return vessel ? [{ ...vessel, volumeL: fill.volumeL }] : [];
  });
  if (state.pitchedAt !== null && working) {
    notes.push(...foamNotes(state, fills, context.today), ...warmthNotes(state, verdict), ...narrowNotes(state, fills));
    if (state.vent?.vent === 'loose-cap') {
      const hours = Math.round((Date.parse(context.today) - Date.parse(state.vent.at)) / 3_600_000);
      notes.push({
        id: 'vent',
        weight: 'act',
        text: `Its cap is only loosened. Let the gas out three times a day: a cap that sticks makes a bomb of it. Last seen to ${agoText(hours)}.`,
      });
    }
  }
  if (working && (context.roomGasL ?? 0) >= ROOM_GAS_L) {
    const { text, whatToDo } = caution('co2-room');
    notes.push({
      id: 'room',
      weight: 'mind',
      text: `${text} What works in ${state.place ?? 'this room'} has about ${figure(Math.round((context.roomGasL ?? 0) / 10) * 10, 0)} L of gas still to give. ${whatToDo}`,
    });
  }
  if (verdict !== null && !working) notes.push(...restNotes(state, fills, context.today, verdict.steadySince));
  if (state.malolactic?.done === false)
    notes.push({
      id: 'malolactic',
      weight: 'note',
      text: `The malolactic change is under way, ${state.malolactic.wanted ? 'wanted' : 'not wanted'}. No sorbate until it is over.`,
    });
  const lookAt = clearsUntil(state);
  if (lookAt !== null && calendarDays(context.today, lookAt, state.zone) > 0)
    notes.push({ id: 'haze', weight: 'note', text: `Clearing: nothing to see before ${dayText(lookAt, false, state.zone)}. Leave it still.` });
  const order: readonly CareNote['weight'][] = ['act', 'mind', 'note'];
  return notes.sort((a, b) => order.indexOf(a.weight) - order.indexOf(b.weight));
}

/** Hours gone, as people say them: hours for a day, then days. */
function agoText(hours: number): string {
  if (hours < 1) return 'just now';
  if (hours < 36) return hours === 1 ? 'an hour ago' : `about ${hours} hours ago`;
  return `${Math.round(hours / 24)} days ago`;
}

type Fill = CareVessel & { readonly volumeL: number };

function foamNotes(state: BatchState, fills: readonly Fill[], today: string): readonly CareNote[] {
  if (!state.yeastId || state.pitchedAt === null || calendarDays(state.pitchedAt, today, state.zone) > FOAM_DAYS || state.vent?.vent === 'tube') return [];
  const yeast = yeastById(state.yeastId);
  return fills.flatMap((fill) => {
    if (fill.volumeL > fill.capacityL * 1.05) return [];
    const { risk, text } = blowOffRisk({ volumeL: fill.volumeL, capacityL: fill.capacityL, tempC: state.placeC ?? 16, yeast, cloudy: false }).value;
    return risk === 'low' ? [] : [{ id: 'foam' as const, weight: risk === 'high' ? ('act' as const) : ('mind' as const), text: `${fill.name}. ${text}` }];
  });
}

/** Once the foam is over, a wide bucket only lets air in. */
function narrowNotes({ must, readings }: BatchState, fills: readonly Fill[]): readonly CareNote[] {
  const bucket = fills.find((f) => WIDE_OPEN.has(f.kind));
  const last = readings.at(-1);
  if (!bucket || !must || !last) return [];
  const [start, end] = [gravityOf(must), dryGravityOf(must)];
  const gone = (start - last.sg) / Math.max(0.001, start - end);
  if (gone < FOAM_OVER_FRACTION) return [];
  return [
    {
      id: 'narrow',
      weight: 'mind',
      text: `${figure(gone * 100, 0)} % through, so its foam is over. Move it from ${bucket.name} to a narrow neck, nearly full, under an airlock: the gas no longer keeps the air out.`,
    },
  ];
}

function warmthNotes({ yeastId, placeC, readings }: BatchState, { expectedEndSg }: Verdict): readonly CareNote[] {
  if (!yeastId || placeC === null) return [];
  const yeast = yeastById(yeastId);
  const { tempC, name } = yeast;
  const [least, from, to, most] = tempC;
  const at = celsius(placeC);
  if (placeC > most)
    return [
      { id: 'heat', weight: 'act', text: `${at} is more than ${name.toLowerCase()} stands, ${most} °C. Cool it today: it makes solvent smells and dies.` },
    ];
  if (placeC > to)
    return [
      {
        id: 'heat',
        weight: 'mind',
        text: `${at} is above what ${name.toLowerCase()} likes, ${from}–${to} °C: quicker, and less aroma. A wet cloth and a draught take off some degrees.`,
      },
    ];
  if (placeC < least)
    return [
      {
        id: 'cold',
        weight: 'mind',
        text:
          isTooCold(yeast, placeC) && (readings.at(-1)?.sg ?? 2) > expectedEndSg + NOTHING_LEFT_SG
            ? `${at} is well below the ${least} °C that ${name.toLowerCase()} needs. It sleeps: steady readings prove nothing here.`
            : `${at} is below the ${least} °C that ${name.toLowerCase()} needs: slow work, and it may stop before its time.`,
      },
    ];
  return [];
}

function restNotes(state: BatchState, fills: readonly Fill[], today: string, endedAt: string | null): readonly CareNote[] {
  const notes: CareNote[] = [];
  for (const fill of fills) {
    if (fill.volumeL > fill.capacityL) continue;
    const { verdict, emptyL } = headspaceCheck({ volumeL: fill.volumeL, capacityL: fill.capacityL, stage: 'resting' }).value;
    if (verdict === 'too-much-air') {
      notes.push({
        id: 'air',
        weight: 'mind',
        text: `${fill.name} has ${figure(emptyL, 1)} L of air over a finished drink. Top it up with like cider, or rack into a smaller vessel.`,
      });
    }
  }
  const from = state.rackedAt ?? state.pitchedAt ?? today;
  const days = calendarDays(from, today, state.zone);
  const plastic = fills.find((f) => (THIN_PLASTIC.has(f.kind) && days > THIN_DAYS) || (THICK_PLASTIC.has(f.kind) && days > THICK_DAYS));
  if (plastic) {
    notes.push({
      id: 'plastic',
      weight: 'mind',
      text: `In ${plastic.name} for ${days} days. Plastic lets air in: ${THIN_PLASTIC.has(plastic.kind) ? 'weeks' : 'a few months'} are all right for a fermented drink, not longer. Move it to glass or steel.`,
    });
  }
  notes.push(...barrelNotes(state, fills, today), ...leesNotes(state, today, endedAt));
  if (state.rackedAt === null && state.placeC !== null && state.placeC < GASSY_C) {
    notes.push({
      id: 'gas',
      weight: 'note',
      text: `So cold it is still full of gas, about one volume. Stir the gas out of a sample before you read it, and out of all of it before finings.`,
    });
  }
  return notes;
}

/** A barrel wants filling up: what the wood lets through, air takes the place of. */
function barrelNotes(state: BatchState, fills: readonly Fill[], today: string): readonly CareNote[] {
  const since = state.filledUpAt ?? state.rackedAt ?? state.pitchedAt ?? today;
  const days = calendarDays(since, today, state.zone);
  if (days < BARREL_DAYS) return [];
  return fills
    .filter((fill) => fill.kind === 'barrel')
    .map(({ name, capacityL }) => {
      const { likelyL, leastL, mostL } = barrelLoss({ capacityL, days, tempC: state.placeC ?? USUAL_PLACE_C }).value;
      return {
        id: 'barrel' as const,
        weight: 'mind' as const,
        text: `${name} was last filled up ${days} days ago. Wood lets drink out and air in: about ${figure(likelyL, 1)} L have gone, ${figure(leastL, 1)} to ${figure(mostL, 1)} L. Fill it to the bung with like cider, and taste it: a young barrel gives all it has in weeks.`,
      };
    });
}

/** Long lees contact by strength: a weak cider goes off on them, a strong one gains. */
function leesNotes(state: BatchState, today: string, endedAt: string | null): readonly CareNote[] {
  if (!state.liquid || state.rackedAt !== null || endedAt === null) return [];
  const abv = abvOf(state.liquid);
  const days = calendarDays(endedAt, today, state.zone);
  if (abv < LEES_ABV && days > LEES_DAYS) {
    return [
      {
        id: 'lees',
        weight: 'mind',
        text: `On its lees for ${days} days since it ended, at ${figure(abv, 1)} %. Under 8 % it should be off them within six weeks of its end, before they taste of bread and drains.`,
      },
    ];
  }
  if (abv >= LEES_ABV && days > LONG_LEES_DAYS) {
    return [
      {
        id: 'lees',
        weight: 'note',
        text: `On its lees since it ended on ${dayText(endedAt, false, state.zone)}. At ${figure(abv, 1)} % there is no hurry; taste it now and then, and rack by ${dayText(dateAfter(endedAt, 365, state.zone))}.`,
      },
    ];
  }
  return [];
}
