import type { VesselDto } from '@trug/contract/plain';
import type { Crate } from '@trug/core';
import { isAtRest, STATUS_WORDS } from '@trug/core/ferment/verdict/verdict';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { calendarDays } from '@trug/core/matter/quantity/days';
import type { DrinkLook } from '../../shared/vessel/vessel';
import { drinkLook } from '../../shared/vessel/drink-look';
import type { Units } from '../../units/units';
import type { BatchView } from '../../state/batch-views.selectors';
import { readyWindow } from '@trug/core/finish/bottle/ready-window';
import { dayIn } from '@trug/core/matter/quantity/zone';
import { countText } from '@trug/core/matter/quantity/count-text';

/** The hanging tag of something due. */
export interface Tag {
  readonly title: string;
  readonly when: string;
  readonly late: boolean;
}

/** A vessel as it stands on the plank. */
export interface ShelfVessel {
  readonly id: string;
  readonly vessel: VesselDto;
  readonly fillFraction: number;
  readonly look: DrinkLook;
  readonly label: string;
}

/** A batch on the shelf: its vessels, or one of its crates. */
export interface ShelfItem {
  readonly key: string;
  readonly batchId: string;
  readonly name: string;
  readonly tape: string;
  readonly tapeLine: string;
  readonly vessels: readonly ShelfVessel[];
  readonly crate: Crate | null;
  readonly figure: string;
  readonly trend: 'down' | 'level' | null;
  readonly line: string;
  readonly tag: Tag | null;
}

const TAG_TITLES: Readonly<Record<string, string>> = {
  restart: 'Stuck',
  'second-reading': 'Read again',
  read: 'Read',
  pitch: 'Pitch',
  stir: 'Stir',
  strain: 'Strain',
  step: 'Next step',
  'restart-step': 'Next step',
  'clear-step': 'Next step',
  'keeve-step': 'Next step',
  rack: 'Rack',
  look: 'Clear yet?',
  release: 'Let gas out',
  malolactic: 'Taste it',
  taste: 'Taste it',
  lift: 'Take it out',
  bottle: 'Bottle',
  stabilise: 'Sugar left?',
  warm: 'Too cold',
  heat: 'Heat them',
  'heat-late': 'Make safe',
  'test-bottle': 'Squeeze',
  'test-hard': 'Hard: make safe',
  'open-one': 'Open one',
  'keg-ready': 'Draw some',
  'keg-release': 'Let it off',
  'keg-valve': 'Relief valve',
};

function tagOf(view: BatchView, forCrate: boolean, now: string, units: Units): Tag | null {
  const crateKinds = ['heat', 'heat-late', 'test-bottle', 'test-hard', 'open-one'];
  const job = view.due.find((j) => crateKinds.includes(j.kind) === forCrate && (j.urgency === 'overdue' || j.urgency === 'today'));
  if (!job) return null;
  const days = calendarDays(job.dueAt, now, units.zone());
  const when = job.urgency === 'today' ? (job.dueAt.length > 10 ? `after ${units.hour(job.dueAt)}` : 'today') : `${days} ${days === 1 ? 'day' : 'days'} late`;
  return {
    title: TAG_TITLES[job.kind] ?? job.title,
    when: job.kind === 'restart' ? 'see why' : when,
    late: job.urgency === 'overdue' || job.kind === 'restart',
  };
}

function stageLine(view: BatchView, now: string, units: Units): string {
  const { state, verdict } = view;
  const heat = state.placeC === null ? '' : ` · ${units.temperature(state.placeC)}`;
  if (state.keg) return `${state.keg.targetVolumes.toFixed(1)} volumes at ${units.temperature(state.keg.storeC)}`;
  if (!state.pitchedAt) return state.sulfitedAt ? `sulfited ${units.hour(state.sulfitedAt)}, ${units.day(state.sulfitedAt)}` : 'waiting for yeast';
  const day = `day ${calendarDays(state.pitchedAt, now, state.zone)}`;
  const status = verdict?.value.status;
  const word = status && (isAtRest(status) || status === 'stalled') ? ` · ${STATUS_WORDS[status]}` : heat;
  return `${day}${word}`;
}

function liquidItem(view: BatchView, vessels: ReadonlyMap<string, VesselDto>, now: string, units: Units): ShelfItem {
  const { batch, state } = view;
  const look = drinkLook(state, view.verdict?.value ?? null, now);
  const gravity = units.gravity(state.liquid ? gravityOf(state.liquid) : 1);
  const volumeL = state.liquid?.volumeL ?? 0;
  const readings = state.readings;
  const last = readings.at(-1);
  const before = readings.at(-2);
  return {
    key: batch.id,
    batchId: batch.id,
    name: batch.name,
    tape: batch.tape,
    tapeLine: `${units.day(batch.startedAt)} · ${units.volumeAbout(volumeL)}`,
    vessels: state.vessels.flatMap((fill) => {
      const vessel = vessels.get(fill.vesselId);
      if (!vessel) return [];
      const fillFraction = fill.volumeL / vessel.capacityL;
      const label = `${vessel.name}, ${units.volumeAbout(fill.volumeL)} of ${units.volume(vessel.capacityL)}, ${look.working ? 'working' : 'quiet'}`;
      return [{ id: fill.vesselId, vessel, fillFraction, look, label }];
    }),
    crate: null,
    figure: gravity,
    trend: last && before ? (before.sg - last.sg > 0.001 ? 'down' : 'level') : null,
    line: stageLine(view, now, units),
    tag: tagOf(view, false, now, units),
  };
}

function crateItem(view: BatchView, crate: Crate, now: string, units: Units): ShelfItem {
  const left = crate.lots.reduce((sum, lot) => sum + lot.left, 0);
  const filled = crate.lots.reduce((sum, lot) => sum + lot.filled, 0);
  const days = calendarDays(crate.bottledAt, now, units.zone());
  const young = dayIn(now, units.zone()) < readyWindow(crate, units.zone()).from;
  return {
    key: crate.id,
    batchId: view.batch.id,
    name: crate.name,
    tape: view.batch.tape,
    tapeLine: left === filled ? `${units.day(crate.bottledAt)} · ${countText(left, 'bottle')}` : `${left} of ${filled} left`,
    vessels: [],
    crate,
    figure: young && crate.sparkling ? `${crate.co2Volumes.toFixed(1)} vol` : 'ready',
    trend: null,
    line: young ? `in bottle, day ${days}` : `bottled ${units.day(crate.bottledAt)}`,
    tag: tagOf(view, true, now, units),
  };
}

/**
 * What stands on the shelf: batches in vessels first, then crates that still hold bottles.
 *
 * @param views - every batch
 * @param vessels - the maker's vessels by id
 * @param now - ISO 8601
 * @param units - the maker's units
 * @returns items in the order to draw them
 */
export function shelfItems(views: readonly BatchView[], vessels: ReadonlyMap<string, VesselDto>, now: string, units: Units): readonly ShelfItem[] {
  const inVessels = views.filter((v) => v.state.liquid !== null && v.state.vessels.length > 0).map((v) => liquidItem(v, vessels, now, units));
  const crates = views.flatMap((v) => v.state.crates.filter((c) => c.lots.some((lot) => lot.left > 0)).map((c) => crateItem(v, c, now, units)));
  return [...inVessels, ...crates];
}
