import { HttpErrorResponse } from '@angular/common/http';
import type { BookComparison, CellarStatus } from '@trug/contract/plain';
import { firstValueFrom, throwError } from 'rxjs';
import { PageHarness } from '../../../testing/page-harness';
import { until } from '../../../testing/until';
import { BookApi } from './book-api';
import { BookPage } from './book-page';

const NONE = { batches: 0, entries: 0, juices: 0, supplies: 0, vessels: 0, places: 0, instruments: 0, recipes: 0, readings: 0 };
const STATUS: CellarStatus = {
  mode: 'open',
  why: null,
  cellarId: '01J00000000000000000000000',
  dataDir: '/home/maker/.trug',
  backupDir: '/home/maker/.trug/backups',
  backups: [{ name: 'trug-2026-11-22T08-00-00-000Z.sqlite', madeAt: '2026-11-22T08:00:00.000Z', bytes: 90_000 }],
  backupTrouble: null,
  counts: { ...NONE, batches: 2, entries: 40 },
  unreadable: [],
};
const COMPARISON: BookComparison = {
  source: 'backup',
  name: STATUS.backups[0]?.name ?? '',
  sameCellar: true,
  counts: { ...NONE, batches: 2, entries: 37 },
  lost: { ...NONE, entries: 3 },
  gained: NONE,
  changed: 0,
  newestAt: '2026-11-22T07:00:00.000Z',
  losing: [{ name: 'Gate Blend', entries: 3 }],
};

async function open(status: Partial<CellarStatus> = {}): Promise<{ readonly page: PageHarness; readonly api: jest.Mocked<BookApi> }> {
  const shown = { ...STATUS, ...status };
  const api = {
    status: jest.fn(() => Promise.resolve(shown)),
    backUp: jest.fn(() => Promise.resolve(STATUS.backups[0])),
    setFolder: jest.fn(() => firstValueFrom(throwError(() => new HttpErrorResponse({ status: 422, error: { detail: 'That folder cannot be made.' } })))),
    compare: jest.fn(() => Promise.resolve(COMPARISON)),
    restore: jest.fn(() => Promise.resolve(STATUS)),
    lookAt: jest.fn(),
  } as unknown as jest.Mocked<BookApi>;
  const page = await PageHarness.open(BookPage, { providers: [{ provide: BookApi, useValue: api }] });
  await page.shows('h2');
  return { page, api };
}

it('says where the cellar is, what it holds and which backups there are', async () => {
  const { page } = await open();
  expect(page.text()).toContain('/home/maker/.trug');
  expect(page.text()).toContain('It holds 2 batches and 40 entries in the logs.');
  expect(page.text('.backups')).toContain('Sun 22 Nov 2026, 08:00');
});
it('says what going back would lose before anything is done, and puts it in place only then', async () => {
  const { page, api } = await open();
  await page.press('Go back to Sun 22 Nov 2026, 08:00');
  expect(page.text('.compare')).toContain('Lost: 3 entries in the logs. Entries would be missing from Gate Blend (3).');
  expect(api.restore.mock.calls).toEqual([]);
  await page.press('Put it in place, and lose that');
  expect(api.restore.mock.calls).toEqual([['backup', COMPARISON.name]]);
  expect(page.text('.done')).toContain('in the folder “kept”');
  expect(page.has('.compare')).toBe(false);
});
it('leaves everything as it is when it is told to', async () => {
  const { page, api } = await open();
  await page.press('Go back to Sun 22 Nov 2026, 08:00');
  await page.press('Leave everything as it is');
  expect(page.has('.compare')).toBe(false);
  expect(api.restore.mock.calls).toEqual([]);
});
it('offers the newest good backup when the cellar is damaged, and what could be saved', async () => {
  const { page, api } = await open({ mode: 'salvaged', why: 'The file is damaged.' });
  expect(page.text('[role=alert]')).toContain('The newest good backup is of Sun 22 Nov 2026');
  await page.press('Go on with what could be saved');
  expect(api.compare.mock.calls).toEqual([['salvage', 'salvaged']]);
});
it('says beside the field what is wrong with a folder, and keeps what was typed', async () => {
  const { page } = await open();
  await page.type('backupDir', '/nowhere');
  await page.press('Use this folder');
  await until(() => page.text('[name=backupDir] .field-error, [name=backupDir] .hint').includes('cannot be made'));
  expect(page.value('backupDir')).toBe('/nowhere');
});
it('names what cannot be read', async () => {
  const { page } = await open({ unreadable: [{ where: 'entries', id: 'E', batchId: 'B', at: '2026-11-01T10:00:00.000Z', why: 'what it says is garbled' }] });
  expect(page.text('.unreadable')).toBe('An entry of Sun 1 Nov 2026, 10:00: what it says is garbled.');
});
