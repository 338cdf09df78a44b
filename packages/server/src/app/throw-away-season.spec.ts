import { startTestServer } from '../testing/test-server.js';
import { createThrowAwaySeason, type SeasonProcess } from './throw-away-season.js';

/** A season's process that is left and ends when told. */
interface Started extends SeasonProcess {
  readonly leave: () => void;
}

/** A promise, and what settles it. */
function settled(): [Promise<void>, () => void] {
  let settle = (): void => undefined;
  const promise = new Promise<void>((resolve) => {
    settle = resolve;
  });
  return [promise, settle];
}

/** A start that only counts how often it was asked for. */
function startsOf(): { readonly started: Started[]; readonly start: () => Promise<SeasonProcess> } {
  const started: Started[] = [];
  const start = (): Promise<SeasonProcess> => {
    const [left, leave] = settled();
    const [ended, stop] = settled();
    const one = { url: `http://localhost:${9000 + started.length}`, left: Promise.race([left, ended]), ended, leave, stop };
    started.push(one);
    return Promise.resolve(one);
  };
  return { started, start };
}
const patient = (): AbortSignal => new AbortController().signal;

describe('a season to look around in', () => {
  it('is one, however many windows ask at once, and is filled once', async () => {
    const { started, start } = startsOf();
    const fill = jest.fn(() => Promise.resolve());
    const season = createThrowAwaySeason(start, fill);
    expect(await Promise.all([season.open(patient()), season.open(patient())])).toEqual(['http://localhost:9000', 'http://localhost:9000']);
    expect(started).toHaveLength(1);
    expect(fill).toHaveBeenCalledTimes(1);
  });
  it.each(['left from its own page, though it has not ended yet', 'ended by itself'])('is made anew after it was %s', async (how) => {
    const { started, start } = startsOf();
    const season = createThrowAwaySeason(start, () => Promise.resolve());
    await season.open(patient());
    if (how.startsWith('left')) started[0]?.leave();
    else started[0]?.stop();
    await started[0]?.left;
    expect(await season.open(patient())).toBe('http://localhost:9001');
    await season.close();
    expect(await season.open(patient())).toBe('http://localhost:9002');
  });
  it.each(['whoever asked goes away', 'Trug is stopped'])('is given up half-way when %s, and can be asked for again', async (when) => {
    const { started, start } = startsOf();
    const fill = (_url: string, { signal }: { readonly signal?: AbortSignal }): Promise<void> =>
      started.length > 1
        ? Promise.resolve()
        : new Promise((_resolve, reject) => {
            signal?.addEventListener('abort', () => {
              reject(new Error('given up'));
            });
          });
    const season = createThrowAwaySeason(start, fill);
    const asking = new AbortController();
    const asked = season.open(asking.signal);
    await Promise.resolve();
    while (started.length === 0) await Promise.resolve();
    await new Promise((resolve) => setImmediate(resolve));
    const closed = when === 'Trug is stopped' ? season.close() : Promise.resolve();
    asking.abort();
    await expect(asked).rejects.toThrow('given up');
    await Promise.all([closed, started[0]?.ended]);
    expect(await season.open(patient())).toBe('http://localhost:9001');
  });
  it('is not thrown away by asking the maker’s own cellar for it', async () => {
    const server = await startTestServer();
    expect(await server.request('DELETE', '/api/season')).toMatchObject({ status: 422, body: { code: 'not-allowed' } });
    expect(await server.request('POST', '/api/season')).toMatchObject({ status: 422, body: { code: 'not-allowed' } });
    await server.remove();
  });
});
