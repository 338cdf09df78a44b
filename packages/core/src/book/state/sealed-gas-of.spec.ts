import { freeSo2For } from '../../juice/adjust/sulfite-dose.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { dryGravityOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { logOf } from '../../testing/made-logs.js';
import type { BatchState } from './batch-state.js';
import { replay } from '../log/replay.js';
import { asIfDry, neverRead, sealedGasOf, warmestSinceEnd } from './sealed-gas-of.js';

const make = logOf();
const state = replay(make.dryAt(0.9975));
const gasOf = (changes: Partial<BatchState>): NonNullable<ReturnType<typeof sealedGasOf>> => {
  const gas = sealedGasOf({ ...state, ...changes });
  if (!gas) throw new Error('nothing stands in a vessel');
  return gas;
};
const liquid = state.liquid ?? liquidFromReadings({ volumeL: 1, sg: 1 });

describe('sealedGasOf', () => {
  it('is nothing where nothing stands in a vessel', () => {
    expect(sealedGasOf({ ...state, liquid: null })).toBeNull();
  });
  it('knows the sugar by a reading and by where it ends: a point each, better where acid was measured, and never of a pear', () => {
    const sd = (readingPoints: number, endPoints: number): number => Math.hypot(readingPoints, endPoints) * 2.24;
    const pear = { ...liquid, fruit: 'pear' as const };
    expect(gasOf({ guessed: ['taGPerL'] }).sugarSdGPerL).toBeCloseTo(sd(1, 1), 9);
    expect(gasOf({ guessed: [] }).sugarSdGPerL).toBeCloseTo(sd(1, 0.5), 9);
    expect(gasOf({ guessed: [], liquid: pear }).sugarSdGPerL).toBeCloseTo(sd(1, 1), 9);
    expect(gasOf({ guessed: ['taGPerL'], liquid: pear }).sugarSdGPerL).toBeCloseTo(sd(1, 1), 9);
    expect(gasOf({ tested: { at: make.at(27), sdGPerL: 0.7 } as BatchState['tested'] }).sugarSdGPerL).toBe(0.7);
  });
  it('fears bacteria until their work is over, or sulfite for its pH holds them', () => {
    const begun = { done: false } as NonNullable<BatchState['malolactic']>;
    const needed = freeSo2For(phOf(liquid), 0.5);
    const held = (free: number, guessed: BatchState['guessed'] = []): string =>
      gasOf({ malolactic: null, guessed, liquid: { ...liquid, freeSo2MgPerL: free } }).malolactic;
    expect(gasOf({ malolactic: { ...begun, done: true } }).malolactic).toBe('over');
    expect(gasOf({ malolactic: begun, liquid: { ...liquid, freeSo2MgPerL: 80 } }).malolactic).toBe('under-way');
    expect([held(0), held(needed - 0.01), held(needed), held(80)]).toEqual(['possible', 'possible', 'over', 'over']);
    // Of a pH that nobody measured, a quarter above what is usual: there it takes 1.8 times as much.
    const more = freeSo2For(phOf(liquid) + 0.25, 0.5);
    expect([held(needed, ['ph']), held(more - 0.01, ['ph']), held(more, ['ph'])]).toEqual(['possible', 'possible', 'over']);
  });
  it('takes the warmest since a week before the last reading, which is on day 26', () => {
    const at = (...temps: readonly (readonly [day: number, tempC: number])[]): number =>
      warmestSinceEnd({ ...state, temps: temps.map(([day, tempC]) => ({ at: make.at(day), tempC })) });
    expect(at([0, 30], [20, 12], [24, 16])).toBe(16);
    expect(at([18.9, 30], [20, 12])).toBe(12);
    expect(at([19, 14], [20, 12])).toBe(14);
    expect(at([27, 25], [24, 16])).toBe(25);
    expect([at([25, 80]), at([25, -4])]).toEqual([60, 0]);
    // Where nothing was written down in that time, it stands where it stood, and nobody knows better than a usual shed.
    expect(warmestSinceEnd({ ...state, temps: [{ at: make.at(2), tempC: 30 }], placeC: 9 })).toBe(9);
    expect(warmestSinceEnd({ ...state, temps: [], placeC: null })).toBe(15);
    // Before any reading, all of its time counts.
    expect(warmestSinceEnd({ readings: [], placeC: 9, temps: [{ at: make.at(2), tempC: 30 }] })).toBe(30);
  });
});

describe('a drink that nobody read', () => {
  it('was pitched, and not read since', () => {
    const pitchedOnly = replay([make.filled(), make.pitched(2)]);
    const readBefore = replay([make.filled(), make.read(1, 1.048), make.pitched(2)]);
    const readAfter = replay([make.filled(), make.read(1, 1.048), make.pitched(2), make.read(6, 1.03)]);
    expect([replay([make.filled()]), pitchedOnly, readBefore, readAfter, state].map(neverRead)).toEqual([false, true, true, false, false]);
    // A reading at the pitch itself tells the must, and nothing of what the yeast did.
    expect(neverRead({ ...pitchedOnly, readings: [{ ...(state.readings[0] ?? { sg: 1 }), at: make.at(2) }] as BatchState['readings'] })).toBe(true);
  });
  it('is at best dry but for what was weighed in', () => {
    const must = liquidFromReadings({ volumeL: 20, sg: 1.05 });
    const sugar = fermentableGPerL(must);
    const dry = asIfDry(gasOf({ liquid: must, weighedGPerL: 0 })).liquid;
    expect(gravityOf(dry)).toBeCloseTo(dryGravityOf(must), 6);
    expect(fermentableGPerL(asIfDry(gasOf({ liquid: must, weighedGPerL: 4 })).liquid)).toBeCloseTo(4, 6);
    expect(fermentableGPerL(asIfDry(gasOf({ liquid: must, weighedGPerL: 2 * sugar })).liquid)).toBeCloseTo(sugar, 6);
    const none = { ...must, sucroseGPerL: 0, hexoseGPerL: 0 };
    expect(fermentableGPerL(asIfDry(gasOf({ liquid: none, weighedGPerL: 0 })).liquid)).toBe(0);
    expect(asIfDry(gasOf({ liquid: must, weighedGPerL: 4 }))).toMatchObject({ weighedGPerL: 4, malolactic: gasOf({}).malolactic });
  });
});
