import { computed, Injectable, signal } from '@angular/core';
import type { Problem } from '@trug/contract/plain';
import { readStored, removeStored, writeStored } from '../browser/stored';

/** Something to be sent, with what tells it from a repeat of itself. */
export interface Sending<B extends object> {
  /** The form it comes from and what that is about. */
  readonly key: string;
  readonly body: B;
  /** Ids that were made for it just now. */
  readonly freshIds: readonly string[];
  /** The moment it was put together, ISO 8601. */
  readonly now: string;
  /** What the maker said, where the body says more, such as a name or a colour that was chosen for them; the body when absent. */
  readonly says?: unknown;
  /** Whether the page sees something among what the server has; nothing when absent. */
  readonly isStored?: (id: string) => boolean;
  /** Whether the page goes on meanwhile: a side matter holds no main button back. */
  readonly aside?: boolean;
}

interface Kept<B> {
  /** What it says apart from fresh ids and the moment. */
  readonly print: string;
  readonly ids: readonly string[];
  readonly body: B;
  /** When it was first sent, ISO 8601. */
  readonly now: string;
}

/** What was answered a moment ago. */
interface Landed {
  readonly print: string;
  readonly atMs: number;
  readonly answer: Promise<unknown>;
}

interface Flight {
  readonly print: string;
  readonly aside: boolean;
  readonly answer: Promise<unknown>;
}

/**
 * Whether the server has had its word about a sending, after which nothing of it needs to be kept. No answer and a fault
 * of the server's are no word; of a conflict the maker has the last one.
 */
export const isAnswered = (problem: Problem | null): boolean =>
  problem === null || (problem.status >= 400 && problem.status < 500 && problem.code !== 'conflict');

/** The second press of a double click may come after the answer to the first, ms. */
export const DOUBLE_CLICK_MS = 700;
/** What is said again this soon after no answer came is the same; later, what the log shows was seen, ms. */
const SAME_WITHIN_MS = 3_600_000;
/** Moments this near to the sending are “now”, ms. */
const NOW_MS = 5000;
const INSTANT = /"(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d+)?Z)"/g;

/** What a body says, whichever ids it was given and whenever it was pressed. */
function printOf({ body, freshIds, now, says }: Sending<object>): string {
  const named = freshIds.reduce((text, id, i) => text.replaceAll(id, `#${i}`), JSON.stringify(says ?? body));
  return named.replace(INSTANT, (whole, at: string) => (Math.abs(Date.parse(at) - Date.parse(now)) <= NOW_MS ? '"@now"' : whole));
}

const storageKey = (key: string): string => `trug.unsent.${key}`;

/**
 * Sends what forms file, each once. What was sent and not answered is kept until it is: pressed again it goes out under
 * the same ids, so that the server knows it; pressed twice it goes out once.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly flights = signal<ReadonlyMap<string, Flight>>(new Map());
  private readonly landed = new Map<string, Landed>();
  private landedAtMs = 0;
  /** Of the page that is open; what took off from an earlier one holds nothing back here. */
  private pageNo = 0;
  /** Whether anything is on its way; main buttons wait then. */
  readonly sending = computed(() => [...this.flights().values()].some((flight) => !flight.aside));

  /**
   * Sends something, unless the same is on its way already.
   *
   * @param sending - the body and what tells it from a repeat
   * @param post - sends a body and gives the answer
   * @param isAnswer - whether what came back is the server's word, after which nothing needs to be kept
   * @returns the answer and the body that was sent, which may carry the ids of an earlier try
   */
  async send<B extends object, A>(
    sending: Sending<B>,
    post: (body: B) => Promise<A>,
    isAnswer: (answer: A) => boolean,
  ): Promise<{ readonly answer: A; readonly body: B }> {
    const print = printOf(sending);
    const { pageNo } = this;
    const there = this.flights().get(sending.key) ?? this.justLanded(sending.key);
    // The same key and print were put in by the same form, so they carry the same kind of answer.
    if (there?.print === print) return there.answer as Promise<{ readonly answer: A; readonly body: B }>;
    const flight = (async () => {
      // Something else from the same form goes first.
      await there?.answer.catch(() => undefined);
      return this.sendNow(sending, print, { post, isAnswer });
    })();
    this.flights.update((all) => new Map(all).set(sending.key, { print, aside: sending.aside ?? false, answer: flight }));
    try {
      const answered = await flight;
      // What was refused or not answered may be pressed again at once.
      if (answered.answer === null && sending.aside !== true && pageNo === this.pageNo) this.landedAtMs = Date.now();
      if (isAnswer(answered.answer)) this.landed.set(sending.key, { print, atMs: Date.now(), answer: flight });
      return answered;
    } finally {
      this.flights.update((all) => new Map([...all].filter(([key, value]) => key !== sending.key || value.answer !== flight)));
    }
  }

  /** Whether main buttons wait: something is on its way, or the press that sent it may still be half of a double click. */
  holds(): boolean {
    return this.sending() || Date.now() - this.landedAtMs < DOUBLE_CLICK_MS;
  }

  /** Another page is open now: what is pressed there is meant. */
  release(): void {
    this.landedAtMs = 0;
    this.pageNo += 1;
  }

  private justLanded(key: string): Landed | undefined {
    const landed = this.landed.get(key);
    return landed && Date.now() - landed.atMs < DOUBLE_CLICK_MS ? landed : undefined;
  }

  /** What was kept under a key is settled in another way: the next sending is a new one. */
  settle(key: string): void {
    removeStored(storageKey(key));
  }

  private async sendNow<B extends object, A>(
    sending: Sending<B>,
    print: string,
    { post, isAnswer }: { readonly post: (body: B) => Promise<A>; readonly isAnswer: (answer: A) => boolean },
  ): Promise<{ readonly answer: A; readonly body: B }> {
    const last = keptOf<B>(sending.key);
    const isFresh = last !== null && Date.parse(sending.now) - Date.parse(last.now) < SAME_WITHIN_MS;
    // Long ago, and seen to have arrived since: what is said now is another act, though it says the same.
    const kept = isFresh || last?.ids.some((id) => sending.isStored?.(id)) !== true ? last : null;
    const isSame = isFresh && last.print === print;
    const body = isSame ? last.body : withIds(sending, kept?.ids ?? []);
    const ids = sending.freshIds.map((id, i) => kept?.ids[i] ?? id);
    writeStored(storageKey(sending.key), { print, ids, body, now: isSame ? last.now : sending.now } satisfies Kept<B>);
    const answer = await post(body);
    if (isAnswer(answer)) this.settle(sending.key);
    return { answer, body };
  }
}

function keptOf<B>(key: string): Kept<B> | null {
  const stored = readStored(storageKey(key));
  if (
    typeof stored !== 'object' ||
    stored === null ||
    !('print' in stored) ||
    !('body' in stored) ||
    !('now' in stored) ||
    !('ids' in stored) ||
    !Array.isArray(stored.ids)
  )
    return null;
  // Written by this very class, for this very form.
  return stored as Kept<B>;
}

/** The same body under the ids of an earlier try. */
function withIds<B extends object>({ body, freshIds }: Sending<B>, ids: readonly string[]): B {
  const text = freshIds.reduce((all, id, i) => (ids[i] === undefined ? all : all.replaceAll(id, ids[i])), JSON.stringify(body));
  return ids.length === 0 ? body : (JSON.parse(text) as B);
}
