import { CoreError } from '../../base/errors/core-error.js';
import { FIZZY_VOLUMES } from '../../finish/bottle/bottle-safety.js';
import { gasParts } from '../../finish/bottle/sealed-gas.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import { addAcid, addCarbonate, addTannin, malolactic } from '../../matter/liquid/add-acid.js';
import { addSulfite, addWater } from '../../matter/liquid/additions.js';
import { loseVolume } from '../../matter/liquid/blend-liquids.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { abvOf } from '../../matter/liquid/views.js';
import { UTC } from '../../matter/quantity/zone.js';
import { leadingYeast } from '../../ferment/yeast/yeast-together.js';
import { EMPTY_STATE, type BatchState } from './batch-state.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry, EntryOf } from '../entry/entry.js';
import { emptied, inHand, type Draft, type Patch } from './replay-draft.js';
import { clarified, noteHints } from './replay-notes.js';
import { fed } from './replay-feeds.js';
import { blended, split } from './replay-pours.js';
import { originalBy, read } from './replay-readings.js';
import { both, moveGravity, primed, stabilised, sugared, tested } from './replay-sugar.js';
import { holdsDose } from './sealing.js';
import { asIfDry, neverRead, sealedGasOf } from './sealed-gas-of.js';

/**
 * What a log tells of its batch. An entry that does not add up is left out and named among the issues; everything
 * else still counts, so one slip never hides a year's record.
 *
 * @param log - every entry of one batch, in the order filed
 * @param zone - IANA time zone of the maker, by which its days are counted and named
 * @returns the state
 */
export function replay(log: readonly Entry[], zone = UTC): BatchState {
  const draft: Draft = { ...EMPTY_STATE, zone, readings: [], temps: [], judged: [], hints: [], feeds: [], crates: [], issues: [] };
  for (const entry of effectiveEntries(log).entries) {
    try {
      Object.assign(draft, applied(draft, entry), { lastEntryAt: entry.at });
      noteHints(draft, entry);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      draft.issues.push({ entryId: entry.id, text: error.message });
    }
  }
  draft.stage = stageOf(draft);
  return draft;
}

function stageOf(state: Draft): BatchState['stage'] {
  if (state.crates.length > 0 || state.keg) return 'drink';
  if (state.primed || state.stabilisedAt) return 'bottle';
  if (state.rackedAt && state.pitchedAt) return 'rest';
  if (state.pitchedAt) return 'ferment';
  if (state.sulfitedAt) return 'settle';
  return state.filledAt ? 'pitch' : 'juice';
}

function applied(state: Draft, entry: Entry): Patch {
  switch (entry.kind) {
    case 'filled':
      return filled(entry);
    case 'blended':
      return blended(state, entry);
    case 'split':
      return split(state, entry);
    case 'reading':
      return read(state, entry);
    case 'addition':
      return added(state, entry);
    case 'pitched':
      return pitched(state, entry);
    case 'stepped':
      return { plan: runningPlan(entry) };
    case 'moved':
      state.temps.push({ at: entry.at, tempC: entry.payload.tempC });
      return { place: entry.payload.place, placeC: entry.payload.tempC };
    case 'racked':
      return racked(state, entry);
    case 'clarified':
      return clarified(state, entry);
    case 'malolactic':
      return turned(state, entry);
    case 'vented':
      return { vent: { vent: entry.payload.vent, at: entry.at } };
    case 'stabilised':
      return stabilised(state, entry);
    case 'tested':
      return tested(state, entry);
    case 'sweetened':
      return sugared(state, entry.at, { fermentableId: entry.payload.sweetenerId, massG: entry.payload.massG });
    case 'primed':
      return primed(state, entry);
    case 'bottled':
      return bottled(state, entry);
    case 'kegged':
      return kegged(state, entry);
    case 'unsealed':
      return unsealed(state, entry);
    case 'opened':
      return opened(state, entry);
    case 'discarded': {
      const left = loseVolume(inHand(state), entry.payload.volumeL);
      return emptied(state, left);
    }
    case 'stirred':
      return { heldVolumes: null, rousedAt: entry.at };
    case 'tasted':
    case 'note':
    case 'corrected':
      return {};
  }
}

function filled(entry: EntryOf<'filled'>): Patch {
  const { payload } = entry;
  const { sg } = correctGravity(payload.gravity, null);
  const liquid = liquidFromReadings({
    volumeL: payload.volumeL,
    sg,
    fruit: payload.fruit,
    ph: payload.ph ?? undefined,
    taGPerL: payload.taGPerL ?? undefined,
    tanninGPerL: payload.tanninGPerL ?? undefined,
    yanMgPerL: payload.yanMgPerL ?? undefined,
  });
  return {
    liquid,
    lastLiquid: liquid,
    must: liquid,
    vessels: payload.vessels,
    filledAt: entry.at,
    placeC: payload.tempC,
    acidMeasured: payload.taGPerL !== null,
    originalBy: originalBy(payload.gravity),
  };
}

function pitched(state: Draft, entry: EntryOf<'pitched'>): Patch {
  const { yeastId, withYeastId, juiceC, massG } = entry.payload;
  state.judged.push({ at: entry.at, kind: 'pitched' });
  if (juiceC !== null) state.temps.push({ at: entry.at, tempC: juiceC });
  const lead = withYeastId === undefined ? yeastId : leadingYeast(yeastId, withYeastId);
  // The starter has gone in, so its steps are over; finings wait for nothing of the kind.
  const plan = state.plan?.plan === 'finings' ? state.plan : null;
  const liquid = inHand(state);
  const pitch = { at: entry.at, gPerL: liquid.volumeL > 0 ? massG / liquid.volumeL : 0, liquid };
  // New yeast may ferment what the old one left.
  const tested = null;
  return { yeastId: lead, tested, plan, pitch, pitchedAt: state.pitchedAt ?? entry.at, ...(state.pitchedAt ? {} : { must: state.liquid }) };
}

function runningPlan({ at, payload }: EntryOf<'stepped'>): BatchState['plan'] {
  const { plan, step, of, next, waitMin } = payload;
  return next === null ? null : { plan, step, of, next, doneAt: at, dueAt: new Date(Date.parse(at) + waitMin * 60_000).toISOString() };
}

function added(state: Draft, entry: EntryOf<'addition'>): Patch {
  const { payload } = entry;
  switch (payload.what) {
    case 'fermentable':
      return sugared(state, entry.at, payload);
    case 'water':
      return moveGravity(state, entry.at, (l) => addWater(l, payload.volumeL));
    case 'acid':
      return both(state, (l) => addAcid(l, payload));
    case 'carbonate':
      return both(state, (l) => addCarbonate(l, payload));
    case 'tannin':
      return both(state, (l) => addTannin(l, payload.massG));
    case 'sulfite':
      return { ...both(state, (l) => addSulfite(l, payload.so2MgPerL)), sulfitedAt: entry.at };
    case 'nutrient':
      return fed(state, entry.at, payload);
    case 'enzyme':
    case 'bentonite':
    case 'finings':
      return {};
  }
}

function racked(state: Draft, entry: EntryOf<'racked'>): Patch {
  const { vessels, lossL } = entry.payload;
  const before = inHand(state).volumeL;
  const movedL = vessels.reduce((sum, v) => sum + v.volumeL, 0);
  if (movedL > before * 1.02 + 0.05) {
    throw new CoreError('NOT_ALLOWED', `${movedL.toFixed(1)} L cannot be racked from ${before.toFixed(1)} L`, { movedL, volumeL: before, lossL });
  }
  return { ...both(state, (l) => ({ ...l, volumeL: movedL })), vessels, rackedAt: entry.at, heldVolumes: null };
}

function turned(state: Draft, { at, payload }: EntryOf<'malolactic'>): Patch {
  const { turnedFraction, wanted, done } = payload;
  // It takes less than a point of gravity, so readings on its two sides still prove an end.
  return { ...both(state, (l) => malolactic(l, turnedFraction)), malolactic: { at, wanted, done } };
}

function bottled(state: Draft, entry: EntryOf<'bottled'>): Patch {
  const liquid = inHand(state);
  const { payload } = entry;
  const filledL = payload.bottles.reduce((sum, b) => sum + (b.count * bottleById(b.kindId).sizeMl) / 1000, 0);
  if (filledL + payload.lossL > liquid.volumeL * 1.02 + 0.05) {
    throw new CoreError('NOT_ALLOWED', `${filledL.toFixed(1)} L of bottles cannot be filled from ${liquid.volumeL.toFixed(1)} L`, {
      filledL,
      volumeL: liquid.volumeL,
    });
  }
  const drink = state.primed || neverRead(state) ? fermentFraction(liquid, 1) : liquid;
  state.crates.push({
    id: entry.id,
    name: payload.crate,
    bottledAt: entry.at,
    capColour: payload.capColour,
    lots: payload.bottles.map((b) => ({ kindId: b.kindId, filled: b.count, left: b.count })),
    testBottle: payload.testBottle,
    ...fizzOf(state),
    sparkling: state.primed !== null,
    abv: abvOf(drink),
    drink: { liquid: drink, must: state.must },
    freeSo2MgPerL: liquid.freeSo2MgPerL,
    hottestC: payload.hottestC,
    lastOpenedAt: null,
  });
  return emptied(state, loseVolume(liquid, Math.min(liquid.volumeL, filledL + payload.lossL)));
}

/** The fizz the bottles will have: what is still in it, and what all the sugar in it makes, where nothing holds its yeast. */
function fizzOf(state: Draft): Pick<BatchState['crates'][number], 'co2Volumes' | 'wakesVolumes'> {
  const found = sealedGasOf(state);
  if (!found) return { co2Volumes: 0, wakesVolumes: null };
  const gas = neverRead(state) ? asIfDry(found) : found;
  const { residual, weighed, leftover } = gasParts(gas);
  const all = residual + weighed + leftover;
  if (!holdsDose(state)) return { co2Volumes: all, wakesVolumes: null };
  return { co2Volumes: residual, wakesVolumes: weighed + leftover > FIZZY_VOLUMES ? all : null };
}

function unsealed(state: Draft, { at }: EntryOf<'unsealed'>): Patch {
  if (!state.keg) throw new CoreError('NOT_ALLOWED', 'there is no sealed keg to open');
  // Until it has stood open it holds the gas it was given.
  return { keg: null, heldVolumes: { at, volumes: state.keg.targetVolumes } };
}

function kegged(state: Draft, entry: EntryOf<'kegged'>): Patch {
  const { payload } = entry;
  const liquid = { ...inHand(state), volumeL: payload.vessel.volumeL };
  const keg = {
    id: entry.id,
    vesselId: payload.vessel.vesselId,
    volumeL: payload.vessel.volumeL,
    targetVolumes: payload.targetVolumes,
    storeC: payload.storeC,
    at: entry.at,
  };
  return { liquid, lastLiquid: liquid, vessels: [payload.vessel], keg };
}

function opened(state: Draft, entry: EntryOf<'opened'>): Patch {
  let toOpen = entry.payload.count;
  state.crates.forEach((crate, i) => {
    const lots = crate.lots.map((lot) => {
      const taken = lot.kindId === entry.payload.kindId ? Math.min(lot.left, toOpen) : 0;
      toOpen -= taken;
      return taken > 0 ? { ...lot, left: lot.left - taken } : lot;
    });
    if (lots.some((lot, j) => lot !== crate.lots[j])) state.crates[i] = { ...crate, lots, lastOpenedAt: entry.at };
  });
  if (toOpen > 0) {
    throw new CoreError('NOT_ALLOWED', `there are ${toOpen} fewer bottles of that kind than were opened`, { short: toOpen });
  }
  return {};
}
