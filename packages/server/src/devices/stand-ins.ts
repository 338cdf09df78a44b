import type { InstrumentDto, RunningStandIn, StandInDto } from '@trug/contract';
import { DAY_MS, forecastInputOf, replay, STAND_IN_KINDS, standInReading, vesselTruth, type StandInKind, type StandInReading } from '@trug/core';
import type { Clock } from '../run/clock.js';
import type { BatchService } from '../batches/batch.service.js';
import type { ResourceStore } from '../resources/resource.store.js';
import { HttpError } from '../http/http-error.js';
import type { DeviceService } from './device.service.js';

/** Posts readings as a device does, over HTTP; gives what the server replied. */
export type PostReadings = (
  deviceId: string,
  readings: readonly unknown[],
) => Promise<{ readonly ok: boolean; readonly limited: boolean; readonly detail: string }>;

/** What the stand-ins need. */
export interface StandInDeps {
  readonly clock: Clock;
  readonly instruments: ResourceStore<InstrumentDto>;
  readonly batches: BatchService;
  readonly devices: DeviceService;
  readonly post: PostReadings;
}

/** Simulated devices, started and stopped from the cupboard. */
export interface StandIns {
  readonly running: () => readonly RunningStandIn[];
  readonly start: (deviceId: string, options: StandInDto) => Promise<RunningStandIn>;
  readonly stop: (deviceId: string) => void;
  readonly stopAll: () => void;
}

const TICK_MS = 250;
/** One request carries at most this many. */
const MOST_AT_ONCE = 2000;
/** A batch is simulated this far, days. */
const LONGEST_DAYS = 390;

const seedOf = (id: string): number => Array.from(id, (letter) => letter.charCodeAt(0)).reduce((sum, code) => (Math.imul(sum, 31) + code) | 0, 7);

interface Run {
  readonly deviceId: string;
  readonly daysPerSecond: number;
  readonly everyMs: number;
  readonly read: (atMs: number) => StandInReading | null;
  nextMs: number;
  trouble: string | null;
  timer: NodeJS.Timeout | null;
}

/**
 * The stand-ins of a running server; none is started.
 *
 * @param deps - the clock, instruments, batches, readings already there and the way to post
 * @returns their manager
 */
export function createStandIns({ clock, instruments, batches, devices, post }: StandInDeps): StandIns {
  const runs = new Map<string, Run>();
  const shown = ({ deviceId, daysPerSecond, nextMs, everyMs, trouble }: Run): RunningStandIn => ({
    deviceId,
    daysPerSecond,
    reached: new Date(nextMs - everyMs).toISOString(),
    trouble,
  });
  const stop = (deviceId: string): void => {
    const run = runs.get(deviceId);
    if (run?.timer) clearTimeout(run.timer);
    runs.delete(deviceId);
  };

  async function tick(run: Run): Promise<void> {
    const until = Math.min(clock.now().getTime(), run.nextMs + run.daysPerSecond * DAY_MS * (TICK_MS / 1000));
    const readings: (StandInReading & { readonly at: string; readonly madeUp: true })[] = [];
    let ms = run.nextMs;
    for (; ms <= until && readings.length < MOST_AT_ONCE; ms += run.everyMs) {
      const reading = run.read(ms);
      if (reading) readings.push({ at: new Date(ms).toISOString(), ...reading, madeUp: true });
    }
    const reply = readings.length === 0 ? null : await post(run.deviceId, readings);
    if (runs.get(run.deviceId) !== run) return;
    run.trouble = reply === null || reply.ok ? null : reply.detail;
    // What was not taken in is sent again at the next turn.
    if (run.trouble === null) run.nextMs = ms;
    if (run.trouble !== null && !reply?.limited) return;
    run.timer = setTimeout(() => void tick(run), TICK_MS);
    run.timer.unref();
  }

  return {
    running: () => [...runs.values()].map(shown),
    stop,
    stopAll: () => [...runs.keys()].forEach(stop),
    start: async (deviceId, { daysPerSecond, everyMinutes }) => {
      const device = await instruments.find(deviceId, null);
      if (!device) throw new HttpError('not-found', `there is no instrument ${deviceId}`);
      const kind = STAND_IN_KINDS.find((k) => k === device.kind);
      if (!kind) throw new HttpError('not-allowed', `A ${device.kind} does not post readings, so nothing can stand in for it.`);
      if (device.batchId === null) throw new HttpError('not-allowed', 'Put it into a batch first: a stand-in measures what is in the vessel.');
      const batch = await batches.get(device.batchId);
      const run = await begin(kind, device.id, batch.id, { entries: batch.entries, daysPerSecond, everyMinutes });
      stop(deviceId);
      runs.set(deviceId, run);
      run.timer = setTimeout(() => void tick(run), 0);
      run.timer.unref();
      return shown(run);
    },
  };

  async function begin(
    kind: StandInKind,
    deviceId: string,
    batchId: string,
    options: { readonly entries: Parameters<typeof replay>[0]; readonly daysPerSecond: number; readonly everyMinutes: number },
  ): Promise<Run> {
    const state = replay(options.entries);
    const question = forecastInputOf(state, clock.now().toISOString());
    if (!question || !state.pitch)
      throw new HttpError('not-allowed', 'Nothing ferments in it: a stand-in needs a batch with yeast in it that is not in bottle yet.');
    const sinceMs = Date.parse(state.pitch.at);
    const truth = vesselTruth(question, LONGEST_DAYS);
    const seed = seedOf(deviceId);
    const everyMs = options.everyMinutes * 60_000;
    const last = await devices.lastOf(deviceId, batchId);
    if (last?.measured === true)
      throw new HttpError(
        'not-allowed',
        'It has measured this batch itself, and made-up readings would mix with its own. Put in another instrument to try a stand-in.',
      );
    return {
      deviceId,
      daysPerSecond: options.daysPerSecond,
      everyMs,
      read: (atMs) => standInReading({ kind, seed, sinceMs, atMs, truth: truth((atMs - sinceMs) / DAY_MS) }),
      nextMs: last === null ? sinceMs : last.atS * 1000 + everyMs,
      trouble: null,
      timer: null,
    };
  }
}
