import { Bench } from '../pages/bench';
import { DESK, SEASON_DAY, TestTrug } from '../support/trug';

let trug: TestTrug;
afterEach(() => trug.stop());

async function withSeason(): Promise<{ bench: Bench; path: (name: string) => string; faults: string[] }> {
  trug = new TestTrug();
  await trug.start(SEASON_DAY, true);
  const batches = (await (await fetch(`${trug.url}/api/batches`)).json()) as { id: string; name: string }[];
  const { page, faults } = await trug.page(DESK);
  return { bench: new Bench(page, trug.url), path: (name) => `/batch/${batches.find((b) => b.name === name)?.id ?? ''}`, faults };
}

describe('care along the way', () => {
  it('waits out a sulfite, and pitches the yeast chosen at the start a day later', async () => {
    trug = new TestTrug();
    await trug.start('2026-11-01');
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await bench.open('/new');
    await bench.fill('name', 'Patient');
    await bench.fill('volume', '4.4 L');
    await bench.fill('sg', '1.052');
    await bench.press('Put it in the cupboard');
    await bench.choose('yeast', 'cool-fruity-white');
    await bench.tickOption('clean', 'sulfite');
    await bench.says(/tablets, crushed/, 'aside');
    await bench.press('Begin it');
    await bench.says(/Waiting out its sulfite/, 'trug-now');
    const path = new URL(page.url()).pathname;
    await bench.press('Pitch the yeast');
    await bench.says(/starts late and weakly/);
    await bench.says(/Wait about 24 hours/);
    await trug.moveClock('2026-11-03');
    await bench.open('/shelf');
    await bench.says(/Pitch Patient/, 'trug-job-list');
    await bench.open(`${path}/pitch`);
    await bench.says(/floral, pear/);
    await bench.fill('juice', '60F');
    await bench.press('Pitch it');
    await bench.says(/Cool-fermenting fruity white-wine type/, 'trug-log');
    await bench.says(/no reading since the yeast went in/, 'trug-now');
    expect(faults).toEqual([]);
  });

  it('takes back what was written, from the bar and from the log, and keeps it in the record', async () => {
    const { bench, path, faults } = await withSeason();
    await bench.open(`${path('Gate B')}/read`);
    await bench.fill('gravity', '1.001');
    await bench.fill('sample', '15 C');
    await bench.press('Write it down');
    await bench.says(/^Finished/, 'trug-now h2');
    await bench.press('Undo');
    await bench.says(/^Cannot tell yet/, 'trug-now h2');
    await bench.says(/struck out/, 'trug-log');
    await bench.page.waitForNetworkIdle();
    const reload = await fetch(`${trug.url}/api${path('Gate B').replace('batch', 'batches')}`);
    const { entries } = (await reload.json()) as { entries: { kind: string }[] };
    expect(entries.slice(-2).map((e) => e.kind)).toEqual(['reading', 'corrected']);
    expect(faults).toEqual([]);
  });

  it('moves a stuck one to the warm and shows it on the curve', async () => {
    const { bench, path, faults } = await withSeason();
    await bench.open(path('Hollow Wild'));
    await bench.says(/^Stuck/, 'trug-now h2');
    await bench.pressElse('Move it');
    await bench.fill('place', 'the kitchen corner');
    await bench.fill('temp', '17 C');
    await bench.press('Write it down');
    await bench.says(/Moved to the kitchen corner, 17 °C/, 'trug-log');
    expect(faults).toEqual([]);
  });

  it('puts an unfinished one in the cold keg only when the danger is acknowledged', async () => {
    const { bench, path } = await withSeason();
    await bench.open('/cupboard');
    await bench.press('Add a vessel');
    await bench.choose('kind', 'keg');
    await bench.fill('name', 'Second keg');
    await bench.press('Put it in');
    await bench.says(/Second keg/, 'main ul');
    await bench.open(`${path('North Wall Wild')}/bottle`);
    expect(await bench.page.$$eval('input[name=route]:not([disabled])', (inputs) => inputs.map((i) => i.value))).toEqual(['cold-keg']);
    await bench.press('To the keg');
    await bench.press('Keg it');
    await bench.says(/Gas must get out/, '[role=alert]');
    await bench.fill('acknowledge', 'I understand');
    await bench.press('Keg it');
    await bench.says(/In the keg, taking gas: at 2\.6 volumes about/, 'trug-now h2');
  });

  it('speaks the maker’s units everywhere at once', async () => {
    const { bench, path, faults } = await withSeason();
    await bench.open('/settings');
    await bench.choose('volume', 'us-gal');
    await bench.choose('temperature', 'degF');
    await bench.choose('gravity', 'Bx');
    await bench.page.waitForNetworkIdle();
    await bench.open('/shelf');
    await bench.says(/37\.\d+ US gal/, 'main');
    await bench.says(/°Bx/, 'main');
    await bench.open(path('Carton No. 4'));
    await bench.says(/5\.\d+ US gal/, 'trug-tape');
    await bench.says(/70 °F/, 'trug-log');
    expect(faults).toEqual([]);
  });

  it('loses nothing when the server is gone, and says so', async () => {
    const { bench, path } = await withSeason();
    await bench.open(`${path('Carton No. 4')}/read`);
    await bench.fill('gravity', '1.030');
    await bench.fill('note', 'written in a power cut');
    await bench.page.setOfflineMode(true);
    await bench.press('Write it down');
    await bench.says(/did not answer/, '[role=alert]');
    await bench.page.setOfflineMode(false);
    const { entries } = (await (await fetch(`${trug.url}/api${path('Carton No. 4').replace('batch', 'batches')}`)).json()) as { entries: { note: string }[] };
    expect(entries.map((e) => e.note)).not.toContain('written in a power cut');
    await bench.open(`${path('Carton No. 4')}/read`);
    expect(await bench.valueOf('note')).toBe('written in a power cut');
  });
});
