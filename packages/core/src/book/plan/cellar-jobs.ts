import { readyWindow } from '../../finish/bottle/ready-window.js';
import { figure } from '../../base/worked/figures.js';
import { countText } from '../../matter/quantity/count-text.js';
import { calendarDays, dateAfter, daysBetween, dayText } from '../../matter/quantity/days.js';
import { dayIn } from '../../matter/quantity/zone.js';
import type { BatchState, Keg } from '../state/batch-state.js';
import type { Add, JobsInput } from './job.js';

/** Days between two times that a keg of which nobody knows the end is let off. @source safety rule: weekly */
const KEG_RELEASE_DAYS = 7;

export function kegJobs({ batchName, state }: JobsInput, keg: Keg, add: Add): void {
  const lastAt = state.lastEntryAt ?? keg.at;
  if (keg.unproven) {
    add(
      'keg-release',
      lastAt,
      dateAfter(lastAt, KEG_RELEASE_DAYS, state.zone),
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

export function crateJobs({ batchName, state, method, today }: JobsInput, crate: BatchState['crates'][number], add: Add): void {
  const left = crate.lots.reduce((sum, lot) => sum + lot.left, 0);
  if (left === 0) return;
  const days = calendarDays(crate.bottledAt, today, state.zone);
  const opened = crate.lastOpenedAt !== null;
  if (crate.testBottle && crate.sparkling && !opened) {
    const squeezed = state.lastEntryAt !== null && daysBetween(crate.bottledAt, state.lastEntryAt) >= method.waits.testBottleDays;
    if (!squeezed) {
      const firmOn = dateAfter(crate.bottledAt, method.waits.testBottleDays, state.zone);
      const firm = days < method.waits.testBottleDays ? `It should be firm by ${dayText(firmOn, true)}.` : 'It should be firm by now.';
      add(
        'test-bottle',
        crate.id,
        firmOn,
        'Squeeze the test bottle',
        `${batchName}, bottled ${days === 0 ? 'today' : `${countText(days, 'day')} ago`} at about ${figure(crate.co2Volumes, 1)} volumes. ${firm}`,
      );
    }
  }
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
