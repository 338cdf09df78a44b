import { judgeState } from '../../book/state/judge-state.js';
import { replay } from '../../book/log/replay.js';
import { logOf } from '../../testing/made-logs.js';

const make = logOf();

/** What comes next, of 20 L at 1.048 read on two days. */
function nextOf(first: readonly [day: number, sg: number], last: readonly [day: number, sg: number]): string {
  const state = replay([make.filled(), make.pitched(), make.read(...first), make.read(...last)]);
  return judgeState(state, make.at(last[0]))?.value.next.text ?? '';
}

describe('the day of the next reading', () => {
  it.each([
    ['slow, where half is left to go', [10, 1.04] as const, [20, 1.03] as const, /about half of what is left will have gone by then/],
    ['brisk, where the shortest wait takes it past half', [4, 1.031] as const, [8, 1.017] as const, /most of what is left will have gone by then/],
    ['fast, where it may be done before anybody would look again', [1, 1.038] as const, [3, 1.009] as const, /it could be near its end by then/],
    ['next to still', [10, 1.04] as const, [60, 1.03] as const, /so slow a ferment tells nothing sooner/],
  ])('is said with what should have gone by then: %s', (_pace, first, last, words) => {
    expect(nextOf(first, last)).toMatch(words);
  });
});
