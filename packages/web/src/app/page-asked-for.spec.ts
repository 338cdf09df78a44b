import { routes } from './app.routes';
import { pageAskedFor } from './page-asked-for';

describe('pageAskedFor', () => {
  it.each([
    ['/', 'shelf'],
    ['/shelf', 'shelf'],
    ['/juice/blend', 'juice/blend'],
    ['/juice/01J0', 'juice/:id'],
    ['/batch/01J0/read/01J1', 'batch/:id/read/:entryId'],
    ['/year', ':place'],
  ])('finds the page of %s', (path, found) => expect(pageAskedFor(path, routes)?.path).toBe(found));
  it('finds none where there is none', () => expect(pageAskedFor('/batch/1/read/2/3', routes)).toBeUndefined());
});
