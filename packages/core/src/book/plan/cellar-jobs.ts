import { nextSqueeze } from '../../finish/bottle/test-bottle.js';
import { awaitsHeat, heatBy } from '../state/crate-heat.js';
import { readyWindow } from '../../finish/bottle/ready-window.js';
import { figure } from '../../base/worked/figures.js';
import { countText } from '../../matter/quantity/count-text.js';
import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { dayIn } from '../../matter/quantity/zone.js';
import type { Crate, Keg } from '../state/batch-state.js';
import type { Add, JobsInput } from './job.js';

/** Days between two times that a keg of which nobody knows the end is let off. @source safety rule: weekly */
const KEG_RELEASE_DAYS = 7;

export function kegJobs({ batchName, state }: JobsInput, keg: Keg, add: Add): void {
  const lastAt = state.lastEntryAt ?? keg.at;
  const letOffAt = keg.letOff?.at ?? keg.at;
  if (keg.letOff?.lifts === false) {
    add(
      'keg-valve',
      letOffAt,
      dateAfter(letOffAt, 0, state.zone),
      `See to the relief valve of ${batchName}`,
      'It did not lift: let the gas off at the fitting and keep the keg cold until it has another. Its page says why.',
    );
  }
  if (keg.unproven) {
    add(
      'keg-release',
      letOffAt,
      dateAfter(letOffAt, KEG_RELEASE_DAYS, state.zone),
      `Let off the keg of ${batchName}`,
      'Its end was not proven, so it may still make gas. Let off what is over its level, look that the relief valve lifts, and write it down.',
    );
  }
  if (keg.gassedOn !== null && dayIn(lastAt, state.zone) < keg.gassedOn) {
    add(
      'keg-ready',
      keg.id,
      keg.gassedOn,
      `Draw some of ${batchName}`,
      `In the keg since ${dayText(keg.at, false, state.zone)}, for ${figure(keg.targetVolumes, 1)} volumes: it should be at its level.`,
    );
  }
}

export function crateJobs(input: JobsInput, crate: Crate, add: Add): void {
  const left = crate.lots.reduce((sum, lot) => sum + lot.left, 0);
  if (left === 0) return;
  const { batchName, state } = input;
  if (awaitsHeat(crate)) {
    heatJob(input, crate, left, add);
    return;
  }
  const opened = crate.lastOpenedAt !== null;
  // One bottle opened tells of its gas, and leaves the others of a hard crate as they are.
  if (crate.testBottle && (crate.sparkling || crate.atOwnRisk) && (!opened || crate.squeezed?.feel === 'hard')) squeezeJob(input, crate, add);
  if (!opened) {
    add(
      'open-one',
      crate.id,
      readyWindow(crate, state.zone).from,
      `Open one of ${batchName}`,
      `${countText(left, 'bottle')}, filled on ${dayText(crate.bottledAt, false, state.zone)}. Chill it first, over a sink.`,
    );
  }
}

/** Sugar and live yeast under a cap wait for nothing: the bath, or after a day a look. */
function heatJob({ state, today }: JobsInput, crate: Crate, left: number, add: Add): void {
  const by = heatBy(crate);
  const isLate = Date.parse(today) > Date.parse(by);
  if (isLate) {
    add(
      'heat-late',
      crate.id,
      by,
      `Make ${crate.name} safe: it was never heated through`,
      'Sugar and live yeast have stood in closed bottles for more than a day. Chill them, open one over a sink, and read it: its page says what then.',
    );
    return;
  }
  add(
    'heat',
    crate.id,
    dateAfter(crate.bottledAt, 0, state.zone),
    `Heat the ${countText(left, 'bottle')} of ${crate.name}`,
    'Sugar and live yeast are in them: heated through today, or opened tomorrow.',
  );
}

function squeezeJob({ batchName, state, method, today }: JobsInput, crate: Crate, add: Add): void {
  const asked = { bottledAt: crate.bottledAt, firmAfterDays: method.waits.testBottleDays, atOwnRisk: crate.atOwnRisk, last: crate.squeezed, zone: state.zone };
  const { on, text, danger } = nextSqueeze(asked);
  if (on === null) return;
  const days = calendarDays(crate.bottledAt, today, state.zone);
  const filled = `${batchName}, bottled ${days === 0 ? 'today' : `${countText(days, 'day')} ago`} at about ${figure(crate.co2Volumes, 1)} volumes.`;
  const late = crate.squeezed === null && days >= method.waits.testBottleDays;
  // Each squeeze asks anew, so that one put off holds nothing back that came after it.
  const cause = crate.squeezed === null ? crate.id : `${crate.id}@${crate.squeezed.at}`;
  add(
    danger ? 'test-hard' : 'test-bottle',
    cause,
    on,
    danger ? `Make ${crate.name} safe: its test bottle is hard` : 'Squeeze the test bottle',
    `${filled} ${late ? 'It should be firm by now.' : text}`,
  );
}
