import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Problem } from '@trug/contract/plain';
import { PageHarness } from '../../testing/page-harness';
import { until } from '../../testing/until';
import { App } from './app';
import { PLACES } from './places';
import { AppApiActions } from '../state/app.actions';

const problem: Problem = { type: 'about:blank', title: 'Trug did not answer', status: 0, code: 'unreachable', detail: 'Start Trug again.' };
async function press(...keys: readonly string[]): Promise<string> {
  for (const key of keys) document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  await new Promise((resolve) => setTimeout(resolve, 10));
  return TestBed.inject(Router).url;
}

describe('App', () => {
  it('names every place on the rail, with the day above', async () => {
    const app = await PageHarness.open(App);
    expect(app.text('nav')).toBe(PLACES.map((p) => p.name).join(''));
    expect(app.text('header')).toContain('Thu 1 Oct');
  });
  it('goes where the keys say, and not while someone types', async () => {
    await PageHarness.open(App);
    expect(await press('g', 'c')).toBe('/cellar');
    expect(await press('n')).toBe('/new');
    const field = document.body.appendChild(document.createElement('input'));
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'g', bubbles: true }));
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 's', bubbles: true }));
    expect(await press()).toBe('/new');
    field.remove();
    expect(await press('Escape')).toBe('/shelf');
  });
  it('leaves keys with a modifier to the browser', async () => {
    await PageHarness.open(App);
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', ctrlKey: true, bubbles: true }));
    expect(await press()).toBe('/');
  });
  it('goes back from a form to its batch', async () => {
    await PageHarness.open(App);
    await TestBed.inject(Router).navigateByUrl('/batch/7/read');
    expect(await press('Escape')).toBe('/batch/7');
  });
  it.each(['', '/pitch', '/rack', '/bottle', '/read/01M'])('says so when the batch of /batch/…%s is not there', async (page) => {
    const app = await PageHarness.open(App);
    await TestBed.inject(Router).navigateByUrl(`/batch/01K0000000000000000000LOST${page}`);
    await press();
    expect(app.text('main h1')).toBe('No such batch');
  });
  it('lists the keys and closes the list again', async () => {
    const app = await PageHarness.open(App);
    await press('?');
    await until(() => app.has('[role=dialog]'));
    expect(app.text('[role=dialog]')).toContain('New batch');
    await press('Escape');
    expect(app.has('[role=dialog]')).toBe(false);
  });
  it('opens the quick sums over any place, works one out while it is typed, and is put away by Escape', async () => {
    const app = await PageHarness.open(App, { settings: { volume: 'us-gal', mass: 'imperial' } });
    await press('q');
    await until(() => app.has('trug-quick-sums'));
    await app.choose('quickSum', 'sugar');
    await app.type('sugar-volumeL', '5 gal');
    await app.type('sugar-sg', '1.046');
    await app.type('sugar-wanted', '1.05');
    expect(app.text('.answer')).toMatch(/White sugar ?\d+(\.\d+)? (lb|oz)/);
    await app.type('sugar-wanted', '1.040');
    expect(app.text('.answer .field-error')).not.toBe('');
    await press('Escape');
    expect(app.has('trug-quick-sums')).toBe(false);
    expect(TestBed.inject(Router).url).toBe('/');
  });
  it('wears the light that was chosen', async () => {
    await PageHarness.open(App, { settings: { theme: 'lamplight' } });
    expect(document.documentElement.dataset['theme']).toBe('lamplight');
    await PageHarness.open(App, { settings: { theme: 'system' } });
    expect(document.documentElement.dataset['theme']).toBeUndefined();
  });
  it('keeps showing what it has when a later load fails', async () => {
    const app = await PageHarness.open(App);
    TestBed.inject(Store).dispatch(AppApiActions.loadFailed({ problem }));
    await press();
    expect(app.has('router-outlet')).toBe(true);
  });
});
