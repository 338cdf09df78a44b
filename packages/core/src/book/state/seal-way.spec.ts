import type { FermentStatus, Verdict } from '../../ferment/verdict/verdict.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import { EMPTY_STATE, type BatchState } from './batch-state.js';
import { maySeal, sealWay, UNREAD_DAYS, unprovenWords } from './sealing.js';

const dry = fermentFraction(liquidFromReadings({ volumeL: 20, sg: 1.05, ph: 3.5, taGPerL: 6 }), 1);
const verdict = (status: FermentStatus, unreadWarmDays: number | null = null): Verdict => ({
  status,
  sentence: '',
  evidence: [],
  next: { kind: 'read', text: '', on: '2026-11-23', dueOn: '2026-11-23' },
  steadySince: null,
  unreadWarmDays,
  expectedEndSg: 0.998,
  questionedIds: [],
});
const state = (changes: Partial<BatchState> = {}): BatchState => ({ ...EMPTY_STATE, liquid: dry, ...changes });
const TESTED: BatchState['tested'] = { at: '2026-11-20T10:00:00.000Z', leftGPerL: 1, sdGPerL: 1 };

describe('sealWay', () => {
  it.each<[string, Partial<BatchState>, Verdict | null, string]>([
    ['nothing pitched', {}, null, 'unproven'],
    ['working', {}, verdict('working'), 'unproven'],
    ['finished dry', {}, verdict('finished-dry'), 'proven'],
    ['settled high', {}, verdict('settled-short'), 'ended-high'],
    ['settled high and tested', { tested: TESTED }, verdict('settled-short'), 'proven'],
    ['at its limit', {}, verdict('finished-at-tolerance'), 'ended-high'],
    ['working, tested once', { tested: TESTED }, verdict('working'), 'unproven'],
    ['stabilised in full', { stabilisedAt: '2026-11-20', liquid: { ...dry, sorbateMgPerL: 200 } }, verdict('working'), 'stabilised'],
    ['sorbate that nobody filed as the whole dose', { liquid: { ...dry, sorbateMgPerL: 200 } }, verdict('working'), 'unproven'],
    ['a dose thinned since', { stabilisedAt: '2026-11-20', liquid: { ...dry, sorbateMgPerL: 60 } }, verdict('working'), 'unproven'],
    ['stabilised and gone', { stabilisedAt: '2026-11-20', liquid: null }, null, 'unproven'],
    ['unread for long', {}, verdict('too-few-readings', UNREAD_DAYS), 'unread'],
    ['unread for nearly long enough', {}, verdict('too-few-readings', UNREAD_DAYS - 1), 'unproven'],
  ])('%s', (_what, changes, said, way) => {
    expect(sealWay(state(changes), said)).toBe(way);
    expect(maySeal(state(changes), said)).toBe(way !== 'unproven' && way !== 'unread');
  });
});

describe('unprovenWords', () => {
  it('says what it is, what woke it, and which dose does not count', () => {
    const warm: Verdict = { ...verdict('too-cold'), next: { ...verdict('too-cold').next, text: 'Move it to 14–20 °C.' } };
    expect(unprovenWords(state(), warm)).toContain(' Move it to 14–20 °C. Equal readings over a week prove an end, over two where nobody saw it fall');
    expect(unprovenWords(state(), null)).toMatch(/not proven \(no yeast yet\)/);
    expect(unprovenWords(state(), verdict('working'))).not.toMatch(/Sugar went in|do not count/);
    expect(unprovenWords(state({ wokenAt: '2026-11-20' }), verdict('working'))).toMatch(/Sugar went in after its end was proven/);
    const weak = { at: '2026-11-20T10:00:00.000Z', why: 'the dose is smaller' };
    expect(unprovenWords(state({ notStabilised: weak }), verdict('working'))).toMatch(/do not count: the dose is smaller/);
  });
});
