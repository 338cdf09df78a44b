import { gravityOf } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry, EntryPayloads, Replacement } from '../entry/entry.js';
import { amountsOf, withAmounts } from '../entry/entry-amounts.js';
import { replay } from './replay.js';
import { whatFollows, type WhatFollows } from './what-follows.js';

const make = logOf();
const sugar = make.entry('addition', 2, { what: 'fermentable', fermentableId: 'sucrose', massG: 500, supplies: [{ supplyId: 'JAR', amount: 500 }] });
const primed = make.primed(30, 120);
const bottled = make.bottled(30.01, { count: 38 });
const dry = [...make.dryAt(0.998)];
const log: readonly Entry[] = [...dry, primed, bottled];
const kept = (entry: Entry | undefined): Replacement => {
  if (!entry || entry.kind === 'corrected') throw new Error('no such entry');
  return entry;
};
const ofEntry = (all: readonly Entry[], entry: Entry | undefined, replacement: Replacement | null): WhatFollows =>
  whatFollows({ log: all, state: replay(all) }, { entryId: entry?.id ?? '', replacement }, make.at(40));

describe('the amounts of an entry', () => {
  it('are put right with what came out of the cupboard for them', () => {
    expect(amountsOf(kept(sugar))).toEqual([{ key: 'massG', label: 'How much', measure: 'mass', value: 500 }]);
    expect(withAmounts(kept(sugar), new Map([['massG', 250]]))).toMatchObject({ payload: { massG: 250, supplies: [{ supplyId: 'JAR', amount: 250 }] } });
  });
  it('name the vessel and the kind of bottle they belong to, and each changes alone', () => {
    const racked = kept(make.racked(12, 18));
    expect(amountsOf(racked).map(({ key, vesselId }) => [key, vesselId])).toEqual([
      ['vessel-0', 'W'],
      ['lossL', undefined],
    ]);
    expect(withAmounts(racked, new Map([['lossL', 1]]))).toMatchObject({ payload: { vessels: [{ vesselId: 'W', volumeL: 18 }], lossL: 1 } });
    expect(withAmounts(kept(bottled), new Map([['bottles-0', 20]]))).toMatchObject({ payload: { bottles: [{ kindId: 'crown-500', count: 20 }] } });
  });
  it('leave an entry as it is where nothing is another, and are none of what states none', () => {
    for (const entry of log.filter((e) => e.kind !== 'corrected')) {
      const stands = kept(entry);
      expect(withAmounts(stands, new Map(amountsOf(stands).map(({ key, value }) => [key, value])))).toBe(stands);
    }
    expect(amountsOf(kept(make.entry('note', 3, { text: 'eggy' } as EntryPayloads['note'])))).toEqual([]);
    expect(() => withAmounts(kept(primed), new Map([['volumeL', 3]]))).toThrow(/no volumeL/);
  });
});

describe('what follows from a correction', () => {
  it('is nothing where the same is said again', () => {
    const { before, after, turns } = ofEntry(log, primed, kept(primed));
    expect(turns).toEqual([]);
    expect(after.crates).toEqual(before.crates);
  });
  it('tells another fizz in the bottles, and which entries no longer add up', () => {
    const { turns } = ofEntry(log, primed, withAmounts(kept(primed), new Map([['massG', 200]])));
    expect(turns).toMatchObject([{ is: 'fizz', crate: 'Lot' }]);
    const [fizz] = turns;
    // 80 g more in 20 L make about 1.04 volumes.
    expect(fizz?.is === 'fizz' && fizz.toVolumes - fizz.fromVolumes).toBeCloseTo((80 * 0.514) / 20 / 1.9768, 1);
    const halved = ofEntry(log, dry[0], withAmounts(kept(dry[0]), new Map([['volumeL', 10]])));
    expect(halved.turns).toContainEqual(expect.objectContaining({ is: 'not-counted', entryId: bottled.id }));
  });
  it('tells the fizz of its own crate, and of no other', () => {
    const [half, other] = [make.bottled(30.01, { count: 15, crate: 'First' }), make.bottled(30.02, { count: 15, crate: 'Second' })];
    const { turns } = ofEntry([...dry, primed, half, other], half, withAmounts(kept(half), new Map([['bottles-0', 14]])));
    expect(turns).toEqual([]);
  });
  it('says of no entry twice what it says of the correction itself', () => {
    // Struck out, the sugar counts no more: that is the correction, and nothing that follows.
    expect(ofEntry([...dry, primed], primed, null).turns.filter((turn) => turn.is === 'not-counted')).toEqual([]);
    const [bad, why] = [make.bottled(31, { count: 400 }), 'not-counted'];
    const over = ofEntry([...dry, primed, bottled], bottled, withAmounts(kept(bottled), new Map([['bottles-0', 400]])));
    expect(over.turns.filter((turn) => turn.is === why)).toEqual([]);
    expect(over.after.issues.map(({ entryId }) => entryId)).toContain(bottled.id);
    expect(ofEntry([...dry, primed, bad], dry.at(-1), kept(dry.at(-1))).turns).toEqual([]);
  });
  it('tells that an end is not proven any more, and that it is again', () => {
    const last = dry.at(-1);
    const struck = ofEntry(dry, last, null);
    expect(struck.turns).toEqual([{ is: 'status', from: 'finished-dry', to: expect.not.stringMatching('finished') as string }]);
    const without: Entry = make.entry('corrected', 41, { entryId: last?.id ?? '', replacement: null });
    expect(ofEntry([...dry, without], last, kept(last)).turns).toMatchObject([{ is: 'status', to: 'finished-dry' }]);
  });
  it('shows the drink as it then is', () => {
    const sweet = [make.filled(), sugar];
    const { before, after } = ofEntry(sweet, sugar, null);
    expect(gravityOf(before.liquid ?? never())).toBeGreaterThan(gravityOf(after.liquid ?? never()) + 0.005);
  });
});

function never(): never {
  throw new Error('there is nothing in a vessel');
}
