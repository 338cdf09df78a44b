import { judgeState } from '../state/judge-state.js';
import { replay } from '../log/replay.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import { clearingWays, type HazeCause } from '../../ferment/clear/clearing-ways.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { calendarDays } from '../../matter/quantity/days.js';
import { methodById } from '../plan/method.js';
import { nextJobs } from '../plan/next-jobs.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { expectWithin } from '../../testing/expect-within.js';
import { roomGasL } from './room-gas.js';
import { blowOffRisk } from './blow-off-risk.js';
import { careNotes, type CareNote } from './care-notes.js';

const START_MS = Date.UTC(2026, 8, 1, 10);
const dayAt = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();
let made = 0;
function entry<K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]): Entry {
  made += 1;
  return { id: `C${String(made).padStart(5, '0')}`, batchId: 'B', kind, at: dayAt(day), writtenAt: dayAt(day), note: '', payload } as Entry;
}
const raw = (reading: number): EntryPayloads['filled']['gravity'] => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });
const fill = (volumeL: number, sg = 1.05): Entry =>
  entry('filled', 0, {
    source: 'juice',
    fruit: 'apple',
    volumeL,
    gravity: raw(sg),
    ph: 3.5,
    taGPerL: 6,
    tanninGPerL: 0.5,
    yanMgPerL: 80,
    vessels: [{ vesselId: 'V', volumeL }],
    tempC: 17,
  });
const pitch = (yeastId = 'crisp-cider'): Entry => entry('pitched', 0.1, { yeastId, massG: 5, method: 'sprinkled', juiceC: 17 });
const move = (day: number, tempC: number): Entry => entry('moved', day, { place: 'shed', tempC });
const read = (day: number, sg: number): Entry =>
  entry('reading', day, { gravity: raw(sg), ph: null, taGPerL: null, placeC: null, insistedOn: [], bubbles: null, smell: null });
const vessel = (kind: string, capacityL: number): { id: string; name: string; kind: string; capacityL: number } => ({ id: 'V', name: 'Jug', kind, capacityL });

function notesOf(log: readonly Entry[], day: number, in_ = vessel('carboy', 23)): readonly CareNote[] {
  const state = replay(log);
  expect(state.issues).toEqual([]);
  return careNotes(state, judgeState(state, dayAt(day))?.value ?? null, { today: dayAt(day), vessels: [in_] });
}
const ids = (...args: Parameters<typeof notesOf>): readonly string[] => notesOf(...args).map((n) => n.id);
const dry = [read(20, 0.999), read(28, 0.999)];

describe('blowOffRisk', () => {
  const risk = (volumeL: number, tempC: number, yeast: string): string =>
    blowOffRisk({ volumeL, capacityL: 23, tempC, yeast: yeastById(yeast), cloudy: false }).value.risk;
  it('grows with fill, warmth and the yeast’s foam', () => {
    expect(risk(20, 18, 'crisp-cider')).toBe('low');
    expect(risk(22.8, 18, 'crisp-cider')).toBe('high');
    expect(risk(20.7, 18, 'wild-spontaneous')).toBe('some');
    expect(risk(20.7, 12, 'wild-spontaneous')).toBe('some');
    expect(risk(21.3, 26, 'baking')).toBe('some');
    expect(risk(22.3, 26, 'baking')).toBe('high');
  });
  it('says how much to draw off', () =>
    expect(blowOffRisk({ volumeL: 22.9, capacityL: 23, tempC: 20, yeast: yeastById('american-ale'), cloudy: true }).value.text).toMatch(/Draw off 2\.\d L/));
});

describe('careNotes', () => {
  it('minds foam in the first days only, and not with a blow-off tube', () => {
    expect(ids([fill(22.8), pitch()], 2)).toContain('foam');
    expect(ids([fill(22.8), pitch(), read(14, 1.02), read(16, 1.015)], 16)).not.toContain('foam');
    expect(ids([fill(22.8), pitch(), entry('vented', 0.2, { vent: 'tube' })], 2)).not.toContain('foam');
  });
  it.each([
    [29, 'heat', 'act'],
    [24, 'heat', 'mind'],
    [7, 'cold', 'mind'],
  ])('minds %d °C', (tempC, id, weight) =>
    expect(notesOf([fill(20), pitch(), move(1, tempC), read(3, 1.04), read(6, 1.03)], 6)).toContainEqual(expect.objectContaining({ id, weight })),
  );
  it('says nothing of a batch at ease', () => expect(notesOf([fill(20), pitch(), move(1, 17), read(3, 1.04), read(6, 1.03)], 6)).toEqual([]));
  it('minds air, thin plastic and old lees under a finished weak drink', () => {
    expect(ids([fill(18), pitch(), ...dry], 60)).toEqual(['air']);
    // Six weeks from its end, not from the day the yeast went in.
    expect(ids([fill(18), pitch(), ...dry], 90)).toEqual(expect.arrayContaining(['air', 'lees']));
    expect(ids([fill(23), pitch(), ...dry], 60, vessel('bucket', 23))).toContain('plastic');
    expect(ids([fill(23), pitch(), ...dry], 60, vessel('cube', 23))).not.toContain('plastic');
    expect(ids([fill(23), pitch(), ...dry, entry('racked', 30, { vessels: [{ vesselId: 'V', volumeL: 22.5 }], lossL: 0.5 })], 60)).toEqual([]);
  });
  it('asks for a barrel to be filled up once a month, with what the wood let through, and no more once it was', () => {
    const barrel = vessel('barrel', 23);
    const moved = entry('racked', 30, { vessels: [{ vesselId: 'V', volumeL: 22.5 }], lossL: 0.5 });
    expect(ids([fill(23), pitch(), ...dry, moved], 57, barrel)).not.toContain('barrel');
    const note = notesOf([fill(23), pitch(), ...dry, moved], 60, barrel).find((n) => n.id === 'barrel');
    // 23 L × 0.05 × ∛(225 ÷ 23) × 30 ÷ 365, in a place of 18 °C.
    expect(note?.text).toMatch(/filled up 30 days ago.*about 0\.2 L have gone, 0\.1 to 0\.5 L/);
    const topped = entry('addition', 59, { what: 'water', volumeL: 0.2 });
    expect(ids([fill(23), pitch(), ...dry, moved, topped], 60, barrel)).not.toContain('barrel');
  });
  it('counts the days in a vessel as the maker counts them', () => {
    const log = [fill(23), pitch(), ...dry];
    // Begun at midnight in the far east: the day before, by the clock of Greenwich.
    const state = replay(log, 'Pacific/Kiritimati');
    const said = careNotes(state, judgeState(state, dayAt(50))?.value ?? null, { today: dayAt(48.9), vessels: [vessel('bucket', 23)] });
    const days = calendarDays(dayAt(0.1), dayAt(48.9), 'Pacific/Kiritimati');
    expect(days).not.toBe(calendarDays(dayAt(0.1), dayAt(48.9)));
    expect(said.find((n) => n.id === 'plastic')?.text).toContain(`for ${days} days`);
  });
  it('asks for a narrow neck once the foam is over, and not before', () => {
    expect(ids([fill(20), pitch(), read(3, 1.04), read(6, 1.03)], 6, vessel('bucket', 25))).not.toContain('narrow');
    expect(ids([fill(20), pitch(), read(3, 1.04), read(8, 1.015)], 8, vessel('bucket', 25))).toContain('narrow');
    expect(ids([fill(20), pitch(), read(3, 1.04), read(8, 1.015)], 8)).not.toContain('narrow');
  });
  it('reminds of the gas in a cold drink that was not racked', () => {
    expect(ids([fill(22.5), pitch(), ...dry, move(29, 8)], 30)).toContain('gas');
    expect(ids([fill(22.5), pitch(), ...dry, move(29, 16)], 30)).not.toContain('gas');
  });
  it('leaves a strong drink on its lees for long', () => {
    const strong = [fill(23, 1.085), pitch('neutral-champagne'), read(30, 0.993), read(40, 0.993)];
    expect(ids(strong, 200)).toEqual([]);
    expect(notesOf(strong, 215)).toEqual([expect.objectContaining({ id: 'lees', weight: 'note' })]);
  });
});

describe('the gas of a room', () => {
  it('is what all that works in it has still to give, in litres', () => {
    const liquid = liquidFromReadings({ volumeL: 20, sg: 1.05 });
    // 113 g/L of sugar is some 117 g/L as hexose: × 0.489 ÷ 1.9768 is 29 volumes, times 20 L.
    expectWithin(roomGasL([{ place: 'cellar', liquid }], 'cellar'), 577, { abs: 8 });
    expect(
      roomGasL(
        [
          { place: 'cellar', liquid },
          { place: 'cellar', liquid },
          { place: 'shed', liquid },
        ],
        'cellar',
      ),
    ).toBeCloseTo(2 * roomGasL([{ place: 'shed', liquid }], 'shed'), 6);
    expect(roomGasL([{ place: null, liquid }], 'cellar')).toBe(0);
  });
  it('is said beside a batch that stands in it', () => {
    const log = [fill(20), pitch(), move(1, 17), read(3, 1.04), read(6, 1.03)];
    const state = replay(log);
    const notes = (roomGasL: number): readonly CareNote[] =>
      careNotes(state, judgeState(state, dayAt(6))?.value ?? null, { today: dayAt(6), vessels: [], roomGasL });
    expect(notes(577).find((n) => n.id === 'room')?.text).toMatch(/580 L of gas still to give/);
    expect(notes(100).some((n) => n.id === 'room')).toBe(false);
  });
});

describe('a loosened cap', () => {
  const log = [fill(20), pitch(), entry('vented', 2, { vent: 'loose-cap' }), read(3, 1.04), read(6, 1.03)];
  const jobs = (entries: readonly Entry[], day: number): readonly string[] => {
    const state = replay(entries);
    return nextJobs({
      batchId: 'B',
      batchName: 'Lot',
      state,
      verdict: judgeState(state, dayAt(day))?.value ?? null,
      method: methodById('cool-slow'),
      today: dayAt(day),
    }).map((j) => `${j.kind} ${j.dueAt}`);
  };
  it('shows its danger and asks for a hand three times a day while it works', () => {
    expect(notesOf(log, 6)[0]).toMatchObject({ id: 'vent', weight: 'act' });
    expect(jobs(log, 6)).toContain(`release ${dayAt(2 + 1 / 3)}`);
    expect(jobs([...log, entry('vented', 7, { vent: 'loose-cap' })], 7)).toContain(`release ${dayAt(7 + 1 / 3)}`);
  });
  it('asks no more under an airlock, or once it is proven done', () => {
    expect(jobs([...log, entry('vented', 6, { vent: 'airlock' })], 6).join()).not.toContain('release');
    expect(jobs([...log, ...dry], 30).join()).not.toContain('release');
  });
});

describe('clearingWays', () => {
  const first = (haze: HazeCause, working = false): string | undefined => {
    const verdict = working ? judgeState(replay([fill(20), pitch(), read(3, 1.04), read(6, 1.03)]), dayAt(6)) : null;
    return clearingWays({ volumeL: 20, tempC: 15, verdict: verdict?.value ?? null, haze, bentoniteIn: false }).value.map((w) => `${w.means} ${w.fits}`)[0];
  };
  it.each([
    ['pectin', 'enzyme well'],
    ['starch', 'bentonite well'],
    ['yeast', 'time well'],
  ] as const)('offers what moves %s', (haze, way) => expect(first(haze)).toBe(way));
  it('leaves a working drink alone', () => {
    const verdict = judgeState(replay([fill(20), pitch(), read(3, 1.04), read(6, 1.03)]), dayAt(6))?.value ?? null;
    const ways = clearingWays({ volumeL: 20, tempC: 15, verdict, haze: 'yeast', bentoniteIn: false }).value;
    expect(ways.filter((w) => w.fits !== 'not now').map((w) => w.means)).toEqual(['time']);
  });
  it('doses by volume, twice over for enzyme in a fermented drink', () => {
    const mass = (volumeL: number, means: string): number =>
      clearingWays({ volumeL, tempC: 15, verdict: null, haze: 'unknown', bentoniteIn: false }).value.find((w) => w.means === means)?.massG ?? 0;
    expect(mass(20, 'enzyme')).toBeCloseTo(20, 6);
    expect(mass(20, 'bentonite')).toBeCloseTo(12, 6);
    expect(mass(10, 'finings')).toBeCloseTo(10, 6);
  });
});

describe('clearing in the log', () => {
  const base = [fill(20), pitch(), ...dry];
  const second = (day: number): Entry => entry('clarified', day, { means: 'finings', massG: 20, waitDays: 2 });
  const firstPart = entry('stepped', 30, { plan: 'finings', done: 'first', step: 1, of: 2, next: 'second', waitMin: 60 });
  it('refuses the second part before the first has had its hour', () => {
    expect(checkEntryAgainst(replay(base), null, second(30)).refusal).toContain('first part of the finings is not in');
    expect(checkEntryAgainst(replay([...base, firstPart]), null, second(30 + 0.5 / 24)).refusal).toContain('until 11:00');
    expect(checkEntryAgainst(replay([...base, firstPart]), null, second(30 + 1.1 / 24)).refusal).toBeNull();
  });
  it('ends the finings’ steps, and says when to look', () => {
    const state = replay([...base, firstPart, second(30.1)]);
    expect(state.plan).toBeNull();
    expect(state.clarified).toEqual({ means: 'finings', at: dayAt(30.1), lookAt: dayAt(32.1) });
  });
});

describe('the malolactic change', () => {
  const base = [fill(20), pitch(), ...dry];
  const mlf = (day: number, turnedFraction: number, done: boolean, bacteria = false): Entry =>
    entry('malolactic', day, { turnedFraction, wanted: true, bacteria, done });
  it('softens: less acid, higher pH, and no proof of the end is lost by it', () => {
    const [before, after] = [replay(base), replay([...base, mlf(40, 1, true)])];
    if (!before.liquid || !after.liquid) throw new Error('nothing in the vessel');
    // Malic 134.09 with two acid groups becomes lactic 90.08 with one: all of the malic acid's half leaves.
    expect(taOf(after.liquid)).toBeCloseTo(taOf(before.liquid) - before.liquid.malicGPerL / 2, 1);
    expect(phOf(after.liquid)).toBeGreaterThan(phOf(before.liquid) + 0.1);
    expect(gravityOf(after.liquid)).toBeLessThan(gravityOf(before.liquid));
    expect(judgeState(after, dayAt(41))?.value.status).toBe('finished-dry');
    expect(after.malolactic).toEqual({ at: dayAt(40), wanted: true, done: true });
  });
  it('and sorbate are kept apart, whichever comes first', () => {
    const sorbate = entry('stabilised', 50, { so2MgPerL: 50, sorbateMgPerL: 200 });
    expect(checkEntryAgainst(replay([...base, sorbate]), null, mlf(60, 0, false, true)).refusal).toContain('geranium');
    expect(checkEntryAgainst(replay([...base, mlf(40, 0, false, true)]), null, sorbate).refusal).toContain('geranium');
    expect(checkEntryAgainst(replay([...base, mlf(40, 0, false, true), mlf(45, 1, true)]), null, sorbate).refusal).toBeNull();
  });
});
