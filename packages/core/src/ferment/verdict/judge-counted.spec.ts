import { END_SG, judged, on, statusOf, STRONG, type Read } from '../../testing/judged.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { dayText } from '../../matter/quantity/days.js';
import type { JudgedEntry, PlaceTemperature } from './judge-facts.js';

describe('what is counted', () => {
  const sugar = (day: number): JudgedEntry => ({ at: on(day), kind: 'gravity-changed' });
  const pitched: JudgedEntry = { at: on(0), kind: 'pitched' };
  const proven: readonly Read[] = [
    [9, 1.012],
    [20, END_SG],
    [27, END_SG],
  ];
  it('are readings since sugar went in, that of its moment among them', () => {
    expect(judged(proven, { entries: [pitched, sugar(9)] }).value.steadySince).toBe(on(20));
    // Without the reading of the day the sugar went in nothing is seen to fall: a fortnight at the end proves it, a week does not.
    const unseen = (...more: readonly Read[]): string => statusOf([...proven, ...more], { entries: [pitched, sugar(9.1)] });
    expect(unseen()).toBe('too-few-readings');
    expect(unseen([33, END_SG])).toBe('too-few-readings');
    expect(unseen([34, END_SG])).toBe('finished-dry');
    // Above the end it never began.
    const above = proven.map(([day]): Read => [day, END_SG + 0.004]);
    expect(statusOf([...above, [34, END_SG + 0.004]], { entries: [pitched, sugar(8.9)] })).toBe('not-started');
    expect(judged(proven, { entries: [pitched, sugar(9.1)] }).value.sentence).toContain('must span two weeks');
  });
  it('is the must itself on the day of the yeast, though sugar went in before it', () => {
    // One reading beside the must's own gravity is a fall; after sugar it is one reading.
    expect(statusOf([[6, 1.04]], { entries: [sugar(-1), pitched] })).toBe('working');
    expect(statusOf([[6, 1.04]], { entries: [sugar(0), pitched] })).toBe('working');
    expect(statusOf([[6, 1.04]], { entries: [pitched, sugar(1)] })).toBe('too-few-readings');
    // A gravity from before the yeast is not one of the ferment.
    expect(
      judged([
        [-2, 1.02],
        [0, 1.03],
      ]).value.evidence.map((e) => e.text),
    ).toContain('No reading so far');
  });
  it('tells who never read what can be known without, and nobody whose first reading is still to come', () => {
    const told = (today: string): string =>
      judged([], { entries: [pitched], today })
        .value.evidence.map((e) => e.text)
        .join('; ');
    expect(told(on(2))).not.toContain('Without a hydrometer');
    expect(told(on(60))).toContain('Without a hydrometer nobody can know whether sugar is left');
  });
  it('is every reading, where nobody says when the yeast went in', () => {
    expect(statusOf(proven, { entries: [] })).toBe('finished-dry');
  });
  it('moves readings from before water as far as it moved the gravity, in the order it went in', () => {
    const water = (day: number, deltaSg?: number): JudgedEntry => ({
      at: on(day),
      kind: 'gravity-changed',
      sugarless: true,
      ...(deltaSg === undefined ? {} : { deltaSg }),
    });
    const thinned: readonly Read[] = [
      [9, 1.012],
      [20, END_SG + 0.0025],
      [24, END_SG + 0.0025],
      [28, END_SG],
    ];
    expect(statusOf(thinned, { entries: [pitched] })).toBe('too-few-readings');
    expect(statusOf(thinned, { entries: [pitched, water(26, -0.0025)] })).toBe('finished-dry');
    expect(statusOf(thinned, { entries: [pitched, water(22, -0.0025)] })).not.toBe('finished-dry');
    expect(statusOf(thinned, { entries: [pitched, water(26)] })).toBe('too-few-readings');
    // A reading of its own moment was read with the water in.
    expect(statusOf(thinned, { entries: [pitched, water(24, -0.0025)] })).toBe(statusOf(thinned, { entries: [pitched, water(22, -0.0025)] }));
    expect(judged(thinned, { entries: [pitched, water(24, -0.0025)] }).value.steadySince).not.toBe(on(20));
  });
  it('proves an end only since the newest yeast', () => {
    expect(statusOf([...proven, [34, END_SG]], { entries: [pitched, { at: on(28), kind: 'pitched' }] })).toBe('too-few-readings');
    expect(judged([...proven, [34, END_SG]], { entries: [pitched, { at: on(27), kind: 'pitched' }] }).value.steadySince).toBe(on(27));
  });
  it('reckons the strength in its words by the maker’s school', () => {
    const stuck: readonly Read[] = [
      [9, 1.05],
      [20, 1.03],
      [34, 1.03],
    ];
    const stands = (school?: 'x131.25' | 'mass-balance'): string =>
      judged(stuck, { liquid: STRONG, ...(school ? { school } : {}) }).value.evidence.find((e) => e.text.includes('this yeast can stand'))?.text ?? '';
    expect(stands('x131.25')).toMatch(/^10\.5 % /);
    expect(stands()).toBe(stands('mass-balance'));
    expect(stands()).not.toMatch(/^10\.5 % /);
  });
  it('names the day of the newest yeast, and none where there was one', () => {
    const newYeast = (...days: readonly number[]): readonly string[] =>
      judged([...proven, [34, END_SG]], { entries: [pitched, ...days.map((day): JudgedEntry => ({ at: on(day), kind: 'pitched' }))] })
        .value.evidence.map((e) => e.text)
        .filter((text) => text.startsWith('New yeast'));
    expect(newYeast()).toEqual([]);
    expect(newYeast(28)).toHaveLength(1);
    expect(newYeast(28, 30)).toEqual([expect.stringContaining(dayText(on(30)))]);
  });
});

describe('weeks in the warm without a reading', () => {
  const least = yeastById('crisp-cider').tempC[1];
  const unread = (temps: readonly PlaceTemperature[], reads: readonly Read[] = [], entries?: readonly JudgedEntry[]): number | null =>
    judged(reads, { temps, today: on(60.5), ...(entries ? { entries } : {}) }).value.unreadWarmDays;
  it('are counted by whole days from the yeast, where every temperature was warm', () => {
    expect(unread([{ at: on(0), tempC: least }])).toBe(60);
    expect(unread([{ at: on(0), tempC: least - 0.1 }])).toBe(0);
    expect(
      unread([
        { at: on(0), tempC: 20 },
        { at: on(30), tempC: least - 1 },
      ]),
    ).toBe(0);
  });
  it('are none where nobody knows how warm it stood', () => {
    expect(unread([])).toBe(0);
  });
  it('take the place from before the yeast for the days after, and only the last of them', () => {
    expect(unread([{ at: on(-3), tempC: 20 }])).toBe(60);
    expect(unread([{ at: on(-3), tempC: 2 }])).toBe(0);
    expect(
      unread([
        { at: on(-9), tempC: 2 },
        { at: on(-3), tempC: 20 },
      ]),
    ).toBe(60);
  });
  it('end with the first reading, and begin anew with sugar', () => {
    const warm = [{ at: on(0), tempC: 20 }];
    expect(unread(warm, [[5, 1.04]])).toBeNull();
    expect(
      unread(
        warm,
        [[5, 1.04]],
        [
          { at: on(0), kind: 'pitched' },
          { at: on(10), kind: 'gravity-changed' },
        ],
      ),
    ).toBe(50);
    expect(
      unread(
        warm,
        [],
        [
          { at: on(0), kind: 'pitched' },
          { at: on(10), kind: 'gravity-changed', sugarless: true },
        ],
      ),
    ).toBe(60);
  });
});

describe('the working of a verdict', () => {
  const stepsOf = (...given: Parameters<typeof judged>): ReturnType<typeof judged>['steps'] => judged(...given).steps;
  it('says where it should end and why', () => {
    expect(stepsOf([])).toEqual([expect.objectContaining({ label: 'Where it should end', expression: 'all 1.064 of sugar gone, 9.2 %', result: '0.996' })]);
    expect(stepsOf([], { liquid: STRONG, yeastId: 'fruity-cider' })[0]?.expression).toMatch(/% if dry is past what this yeast stands, \d+–\d+ %$/);
  });
  it('says how fast it falls beside its best', () => {
    const steps = stepsOf([
      [7, 1.044],
      [14, 1.039],
    ]);
    expect(steps[1]).toMatchObject({ label: 'How fast', expression: 'last stretch 5.0 points a week, best so far 20.0', result: '25 %' });
    expect(stepsOf([[7, 1.064]])[1]?.result).toBe('no fall');
  });
});
