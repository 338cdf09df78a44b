import { Bench } from '../pages/bench';
import { DESK, SEASON_DAY, TestTrug } from '../support/trug';

const trug = new TestTrug();
const CARD = 'trug-instrument-list li:last-child';

beforeAll(() => trug.start(SEASON_DAY, true));
afterAll(() => trug.stop());

it('a stand-in plays a whole ferment in fast time, live on the curve, and the log stays as it was', async () => {
  const batches = (await (await fetch(`${trug.url}/api/batches?with=logs`)).json()) as { id: string; name: string; entries: unknown[] }[];
  const batch = batches.find((b) => b.name === 'Gate B');
  if (!batch) throw new Error('the season has no Gate B');

  const { page, faults } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  await bench.open('/cupboard');
  await bench.press('Add an instrument');
  await bench.choose('instrumentKind', 'floating-hydrometer');
  await bench.fill('instrumentName', 'Borrowed float');
  await bench.pressAt('trug-instrument-list form.card button[type=submit]');
  await bench.says(/Borrowed float/);
  await bench.choose('standsIn', batch.id, CARD);
  await bench.press('It stands there now');

  // Another window looks at the curve before anything has come.
  const watching = await trug.page(DESK);
  const curve = new Bench(watching.page, trug.url);
  await curve.open(`/batch/${batch.id}`);
  expect(await watching.page.$('path.device')).toBeNull();

  await page.bringToFront();
  await page.$eval(`${CARD} details`, (details) => details.setAttribute('open', ''));
  await bench.choose('pace', '10', CARD);
  await bench.press('Start a stand-in');
  await bench.says(/has played to/);

  await watching.page.bringToFront();
  await watching.page.waitForSelector('path.device');
  const early = await watching.page.$eval('path.device', (path) => path.getAttribute('d')?.length ?? 0);
  await watching.page.waitForFunction(
    (before) => (document.querySelector('path.device')?.getAttribute('d')?.length ?? 0) > 2 * before,
    { timeout: 120_000 },
    early,
  );
  // By the end it is dry, and compared with what was read off glass.
  await curve.says(/Borrowed float says about (0\.99\d|1\.00\d) and \d\d(\.\d)? °C\. (Reads 0\.\d{3} (high|low) against|Agrees with) \d glass readings/);

  await curve.says(/Made up by a stand-in.*counts for nothing/);

  // A stretch is looked at by dragging over it, and left again.
  const svg = await watching.page.$('trug-curve svg');
  const box = await svg?.boundingBox();
  if (!box) throw new Error('there is no curve');
  await watching.page.mouse.move(box.x + 200, box.y + 120);
  await watching.page.mouse.down();
  await watching.page.mouse.move(box.x + 330, box.y + 130, { steps: 4 });
  await watching.page.mouse.up();
  await curve.press('All of it');

  await page.bringToFront();
  await bench.press('Stop the stand-in');
  await bench.says(/Start a stand-in/);

  const after = (await (await fetch(`${trug.url}/api/batches/${batch.id}`)).json()) as { entries: unknown[] };
  expect(after.entries).toEqual(batch.entries);
  expect([...faults, ...watching.faults]).toEqual([]);
});

it('readings pasted as a table are shown as understood, and only the good ones are filed', async () => {
  const { page, faults } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  const batches = (await (await fetch(`${trug.url}/api/batches?with=logs`)).json()) as { id: string; name: string }[];
  await bench.open(`/batch/${batches.find((b) => b.name === 'North Wall Wild')?.id ?? ''}/import`);
  await bench.fill('table', 'Day;Gravity;Remark\n18.11.2026;1,037;slow\n20.11.2026;1,500;?\n21.11.2026;1,036;');
  await bench.says(/2 readings from 18 Nov 2026 to 21 Nov 2026, gravity from 1\.037 to 1\.036/);
  await bench.says(/row 3: a gravity of 1,500 cannot be/);
  await bench.press('Write them down');
  await bench.says(/1\.036 .*out of a table/);
  expect(faults).toEqual([]);
});
