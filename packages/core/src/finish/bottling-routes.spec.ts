import type { FermentStatus, Verdict } from '../ferment/verdict.js';
import { STATUS_WORDS } from '../ferment/verdict.js';
import { liquidFromReadings } from '../liquid/liquid-from-readings.js';
import { bottlingRoutes } from './bottling-routes.js';

const liquid = liquidFromReadings({ volumeL: 20, sg: 1.05 });
const verdict = (status: FermentStatus): Verdict => ({
  status,
  sentence: '',
  evidence: [],
  next: { kind: 'read', text: '', on: '2026-11-23' },
  expectedEndSg: 0.998,
  questionedIds: [],
});
const allowed = (status: FermentStatus | null, stabilised = false): string[] =>
  bottlingRoutes({ liquid, verdict: status === null ? null : verdict(status), stabilised })
    .filter((r) => r.allowed)
    .map((r) => r.id);

describe('bottlingRoutes', () => {
  it.each(['not-started', 'working', 'slowing', 'stalled', 'too-cold', 'too-few-readings'] as const)('leave only the cold keg while %s', (status) => {
    expect(allowed(status)).toEqual(['cold-keg']);
  });
  it.each(['finished-dry', 'settled-short'] as const)('open bottles when %s', (status) => {
    expect(allowed(status)).toEqual(['sparkling-dry', 'still', 'cold-keg']);
  });
  it('keep a drink asleep at its strength out of bottles until it is stabilised', () => {
    expect(allowed('finished-at-tolerance')).toEqual(['cold-keg']);
    expect(allowed('finished-at-tolerance', true)).toEqual(['still', 'cold-keg']);
  });
  it('never prime what was stabilised, nor sweeten fizz with sugar', () => {
    expect(allowed('finished-dry', true)).toEqual(['still', 'cold-keg']);
    for (const status of Object.keys(STATUS_WORDS) as FermentStatus[]) expect(allowed(status)).not.toContain('sparkling-sweet');
  });
  it('give a reason for each, allowed or not', () => {
    for (const route of bottlingRoutes({ liquid, verdict: null, stabilised: false })) expect(route.why.length).toBeGreaterThan(20);
  });
});
