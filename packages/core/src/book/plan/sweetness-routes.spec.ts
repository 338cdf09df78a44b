import { fermentableById } from '../../base/reference/fermentables.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import { bottlePressure } from '../../finish/bottle/co2-solubility.js';
import { SWEETNESS_LEVELS } from '../../finish/sweeten/sweetness.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { followOn, type FoldedLog } from '../log/follow-on.js';
import { replay } from '../log/replay.js';
import { judgeState } from '../state/judge-state.js';
import { sealWay } from '../state/sealing.js';
import { DRINKER_NEEDS, sweetnessRoutes, WISHED_FIZZ, type RoutesAsked, type SweetRoute } from './sweetness-routes.js';

const make = logOf();
const SUGAR_G_PER_VOLUME = 4.0;
/** A weak and a strong drink that ended dry, racked, with its acid settled and its last sugar tested. */
const DRINKS = [
  ['5 %', 1.042],
  ['8 %', 1.06],
] as const;
const proven = (og: number): readonly Entry[] => [
  make.filled({ gravity: { instrument: 'hydrometer', reading: og, sampleC: 20, calibratedAtC: 20, offsetSg: 0 } }),
  make.pitched(),
  ...[7, 18, 26].map((day) => make.read(day, 0.997)),
  make.racked(27, 19),
  make.malolactic(28, { turnedFraction: 1, done: true }),
  make.entry('tested', 29, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] }),
];
const NOBODY: RoutesAsked = {
  sweetness: 'medium',
  fizz: 'still',
  way: 'proven',
  malolactic: false,
  needs: [],
  coldKeg: true,
  bath: true,
  mayHeat: false,
  restsAtSg: null,
};
const CONDITIONS: readonly (readonly [string, Partial<RoutesAsked>])[] = [
  ['nothing beside', {}],
  ['no cold keg', { coldKeg: false }],
  ['no bath', { bath: false }],
  ...DRINKER_NEEDS.map((need) => [need, { needs: [need] }] as const),
  ['everybody, no keg and no bath', { needs: DRINKER_NEEDS, coldKeg: false, bath: false }],
  ['bacteria at work', { malolactic: true }],
];
/** A drink before it is kept, and what is wished of it. */
interface Wished {
  readonly sweetness: RoutesAsked['sweetness'];
  readonly fizz: RoutesAsked['fizz'];
  readonly before: readonly Entry[];
  readonly state: FoldedLog['state'];
}

/** Acts filed one after another, as a maker would; none of them may be refused. */
const filed = (before: FoldedLog, acts: readonly Entry[]): FoldedLog =>
  acts.reduce((on, act) => {
    const followed = followOn(on, act);
    if (!followed.ok) throw new Error(`${act.kind}: ${followed.why}`);
    return followed.on;
  }, before);

const open = (asked: RoutesAsked): readonly SweetRoute[] => sweetnessRoutes(asked).filter((route) => route.allowed);

describe('ways to a sweetness that lasts', () => {
  it.each([
    ['dry and lively', { sweetness: 'dry', fizz: 'lively' }, ['dry']],
    ['medium and lively', { fizz: 'lively' }, ['lasting', 'cold-keg']],
    ['medium and still', {}, ['lasting', 'stabilised', 'cold-keg', 'heated']],
    ['medium and still, no bath', { bath: false }, ['lasting', 'stabilised', 'cold-keg']],
    ['medium and gentle', { fizz: 'gentle' }, ['lasting', 'cold-keg', 'heated']],
    ['medium and gentle, no keg', { fizz: 'gentle', coldKeg: false }, ['lasting']],
    ['medium and still, for someone who reacts to sulfite', { needs: ['sulfite'] }, ['lasting', 'cold-keg', 'heated']],
    ['medium and still, for someone who minds sugar', { needs: ['diabetic'] }, ['lasting']],
    ['medium, not proven', { way: 'unproven' }, ['cold-keg']],
    ['medium, not proven, sweetened today', { way: 'unproven', mayHeat: true }, ['cold-keg', 'heated']],
    ['medium, not proven, no keg', { way: 'unproven', coldKeg: false }, []],
    ['sweet and lively, stabilised already', { sweetness: 'sweet', fizz: 'lively', way: 'stabilised' }, ['cold-keg']],
    ['sweet and still, stabilised already', { sweetness: 'sweet', way: 'stabilised' }, ['lasting', 'stabilised', 'cold-keg', 'heated']],
    ['medium and still, at rest by itself at 1.012', { restsAtSg: 1.012 }, ['lasting', 'stabilised', 'cold-keg', 'heated', 'keeved']],
    ['the same, and lively', { restsAtSg: 1.012, fizz: 'lively' }, ['lasting', 'cold-keg']],
    ['the same, not proven', { restsAtSg: 1.012, way: 'unproven' }, ['cold-keg']],
    ['at rest dry', { restsAtSg: 0.999 }, ['lasting', 'stabilised', 'cold-keg', 'heated']],
    ['medium and still, bacteria at work', { malolactic: true }, ['lasting', 'cold-keg']],
  ] as const)('%s', (_what, asked, ids) => {
    expect(open({ ...NOBODY, ...asked }).map((route) => route.id)).toEqual(ids);
  });
  it('asks for no more sugar where it went in today', () => {
    const steps = (mayHeat: boolean): string =>
      open({ ...NOBODY, mayHeat })
        .find((route) => route.id === 'heated')
        ?.steps.join(' ') ?? '';
    expect(steps(false)).toContain('Sweeten it until it is medium');
    expect(steps(true)).not.toContain('Sweeten');
    expect(steps(true)).toContain('5 % left empty');
  });
  it('leave out what is wrong for who drinks it', () => {
    const sweeteners = (needs: RoutesAsked['needs'], sweetness: RoutesAsked['sweetness'] = 'off-dry') =>
      open({ ...NOBODY, sweetness, needs }).find((route) => route.id === 'lasting')?.sweetenerIds;
    expect(sweeteners([])).toContain('xylitol');
    expect(sweeteners(['dogs'])).not.toContain('xylitol');
    expect(sweeteners([])).toContain('lactose');
    expect(sweeteners(['milk'])).not.toContain('lactose');
    expect(sweeteners([], 'sweet')).not.toContain('lactose');
  });

  it.each([
    [2, true],
    [6, false],
  ])('a drink that came to rest sweet, and lost %i points more in the warm: offered, and bottled %s', (points, holds) => {
    const raw = (reading: number) => ({ instrument: 'hydrometer' as const, reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });
    const log = [
      make.filled({ gravity: raw(1.056), yanMgPerL: 60 }),
      make.pitched(),
      ...[30, 90, 150, 165].map((day, i) => make.read(day, [1.03, 1.016, 1.012, 1.012][i] ?? 1.012, 12)),
      make.racked(166, 19),
      make.malolactic(167, { turnedFraction: 1, done: true }),
      make.read(168, 1.012, 12),
      make.entry('tested', 168.1, {
        by: 'forced-ferment',
        before: raw(1.012),
        after: raw(1.012 - points / 1000),
        days: 7,
        tempC: 25,
        acknowledged: ['test-disagrees'],
      }),
      make.read(176, 1.012, 12),
    ];
    const state = replay(log);
    const way = sealWay(state, judgeState(state, make.at(177))?.value ?? null);
    expect(open({ ...NOBODY, way, restsAtSg: 1.012 }).map((route) => route.id)).toContain('keeved');
    const followed = followOn({ log, state }, make.bottled(177, { hottestC: 25, kindId: 'crown-500', count: 20 }));
    expect(followed.ok).toBe(holds);
    // 2.24 g/L of sugar a point, half a volume from two grams of it, on what it holds at 12 °C.
    const volumes = 1.05 + (points * 2.24 * 0.489) / 1.9768;
    expect(bottlePressure({ co2Volumes: volumes, tempC: 25 }) + 0.75 < 4.2).toBe(holds);
  });

  const cross = SWEETNESS_LEVELS.flatMap(({ id: sweetness }) =>
    WISHED_FIZZ.flatMap((fizz) => DRINKS.flatMap(([strength, og]) => CONDITIONS.map(([who, asked]) => ({ sweetness, fizz, strength, og, who, asked })))),
  );
  it('are a full cross', () => {
    expect(cross.length).toBeGreaterThanOrEqual(3 * 3 * 2 * 8);
  });
  it.each(cross)(
    '$sweetness, $fizz, $strength, $who: each has its reason, and none offered bursts or falls flat in a year at 25 °C',
    ({ sweetness, fizz, og, asked }) => {
      const before = proven(og);
      const state = replay(before);
      const way = sealWay(state, judgeState(state, make.at(30))?.value ?? null);
      const wished: RoutesAsked = { ...NOBODY, sweetness, fizz, way, ...asked };
      for (const route of sweetnessRoutes(wished)) {
        expect(route.why.length).toBeGreaterThan(10);
        expect(route.steps.length > 0).toBe(route.allowed);
        // Sugar that yeast may eat never stands in a bottle beside yeast that makes fizz.
        if (route.allowed && route.id !== 'cold-keg' && route.id !== 'heated' && fizz !== 'still') {
          for (const id of route.sweetenerIds) expect(fermentableById(id).fermentableFraction).toBe(0);
        }
        if (route.allowed && (route.id === 'dry' || route.id === 'lasting')) bottlesHold(route, { sweetness, fizz, before, state });
        if (route.allowed && route.id === 'heated') bathHolds({ sweetness, fizz, before, state });
      }
    },
  );

  /** Bottles of a way: filed as a maker would, and held against sums of their own. */
  function bottlesHold(route: SweetRoute, { sweetness, fizz, before, state }: Wished): void {
    const kindId = fizz === 'lively' ? 'sparkling-750' : 'crown-500';
    const volumes = { still: 0, gentle: 2, lively: 2.6 }[fizz];
    const aimGPerL = SWEETNESS_LEVELS.find((level) => level.id === sweetness)?.aimGPerL ?? 0;
    const [sweetener] = route.sweetenerIds;
    const residual = 0.85;
    const primingG = volumes === 0 ? 0 : (volumes - residual) * SUGAR_G_PER_VOLUME * 19;
    const acts: readonly Entry[] = [
      ...(sweetener === undefined
        ? []
        : [make.entry('sweetened', 31, { sweetenerId: sweetener, massG: (aimGPerL * 19) / fermentableById(sweetener).sweetnessVsSucrose })]),
      ...(primingG > 0
        ? [make.entry('primed', 32, { fermentableId: 'sucrose', massG: primingG, mode: 'bulk', targetVolumes: volumes, warmestSinceEndC: 18 })]
        : []),
      make.bottled(32, { hottestC: 25, kindId, count: 20 }),
    ];
    const on = filed({ log: before, state }, acts);
    // All that ferments is the priming: a gram of sugar in a litre makes a quarter of a volume.
    const made = residual + primingG / 19 / SUGAR_G_PER_VOLUME;
    expect(bottlePressure({ co2Volumes: made, tempC: 25 })).toBeLessThan(bottleById(kindId).limitBar ?? 0);
    const [crate] = on.state.crates;
    expect(crate?.wakesVolumes).toBeNull();
    if (fizz !== 'still') expect(crate?.co2Volumes).toBeGreaterThan(1.5);
    else expect(crate?.co2Volumes).toBeLessThan(1.2);
  }

  /** Bottles heated: filed as a maker would, and the bath and a year after it held against sums of their own. */
  function bathHolds({ sweetness, fizz, before, state }: Wished): void {
    const kindId = fizz === 'still' ? 'crown-500' : 'sparkling-750';
    const aimGPerL = SWEETNESS_LEVELS.find((level) => level.id === sweetness)?.aimGPerL ?? 0;
    const keg = { vessel: { vesselId: 'K', volumeL: 18.5 }, lossL: 0.5, targetVolumes: 1.8, storeC: 4, way: 'slow' as const, acknowledged: [] };
    const acts: readonly Entry[] = [
      ...(fizz === 'still' ? [] : [make.entry('kegged', 30, keg), make.entry('unsealed', 40, {})]),
      make.entry('sweetened', 40.1, { sweetenerId: 'sucrose', massG: aimGPerL * 18.5 }),
      make.bottled(40.3, { hottestC: 25, kindId, count: 20, toHeat: { headspace: 0.05 }, acknowledged: ['heat-due', 'hot-bottles'] }),
    ];
    const on = filed({ log: before, state }, acts);
    const [crate] = on.state.crates;
    const done = filed(on, [make.entry('heated', 40.6, { crateId: crate?.id ?? '', steps: [{ minutes: 10, coreC: 65 }], acknowledged: ['hot-bottles'] })]);
    const [after] = done.state.crates;
    expect(after?.wakesVolumes).toBeNull();
    expect(after?.drink.liquid.sucroseGPerL).toBeGreaterThan(0.9 * aimGPerL);
    // In the bath: the gas it had, half a volume more, in what water of that heat and 3.2 % of room hold, and its air.
    const volumes = (fizz === 'still' ? 1 : 1.8) + 0.5;
    const perAtm = 0.92 * 0.326 + 0.032 * (273.15 / 338.15);
    const gaugeBar = (volumes / perAtm) * 1.01325 + 0.75 * (0.05 / 0.032) * (338 / 285) - 1.01325;
    expect(gaugeBar).toBeLessThan(bottleById(kindId).hotLimitBar ?? 0);
    expect(bottlePressure({ co2Volumes: volumes, tempC: 25 })).toBeLessThan(bottleById(kindId).limitBar ?? 0);
    if (fizz === 'gentle') expect(after?.co2Volumes).toBeGreaterThan(1.7);
  }
});
