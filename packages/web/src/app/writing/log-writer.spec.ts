import type { Entry } from '@trug/core';
import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry } from '../../testing/sample-batch';
import { until } from '../../testing/until';
import { PROBLEM, WriterHarness } from '../../testing/writer-harness';
import { AppActions } from '../state/app.actions';
import { appFeature } from '../state/app.reducer';
import { BatchApiActions, BatchPageActions, type Filing } from '../state/batches.actions';
import { selectBatchViews, type BatchView } from '../state/batch-views.selectors';
import { batchesFeature } from '../state/batches.reducer';
import { LogWriter } from './log-writer';

let desk: WriterHarness<LogWriter>;
beforeEach(() => (desk = WriterHarness.of(LogWriter)));
afterEach(() => desk.http.verify());

const entriesOf = (): number => desk.store.selectSignal(batchesFeature.selectAll)()[0]?.entries?.length ?? 0;

const filingOf = (...entries: readonly Entry[]): Filing => ({ batches: [], entries });

/** Where the log of a batch is asked for. */
const logsOf = (id: string): string => `/api/batches?with=logs&ids=${id}`;

describe('opening', () => {
  it('loads the book once it is asked for', () => {
    desk.opened();
    expect(desk.store.selectSignal(appFeature.selectLoaded)()).toBe(true);
    expect(desk.store.selectSignal(appFeature.selectNow)()).toBe('2026-11-23T10:00:00.000Z');
  });
  it('says so when the server does not answer, and can be asked again', () => {
    desk.store.dispatch(AppActions.opened());
    const asked = desk.http.expectOne('/api/start');
    asked.error(new ProgressEvent('error'));
    expect(desk.store.selectSignal(appFeature.selectProblem)()).toMatchObject({ code: 'unreachable' });
    desk.store.dispatch(AppActions.reloadAsked());
    desk.http.match(() => true);
  });
});

describe('a log', () => {
  const whole = sampleBatch([filled(), pitched()]);
  it('is fetched when it is wanted, and again when the list says that it goes on', async () => {
    desk.opened({ ...whole, entries: null });
    expect(desk.store.selectSignal(batchesFeature.selectAll)()[0]?.entries).toBeNull();
    desk.store.dispatch(BatchPageActions.logsWanted({ batchIds: [BATCH_ID] }));
    desk.http.expectOne(logsOf(BATCH_ID)).flush([whole]);
    await until(() => entriesOf() === 2);
    const longer = sampleBatch([...whole.entries, reading(3, 1.03)]);
    desk.opened({ ...longer, entries: null });
    desk.http.expectOne(logsOf(BATCH_ID)).flush([longer]);
    await until(() => entriesOf() === 3);
  });
  it('is fetched after something was filed on a batch that was only listed', async () => {
    desk.opened({ ...whole, entries: null });
    const entries = [reading(3, 1.03)];
    desk.store.dispatch(BatchPageActions.filingSent({ sent: filingOf(...entries) }));
    desk.http.expectOne('/api/entries').flush({});
    desk.http.expectOne(logsOf(BATCH_ID)).flush([sampleBatch([...whole.entries, ...entries])]);
    await until(() => entriesOf() === 3);
  });
});

describe('filing on a batch of which only the summary is here', () => {
  const whole = sampleBatch([filled(), pitched()]);
  const drunk = { kind: 'discarded', payload: { volumeL: 1, why: 'drunk' } } as const;
  const listed = (): BatchView => {
    desk.opened({ ...whole, entries: null });
    const [view] = desk.store.selectSignal(selectBatchViews)();
    if (!view) throw new Error('it is listed');
    return view;
  };
  it.each(['alone', 'with others'])('asks its log first, %s', async (how) => {
    const view = listed();
    const form = { wrong: () => null, forget: () => undefined };
    const written = how === 'alone' ? desk.writer.write(view, [drunk], '', 'stay') : desk.writer.writeEach([{ view, act: drunk }], '', form);
    await desk.answered('GET', '/api/batches', [whole]);
    expect(await desk.answered('POST', '/api/entries', {})).toMatchObject({ entries: [drunk] });
    expect(await written).toBeNull();
  });
  it('is refused by what its log says', async () => {
    const refused = desk.writer.write(listed(), [{ kind: 'unsealed', payload: {} }], '', 'stay');
    await desk.answered('GET', '/api/batches', [whole]);
    expect(await refused).toContain('does not add up');
  });
});

describe('filing', () => {
  it('sends entries one request after another, in the order written, and says so', async () => {
    desk.opened();
    const [one, two] = [desk.writer.file(filingOf(reading(3, 1.03)), 'one'), desk.writer.file(filingOf(pitched()), 'two')];
    await until(() => entriesOf() === 3);
    await desk.answered('POST', '/api/entries', {});
    await one;
    expect(desk.said).toHaveBeenLastCalledWith('one', 'Undo', expect.anything());
    await desk.answered('POST', '/api/entries', {});
    await two;
    expect(desk.said).toHaveBeenLastCalledWith('two', 'Undo', expect.anything());
  });
  it('takes a refused entry back and says why', async () => {
    desk.opened();
    const filed = desk.writer.file(filingOf(reading(3, 1.03)), '');
    await desk.answered('POST', '/api/entries', { ...PROBLEM, status: 422, code: 'not-allowed', detail: 'Its end is not proven.' }, 422);
    expect((await filed).refused).toBe('Its end is not proven.');
    expect(entriesOf()).toBe(1);
    expect(desk.said).toHaveBeenLastCalledWith('Its end is not proven.', 'Close', expect.anything());
  });
  it('leaves in the log what the server has, when another version of it is refused', async () => {
    const there = reading(3, 1.03);
    desk.opened(sampleBatch([filled(), there]));
    const also = { ...reading(3, 1.031), id: there.id };
    desk.store.dispatch(BatchPageActions.filingSent({ sent: filingOf(also) }));
    await desk.answered('POST', '/api/entries', { ...PROBLEM, status: 409, code: 'conflict', detail: 'Another.', current: [there] }, 409);
    await desk.answered('GET', '/api/batches', [sampleBatch([filled(), there])]);
    await until(() => entriesOf() === 2);
  });
  it('strikes out what was written when undo is pressed, and puts it back when that is undone', async () => {
    desk.opened();
    const written = reading(3, 1.03);
    void desk.writer.file(filingOf(written), 'Written down.');
    await desk.answered('POST', '/api/entries', {});
    await until(() => desk.said.mock.calls.length === 1);
    desk.undo();
    const struck = { kind: 'corrected', batchId: BATCH_ID, payload: { entryId: written.id, replacement: null } };
    expect(await desk.answered('POST', '/api/entries', {})).toMatchObject({ entries: [struck] });
    await until(() => desk.said.mock.calls.length === 2);
    expect(desk.said).toHaveBeenLastCalledWith(expect.stringContaining('Taken back'), 'Undo', expect.anything());
    desk.undo();
    const back = { kind: 'corrected', payload: { entryId: written.id, replacement: { kind: 'reading', payload: written.payload } } };
    expect(await desk.answered('POST', '/api/entries', {})).toMatchObject({ entries: [back] });
  });
  it('takes each press on a line for an act of its own, though the answer to the one before never came', async () => {
    desk.opened();
    const written = reading(3, 1.03);
    void desk.writer.file(filingOf(written), 'Written down.');
    await desk.answered('POST', '/api/entries', {});
    const press = async (way: 'strikeOut' | 'putBack', answer: object | null): Promise<string> => {
      const pressed = desk.writer[way](written, '');
      const { entries } = (await desk.answered('POST', '/api/entries', answer ?? { ...PROBLEM, status: 503 }, answer ? 200 : 503)) as {
        entries: { id: string }[];
      };
      await pressed;
      return entries[0]?.id ?? '';
    };
    const struck = await press('strikeOut', null);
    // No answer: the same press once more is the same act.
    expect(await press('strikeOut', {})).toBe(struck);
    const ids = [struck, await press('putBack', {}), await press('strikeOut', {}), await press('putBack', {})];
    expect(new Set(ids).size).toBe(4);
    // A press whose answer this window never heard, and which arrived: what is pressed after it is another one.
    const unheard = await press('strikeOut', null);
    const arrived = { ...sampleEntry('corrected', 4, { entryId: written.id, replacement: null }), id: unheard };
    const log = desk.store.selectSignal(batchesFeature.selectAll)()[0]?.entries ?? [];
    desk.store.dispatch(BatchApiActions.logsFetched({ batches: [sampleBatch([...log, arrived])] }));
    expect(await press('putBack', {})).not.toBe(unheard);
  });
  it('begins a batch with its first entries, once however often it is pressed', async () => {
    desk.opened();
    const batch = { ...sampleBatch([filled()]), id: '01B00000000000000000000001' };
    const { id, name, methodId, tape, startedAt, entries } = batch;
    const facts = { id, name, methodId, tape, startedAt };
    const own = entries.map((e) => ({ ...e, batchId: batch.id }));
    const tries = [desk.writer.file({ batches: [facts], entries: own }, 'Begun.'), desk.writer.file({ batches: [facts], entries: own }, 'Begun.')];
    expect(await desk.answered('POST', '/api/batches', { batches: [{ ...batch, entries: own }] })).toEqual({ batches: [facts], entries: own });
    expect((await Promise.all(tries)).map((sent) => sent.refused)).toEqual([null, null]);
    expect(desk.store.selectSignal(batchesFeature.selectTotal)()).toBe(2);
  });
});
