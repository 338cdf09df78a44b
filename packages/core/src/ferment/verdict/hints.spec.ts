import { hintEvidence, hintsInWords, type Hint } from './hints.js';
import type { FermentStatus } from './verdict.js';

const TODAY = '2026-11-23T10:00:00Z';
const hint = (of: Hint['of'], is: Hint['is'], at = '2026-11-20T10:00:00Z'): Hint => ({ at, of, is });
const lines = (status: FermentStatus, ...hints: readonly Hint[]): readonly string[] => hintEvidence(hints, status, TODAY).map((e) => `${e.speaks}: ${e.text}`);

describe('hintEvidence', () => {
  it('never speaks for an end', () => {
    const all = [hint('bubbles', 'none'), hint('clarity', 'clear'), hint('smell', 'egg')];
    expect(lines('too-few-readings', ...all).every((l) => l.startsWith('note: '))).toBe(true);
    expect(lines('too-few-readings', ...all).join(' ')).toMatch(/quiet airlock proves nothing.*no proof of it.*sign of life/);
  });
  it('speaks against sealing where a proven drink bubbles', () =>
    expect(lines('finished-dry', hint('bubbles', 'lively'))).toEqual([expect.stringMatching(/^against: Bubbles on 20 Nov/)]));
  it('takes the newest of each, and nothing old', () => {
    expect(lines('working', hint('bubbles', 'none', '2026-11-10T10:00:00Z'), hint('bubbles', 'lively'))).toEqual([expect.stringContaining('20 Nov')]);
    expect(lines('working', hint('bubbles', 'none', '2026-10-01T10:00:00Z'))).toEqual([]);
  });
});

it.each([
  ['Clear enough to read through.', ['clear']],
  ['Not clear yet, still hazy', ['hazy']],
  ['Eggy smell', ['egg']],
  ['Dry and sharp', []],
  ['smelt of eggs, gone by evening', []],
  ['no haze any more', []],
  ['the haze has cleared', ['clear']],
] as const)('hintsInWords reads %s', (text, found) => expect(hintsInWords(TODAY, text).map((h) => h.is)).toEqual([...found]));
