import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { until } from '../../testing/until';
import { createDraft, leaveDraft, type Draft } from './draft';
import { DraftOffers } from './draft-offers';

interface Fields {
  readonly a: string;
  readonly b: string;
}
const draft = (initial: Fields = { a: '', b: 'x' }): Draft<Fields> => TestBed.runInInjectionContext(() => createDraft('test', initial));
const stored = (key: string, value: unknown): void => localStorage.setItem(`trug.draft.${key}`, typeof value === 'string' ? value : JSON.stringify(value));

/** Which windows the browser says are open. */
function open(...names: readonly string[]): void {
  const locks = { request: () => Promise.resolve(), query: () => Promise.resolve({ held: names.map((name) => ({ name: `trug.window.${name}` })) }) };
  Object.defineProperty(navigator, 'locks', { value: locks, configurable: true });
}

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  open();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
});

describe('a draft', () => {
  it('comes back as it was left', () => {
    draft().set('a', 'typed');
    TestBed.tick();
    expect(draft().fields()).toEqual({ a: 'typed', b: 'x' });
  });
  it('is gone once it is filed, and later changes do not bring it back', () => {
    const first = draft();
    first.set('a', 'typed');
    TestBed.tick();
    first.forget();
    first.set('b', 'y');
    TestBed.tick();
    expect(draft().fields()).toEqual({ a: '', b: 'x' });
    expect(Object.keys(localStorage)).toEqual([]);
  });
  it('is emptied of what was filed, and keeps what was typed while it was on its way', () => {
    const form = draft();
    form.set('a', 'jar');
    form.set('b', 'y');
    const filed = form.fields();
    form.set('a', 'next jar');
    form.clear(filed, { a: '', b: 'x' });
    expect(form.fields()).toEqual({ a: 'next jar', b: 'x' });
    form.clear(form.fields(), { a: '', b: 'x' });
    expect(form.fields()).toEqual({ a: '', b: 'x' });
  });
  it('that was emptied again, by hand or by its form, leaves nothing behind', () => {
    const form = draft();
    for (const empty of [(): void => form.set('a', ''), (): void => form.fields.set({ a: '', b: 'x' })]) {
      form.set('a', 'jar');
      TestBed.tick();
      expect(Object.keys(localStorage)).toHaveLength(1);
      empty();
      TestBed.tick();
      expect(Object.keys(localStorage)).toEqual([]);
    }
    form.set('a', 'jar');
    TestBed.tick();
    expect(draft().fields().a).toBe('jar');
  });
  it('says what it last held when its form goes in that very moment', () => {
    const first = draft();
    first.set('a', 'typed');
    TestBed.tick();
    first.clear({ a: 'typed', b: 'x' }, { a: '', b: 'x' });
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    expect(draft().fields()).toEqual({ a: '', b: 'x' });
  });
  it('is kept in the very moment of a press and of a key, before anything is drawn', () => {
    draft().set('a', 'pressed');
    expect(draft().fields()).toEqual({ a: 'pressed', b: 'x' });
    draft().form.controls.b.setValue('typed');
    expect(draft().fields()).toEqual({ a: 'pressed', b: 'typed' });
  });
  it('leaves nothing behind when a form is only opened', () => {
    draft();
    TestBed.tick();
    expect(Object.keys(localStorage)).toEqual([]);
  });
  it('filled from what is stored follows it until something is typed, and then no more', () => {
    const form = draft();
    form.fill({ a: 'stored', b: 'x' });
    form.fill({ a: 'changed elsewhere', b: 'x' });
    TestBed.tick();
    expect(form.fields().a).toBe('changed elsewhere');
    expect(Object.keys(localStorage)).toEqual([]);
    form.set('b', 'typed');
    TestBed.tick();
    form.fill({ a: 'changed again', b: 'z' });
    expect(form.fields()).toEqual({ a: 'changed elsewhere', b: 'typed' });
    const reloaded = draft();
    reloaded.fill({ a: 'changed again', b: 'z' });
    expect(reloaded.fields().b).toBe('typed');
  });
  it('that was left for a form takes nothing the form does not know', () => {
    leaveDraft('test', { a: 7, b: 'kept', c: 'stray' });
    expect(draft().fields()).toEqual({ a: '', b: 'kept' });
  });
  it.each(['', '{', 'null', '7', '"text"', '[]', '{"fields":null}', '{"fields":7}', '{"fields":{"a":{}}}', '{"by":5,"atMs":"x","fields":{"a":"ok"}}'])(
    'that is garbled (%s) does not keep the form from opening',
    (text) => {
      stored('test@nobody', text);
      expect(['', 'ok']).toContain(draft().fields().a);
    },
  );
  it('goes on without a browser that keeps anything', () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    sessionStorage.clear();
    const first = draft();
    first.set('a', 'typed');
    expect(() => TestBed.tick()).not.toThrow();
    expect(first.fields().a).toBe('typed');
    full.mockRestore();
  });
});

describe('a draft of some time ago', () => {
  const HOURS = 3_600_000;
  const begin = (hoursAgo: number): { readonly mine: Draft<Fields>; readonly offers: DraftOffers; readonly key: string } => {
    draft().set('a', 'typed');
    TestBed.tick();
    const key = Object.keys(localStorage)[0] ?? '';
    const kept = JSON.parse(localStorage.getItem(key) ?? '') as object;
    localStorage.setItem(key, JSON.stringify({ ...kept, atMs: Date.now() - hoursAgo * HOURS }));
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const mine = draft();
    TestBed.tick();
    return { mine, offers: TestBed.inject(DraftOffers), key };
  };
  it('says from when it is, keeps that day until something is typed, and is thrown away when asked', () => {
    const { mine, offers, key } = begin(30);
    const [offer] = offers.all();
    expect(offer?.from).toBe('before');
    expect(Date.now() - (offer?.atMs ?? 0)).toBeGreaterThan(29 * HOURS);
    expect(localStorage.getItem(key)).toContain(String(offer?.atMs));
    offer?.leave();
    TestBed.tick();
    expect(mine.fields()).toEqual({ a: '', b: 'x' });
    expect(localStorage.getItem(key)).toBeNull();
  });
  it('thrown away leaves what its form was filled with since', () => {
    const { mine, offers } = begin(30);
    mine.fill({ a: 'of the record', b: 'x' });
    expect(mine.fields().a).toBe('typed');
    offers.all()[0]?.leave();
    expect(mine.fields().a).toBe('of the record');
  });
  it('needs no word after a reload', () => {
    expect(begin(0).offers.all()).toEqual([]);
  });
});

describe('a draft of another window', () => {
  const other = { by: 'OTHER', atMs: 5, fields: { a: 'theirs' } };
  it('that is open is offered, and only brought over when it is asked for', async () => {
    open('OTHER');
    stored('test@OTHER', other);
    const mine = draft();
    const offers = TestBed.inject(DraftOffers);
    await until(() => offers.all().length === 1);
    expect(mine.fields().a).toBe('');
    offers.all()[0]?.takeUp();
    expect(mine.fields()).toEqual({ a: 'theirs', b: 'x' });
    expect(localStorage.getItem('trug.draft.test@OTHER')).toBeNull();
  });
  it('that is closed is taken up', async () => {
    stored('test@OTHER', other);
    const mine = draft();
    await until(() => mine.fields().a === 'theirs');
    expect(TestBed.inject(DraftOffers).all()).toMatchObject([{ from: 'before', atMs: 5 }]);
  });
  it('never touches what was typed here', async () => {
    stored('test@OTHER', other);
    const mine = draft();
    mine.set('a', 'mine');
    TestBed.tick();
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(mine.fields().a).toBe('mine');
    expect(localStorage.getItem('trug.draft.test@OTHER')).toContain('theirs');
  });
});
