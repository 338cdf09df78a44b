import type { FermentStatus, Verdict } from '../../ferment/verdict/verdict.js';
import type { SealWay } from '../state/sealing.js';
import { bottlingRoutes } from './bottling-routes.js';

const verdict = (status: FermentStatus): Verdict => ({
  status,
  sentence: '',
  evidence: [],
  next: { kind: 'read', text: '', on: '2026-11-23', dueOn: '2026-11-23' },
  expectedEndSg: 0.998,
  questionedIds: [],
  steadySince: null,
  unreadWarmDays: null,
});
const allowed = (way: SealWay, status: FermentStatus = 'finished-dry'): string[] =>
  bottlingRoutes({ way, verdict: verdict(status) })
    .filter((r) => r.allowed)
    .map((r) => r.id);

describe('bottlingRoutes', () => {
  it('leave only the cold keg while nothing is proven, and say what the verdict says', () => {
    expect(allowed('unproven', 'working')).toEqual(['cold-keg']);
    expect(bottlingRoutes({ way: 'unproven', verdict: verdict('slowing') })[0]?.why).toContain('slowing');
  });
  it('open bottles to a proven end, and count what a high end may have left', () => {
    expect(allowed('proven')).toEqual(['sparkling-dry', 'still', 'cold-keg']);
    expect(allowed('ended-high', 'settled-short')).toEqual(['sparkling-dry', 'still', 'cold-keg']);
    expect(bottlingRoutes({ way: 'ended-high', verdict: null })[0]?.why).toMatch(/counts as fizz/);
  });
  it('never prime what was stabilised, nor sweeten fizz with sugar', () => {
    expect(allowed('stabilised')).toEqual(['still', 'cold-keg']);
    for (const way of ['proven', 'ended-high', 'stabilised', 'unproven'] as const) expect(allowed(way)).not.toContain('sparkling-sweet');
  });
  it('give a reason for each, allowed or not', () => {
    for (const route of bottlingRoutes({ way: 'unproven', verdict: null })) expect(route.why.length).toBeGreaterThan(20);
  });
});
