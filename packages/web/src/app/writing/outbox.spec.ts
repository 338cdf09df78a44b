import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Problem } from '@trug/contract/plain';
import { newId } from '../browser/new-id';
import { DOUBLE_CLICK_MS, isAnswered, Outbox } from './outbox';

interface Note {
  readonly id: string;
  readonly at: string;
  readonly text: string;
}
const problem = (status: number, code = 'no'): Problem => ({ type: 'about:blank', title: '', status, detail: '', code });
const NO_ANSWER = problem(0, 'unreachable');
const CLOCK = Date.parse('2026-11-23T10:00:00.000Z');
let sinceMs = 0;
let posted: Note[] = [];
let outbox: Outbox;
let answers: (Problem | null)[] = [];
/** What the page sees that the server has. */
let stored: string[] = [];

/** A press of the button of a form in which a text is typed. */
function press(text: string): Promise<Problem | null> {
  const now = new Date(CLOCK + sinceMs).toISOString();
  const note = { id: newId(), at: now, text };
  const post = (sent: Note): Promise<Problem | null> => {
    posted.push(sent);
    return Promise.resolve(answers.shift() ?? null);
  };
  return outbox
    .send({ key: 'note:B', body: note, freshIds: [note.id], now, isStored: (id) => stored.includes(id) }, post, isAnswered)
    .then(({ answer }) => answer);
}
/** The page is loaded anew: only what the browser keeps is left. */
function reload(): void {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  outbox = TestBed.inject(Outbox);
}

beforeEach(() => {
  localStorage.clear();
  [sinceMs, posted, answers, stored] = [0, [], [], []];
  reload();
});

it('sends once what is pressed twice, and tells both the same answer', async () => {
  answers = [problem(422)];
  const both = await Promise.all([press('one'), press('one')]);
  expect(posted).toHaveLength(1);
  expect(both).toEqual([problem(422), problem(422)]);
});
it('takes a second press just after the answer for the end of a double click', async () => {
  await press('one');
  await press('one');
  expect(posted).toHaveLength(1);
  await new Promise((resolve) => setTimeout(resolve, DOUBLE_CLICK_MS + 20));
  await press('one');
  expect(posted).toHaveLength(2);
  expect(posted[0]?.id).not.toBe(posted[1]?.id);
});
it.each([0, 90_000])('sends the very same again after a lost answer, %i ms later and after a reload', async (later) => {
  answers = [NO_ANSWER, NO_ANSWER];
  await press('one');
  sinceMs = later;
  await press('one');
  reload();
  await press('one');
  expect(posted).toHaveLength(3);
  expect(posted.every((sent) => sent.id === posted[0]?.id && sent.at === posted[0].at)).toBe(true);
});
it('keeps the id when the text was changed after a lost answer, so that the server can tell', async () => {
  answers = [NO_ANSWER];
  await press('one');
  await press('two');
  expect(posted.map((n) => n.text)).toEqual(['one', 'two']);
  expect(posted[1]?.id).toBe(posted[0]?.id);
});
describe('what was sent long ago and not answered', () => {
  const WEEK_MS = 7 * 86_400_000;
  beforeEach(async () => {
    answers = [NO_ANSWER];
    await press('1.010');
    sinceMs = WEEK_MS;
  });
  it.each(['1.010', '1.004'])('is another act than “%s” of a week later, where it is seen to have arrived', async (text) => {
    stored = posted.map((note) => note.id);
    await press(text);
    expect(posted[1]).toMatchObject({ text, at: new Date(CLOCK + WEEK_MS).toISOString() });
    expect(posted[1]?.id).not.toBe(posted[0]?.id);
  });
  it('keeps its id where it is not seen, but not its hour', async () => {
    await press('1.010');
    expect(posted[1]).toEqual({ id: posted[0]?.id, text: '1.010', at: new Date(CLOCK + WEEK_MS).toISOString() });
  });
});
it('asks nothing of what has arrived within the hour: it may be the same', async () => {
  answers = [NO_ANSWER];
  await press('1.010');
  stored = posted.map((note) => note.id);
  sinceMs = 3_000_000;
  await press('1.010');
  expect(posted[1]).toEqual(posted[0]);
});
it('gives a new id once the server has had its word', async () => {
  for (const answer of [null, problem(422), problem(400)]) {
    answers = [answer];
    await press(`after ${String(answer?.status)}`);
  }
  expect(new Set(posted.map((n) => n.id)).size).toBe(3);
  expect(Object.keys(localStorage)).toEqual([]);
});
it('holds no word for one that came from a fault, and leaves a conflict to the maker', () => {
  expect([null, problem(422), problem(0), problem(500), problem(507), problem(409, 'conflict')].map(isAnswered)).toEqual([
    true,
    true,
    false,
    false,
    false,
    false,
  ]);
});
it('does not mistake another day for now', async () => {
  answers = [NO_ANSWER];
  await press('one');
  const backdated = { id: newId(), at: '2026-11-01T10:00:00.000Z', text: 'one' };
  await outbox.send(
    { key: 'note:B', body: backdated, freshIds: [backdated.id], now: new Date(CLOCK).toISOString() },
    (sent) => Promise.resolve(posted.push(sent)),
    () => true,
  );
  expect(posted[1]?.at).toBe('2026-11-01T10:00:00.000Z');
});
it('holds back the end of a double click, and nothing on a page that was opened since', async () => {
  const left = press('one');
  outbox.release();
  await left;
  expect(outbox.holds()).toBe(false);
  await press('two');
  expect(outbox.holds()).toBe(true);
  outbox.release();
  expect(outbox.holds()).toBe(false);
});
it('says that it is sending for as long as it is', async () => {
  const going = press('one');
  expect(outbox.sending()).toBe(true);
  await going;
  expect(outbox.sending()).toBe(false);
});
