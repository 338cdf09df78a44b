import { API_PATHS } from '@trug/contract';
import { DAY_MS } from '@trug/core';
import { ulid as makeUlid } from 'ulid';
import { DEMO_SEASON, DEMO_VESSELS } from './season.js';
import { fillAct, stepAct, type Act, type BatchStory } from './story.js';

/** A seeded source of chance, so that every demo is alike. @source mulberry32, public domain */
function seeded(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

async function send(url: string, body: unknown): Promise<void> {
  const response = await fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  if (!response.ok) throw new Error(`the demo season was refused at ${url}: ${await response.text()}`);
}

/**
 * Makes the demo season through the API that people use. Days count back from the server's own clock.
 *
 * @param baseUrl - a running, empty Trug
 */
export async function makeSeason(baseUrl: string): Promise<void> {
  const clock = (await (await fetch(`${baseUrl}${API_PATHS.clock}`)).json()) as { readonly now: string };
  const nowMs = Date.parse(clock.now);
  const chance = seeded(20);
  const ulid = (seedTime: number): string => makeUlid(seedTime, chance);
  const vesselIds = new Map<string, string>();
  for (const { key, ...vessel } of DEMO_VESSELS) {
    // A millisecond apart, so that they keep the order of the list.
    const id = ulid(nowMs - 500 * DAY_MS + vesselIds.size);
    vesselIds.set(key, id);
    await send(`${baseUrl}${API_PATHS.vessels}`, { id, ...vessel });
  }
  const oldestFirst = [...DEMO_SEASON].sort((a, b) => b.daysAgo - a.daysAgo);
  for (const story of oldestFirst) await tell(baseUrl, story, { nowMs, ulid, vesselIds });
}

interface Telling {
  readonly nowMs: number;
  readonly ulid: (seedTime: number) => string;
  readonly vesselIds: ReadonlyMap<string, string>;
}

async function tell(baseUrl: string, story: BatchStory, { nowMs, ulid, vesselIds }: Telling): Promise<void> {
  const startMs = nowMs - story.daysAgo * DAY_MS;
  const batchId = ulid(startMs);
  let order = 0;
  const entry = (act: Act, daysAgo: number, note = ''): object => {
    // Things of one day happen minutes apart, in the order told.
    const atMs = Math.min(nowMs, nowMs - daysAgo * DAY_MS + order * 60_000);
    order += 1;
    const at = new Date(atMs).toISOString();
    return { id: ulid(atMs), batchId, at, writtenAt: at, note, ...act };
  };
  const entries = [entry(fillAct(story, vesselIds), story.daysAgo), ...story.then.map((step) => entry(stepAct(step, vesselIds), step.daysAgo, step.note))];
  const { name, methodId, tape } = story;
  await send(`${baseUrl}${API_PATHS.batches}`, { id: batchId, name, methodId, tape, startedAt: new Date(startMs).toISOString(), entries });
}
