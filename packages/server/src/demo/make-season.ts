import { API_PATHS, type InstrumentDto, type JuiceDto, type SupplyDto } from '@trug/contract';
import { DAY_MS, replay, type Entry } from '@trug/core';
import { ulid as makeUlid } from 'ulid';
import { RUN_HEADER } from '../run/run-header.js';
import { DEMO_RECIPES } from './recipes.js';
import { DEMO_FLOAT_IN, DEMO_INSTRUMENTS, DEMO_PLACES, floatTrace } from './instruments.js';
import { DEMO_JUICES, DEMO_SUPPLIES, type JuiceStory } from './resources.js';
import { DEMO_SEASON, DEMO_VESSELS } from './season.js';
import { beginAct, fillsOf, stepAct, type Act, type BatchStory, type StoryStep } from './story.js';

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

/** Files one thing in the Trug that is filled. */
type Send = (path: string, body: unknown) => Promise<void>;

const sendTo =
  (baseUrl: string, signal: AbortSignal | undefined): Send =>
  async (path, body) => {
    const response = await fetch(`${baseUrl}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      ...(signal ? { signal } : {}),
    });
    if (!response.ok) throw new Error(`the demo season was refused at ${baseUrl}${path}: ${await response.text()}`);
  };

/** How a season is made. */
export interface SeasonOptions {
  /** Handed to the Trug when it was started; null when it is known by its port alone. */
  readonly runToken?: string | null;
  /** Ends the making half-way. */
  readonly signal?: AbortSignal;
}

/** What every part of the telling needs. */
interface Telling {
  readonly send: Send;
  readonly nowMs: number;
  readonly ulid: (seedTime: number) => string;
  readonly vesselIds: ReadonlyMap<string, string>;
  /** Ids of batches by name, given out before they are begun, so that a split can name what it goes into. */
  readonly batchIds: ReadonlyMap<string, string>;
  /** Logs told so far, by batch name. */
  readonly logs: Map<string, readonly Entry[]>;
}

/** Refuses a Trug that is not the one that was started for this, or that has anything in it. */
async function checkMayBeFilled(baseUrl: string, runToken: string | null): Promise<void> {
  const { headers } = await fetch(`${baseUrl}${API_PATHS.clock}`);
  if (runToken !== null && headers.get(RUN_HEADER) !== runToken) throw new Error(`another Trug answers at ${baseUrl}: nothing was written into it`);
  for (const path of [API_PATHS.batches, API_PATHS.juices, API_PATHS.vessels, API_PATHS.supplies]) {
    const list: unknown = await (await fetch(`${baseUrl}${path}`)).json();
    if (!Array.isArray(list) || list.length > 0) throw new Error(`the cellar at ${baseUrl} is not empty: the demo season is not for a cellar in use`);
  }
}

/**
 * Makes the demo season through the API that people use. Days count back from the server's own clock.
 *
 * @param baseUrl - a running, empty Trug
 * @param options - by what that Trug is known, and a way to stop
 * @throws {Error} when it is not that Trug, or has anything in it; nothing is written then
 */
export async function makeSeason(baseUrl: string, { runToken = null, signal }: SeasonOptions = {}): Promise<void> {
  const send = sendTo(baseUrl, signal);
  await checkMayBeFilled(baseUrl, runToken);
  const clock = (await (await fetch(`${baseUrl}${API_PATHS.clock}`)).json()) as { readonly now: string };
  const nowMs = Date.parse(clock.now);
  const chance = seeded(20);
  const ulid = (seedTime: number): string => makeUlid(seedTime, chance);
  const vesselIds = new Map<string, string>();
  for (const { key, ...vessel } of DEMO_VESSELS) {
    // A millisecond apart, so that they keep the order of the list.
    const id = ulid(nowMs - 500 * DAY_MS + vesselIds.size);
    vesselIds.set(key, id);
    await send(API_PATHS.vessels, { id, ...vessel });
  }
  const oldestFirst = [...DEMO_SEASON].sort((a, b) => b.daysAgo - a.daysAgo);
  const batchIds = new Map(oldestFirst.map((story) => [story.name, ulid(nowMs - story.daysAgo * DAY_MS)]));
  const telling: Telling = { send, nowMs, ulid, vesselIds, batchIds, logs: new Map() };
  // A batch that another is split from is begun with it, since both halves of a split are filed together.
  for (const story of oldestFirst) if (!story.splitFrom) await tell(telling, [story, ...oldestFirst.filter((s) => s.splitFrom?.name === story.name)]);
  for (const story of DEMO_JUICES) await send(API_PATHS.juices, juiceCard(story, telling));
  for (const [i, { daysLeft, ...supply }] of DEMO_SUPPLIES.entries()) {
    const bestBefore = daysLeft === null ? null : new Date(nowMs + daysLeft * DAY_MS).toISOString().slice(0, 10);
    const stored: SupplyDto = { id: ulid(nowMs - 30 * DAY_MS + i), version: 0, ...supply, bestBefore };
    await send(API_PATHS.supplies, stored);
  }
  for (const [i, place] of DEMO_PLACES.entries()) {
    await send(API_PATHS.places, { id: ulid(nowMs - 90 * DAY_MS + i), version: 0, ...place });
  }
  for (const [i, recipe] of DEMO_RECIPES.entries()) await send(API_PATHS.recipes, { id: ulid(nowMs - 100 * DAY_MS + i), version: 0, ...recipe });
  await putInInstruments(telling);
}

/** The instruments, and what the float has sent from the batches it was in. */
async function putInInstruments({ send, nowMs, ulid, batchIds, logs }: Telling): Promise<void> {
  for (const [i, { checkedDaysAgo, batch, ...instrument }] of DEMO_INSTRUMENTS.entries()) {
    const checkedOn = checkedDaysAgo === null ? null : new Date(nowMs - checkedDaysAgo * DAY_MS).toISOString().slice(0, 10);
    const batchId = batch === null ? null : (batchIds.get(batch) ?? null);
    const stored: InstrumentDto = { id: ulid(nowMs - 60 * DAY_MS + i), version: 0, ...instrument, checkedOn, batchId };
    await send(API_PATHS.instruments, stored);
    if (!instrument.posts) continue;
    for (const { batch: name, untilDaysAgo } of DEMO_FLOAT_IN) {
      const readings = floatTrace(logs.get(name) ?? [], nowMs - untilDaysAgo * DAY_MS);
      await send(`${API_PATHS.devices}/${stored.id}/readings`, { batchId: batchIds.get(name), readings });
    }
  }
}

/** Tells a batch and those split from it, in one pour. */
async function tell(telling: Telling, family: readonly BatchStory[]): Promise<void> {
  const entries: Entry[] = [];
  for (const story of family) {
    const log = logOf(story, telling);
    telling.logs.set(story.name, log);
    entries.push(...log);
  }
  const batches = family.map(({ name, methodId, tape, daysAgo }) => ({
    id: telling.batchIds.get(name),
    name,
    methodId,
    tape,
    startedAt: new Date(telling.nowMs - daysAgo * DAY_MS).toISOString(),
  }));
  await telling.send(API_PATHS.batches, { batches, entries });
}

function logOf(story: BatchStory, telling: Telling): readonly Entry[] {
  const { nowMs, ulid, vesselIds, batchIds } = telling;
  let order = 0;
  const entry = (act: Act, daysAgo: number, note = ''): Entry => {
    // Things of one day happen minutes apart, in the order told.
    const atMs = Math.min(nowMs, nowMs - daysAgo * DAY_MS + order * 60_000);
    order += 1;
    const at = new Date(atMs).toISOString();
    return { id: ulid(atMs), batchId: batchIds.get(story.name) ?? '', at, writtenAt: at, note, ...act };
  };
  const begin = story.splitFrom ? shareAct(story.splitFrom, telling) : beginAct(story, vesselIds);
  const stepped = (step: StoryStep): Act => (step.split ? splitAct(step.split, telling) : stepAct(step, vesselIds));
  return [entry(begin, story.daysAgo), ...story.then.map((step) => entry(stepped(step), step.daysAgo, step.note))];
}

function splitAct([into, volumeL, stays, why]: NonNullable<StoryStep['split']>, { batchIds, vesselIds }: Telling): Act {
  return { kind: 'split', payload: { into: [{ batchId: batchIds.get(into) ?? '', name: into, volumeL }], vessels: fillsOf(stays, vesselIds), lossL: 0, why } };
}

/** A share of a batch as it was just before it was split off. */
function shareAct({ name, volumeL, vessels, tempC }: NonNullable<BatchStory['splitFrom']>, { logs, batchIds, vesselIds }: Telling): Act {
  const log = logs.get(name) ?? [];
  const before = log.slice(
    0,
    log.findIndex((e) => e.kind === 'split'),
  );
  const { liquid, yeastId, guessed } = replay(before);
  if (!liquid) throw new Error(`there is nothing in ${name} to split`);
  const part = { from: 'batch' as const, sourceId: batchIds.get(name) ?? '', name, liquid: { ...liquid, volumeL }, yeastId, guessed };
  return { kind: 'blended', payload: { parts: [part], vessels: fillsOf(vessels, vesselIds), tempC } };
}

function juiceCard(story: JuiceStory, { nowMs, ulid }: Telling): JuiceDto {
  const { name, tape, origin, fruit, fruitId, daysAgo, volumeL, press } = story;
  const madeMs = nowMs - daysAgo * DAY_MS;
  const gravity =
    story.sg === undefined ? null : { instrument: 'hydrometer' as const, reading: story.sg, sampleC: story.sampleC ?? null, calibratedAtC: 20, offsetSg: 0 };
  return {
    id: ulid(madeMs),
    version: 0,
    name,
    tape,
    origin,
    fruit,
    fruitId,
    madeAt: new Date(madeMs).toISOString(),
    volumeL,
    gravity,
    ph: story.ph ?? null,
    taGPerL: story.taGPerL ?? null,
    tanninGPerL: story.tanninGPerL ?? null,
    yanMgPerL: null,
    costPerL: story.costPerL ?? null,
    preserved: story.preserved ?? false,
    vitaminC: false,
    pressing: press
      ? {
          pressId: press.pressId,
          lots: press.lots,
          runs: press.runsL.map(([runL, into], i) => ({ at: new Date(madeMs - (press.runsL.length - i) * 1_800_000).toISOString(), volumeL: runL, into })),
        }
      : null,
    steeping: null,
    goneL: story.goneL ?? 0,
    note: story.note ?? '',
  };
}
