import { HttpClient } from '@angular/common/http';
import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { API_PATHS, type DeviceColumns, type HeldColumns } from '@trug/contract/plain';
import { joinSeries, type DeviceSeries } from '@trug/core/book/device/device-tracks';
import { firstValueFrom } from 'rxjs';
import { instrumentsFeature } from '../../state/resources.reducer';
import { problemOf } from '../../state/trug-api';

/** What changes less often than this is worth a new forecast, ms. */
const SETTLED_MS = 1500;

function seriesOf({ at, ...rest }: DeviceColumns): DeviceSeries {
  return { ...rest, atMs: at.map((s) => s * 1000) };
}

function isColumns(value: unknown): value is DeviceColumns {
  return typeof value === 'object' && value !== null && 'deviceId' in value && 'at' in value && Array.isArray(value.at);
}

/** The newest moment of the sender that lags the most, s; null where nothing is known. */
function newestOfAll(series: readonly DeviceSeries[]): number | null {
  const newest = series.map(({ atMs }) => (atMs.at(-1) ?? 0) / 1000);
  return newest.length === 0 ? null : Math.min(...newest);
}

/** Whether what was fetched since follows on what is known of every sender, with nothing missing between and nothing gone. */
function continuesAll(known: readonly DeviceSeries[], held: ReadonlyMap<string, number>, fetched: readonly HeldColumns[]): boolean {
  const newest = new Map(known.map(({ deviceId, atMs }) => [deviceId, (atMs.at(-1) ?? 0) / 1000]));
  return (
    known.every(({ deviceId }) => fetched.some((columns) => columns.deviceId === deviceId)) &&
    fetched.every((columns) => {
      const after = columns.at.filter((s) => s > (newest.get(columns.deviceId) ?? -Infinity)).length;
      return (held.get(columns.deviceId) ?? 0) + after === columns.held;
    })
  );
}

/** What devices send about one batch, as it comes in. Provide it with the page that shows the batch. */
@Injectable()
export class DeviceFeed {
  private readonly http = inject(HttpClient);
  private readonly instruments = inject(Store).selectSignal(instrumentsFeature.selectAll);
  private readonly batchId = signal<string | null>(null);
  private readonly bySender = signal<ReadonlyMap<string, DeviceSeries>>(new Map());
  private readonly wanted = computed(() => (this.instruments().some((i) => i.posts) ? this.batchId() : null));
  /** How many readings the server has of each, by what it said and sent. */
  private held: ReadonlyMap<string, number> = new Map();
  private stream: EventSource | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Why earlier readings could not be fetched; null when all is well. */
  readonly trouble = signal<string | null>(null);
  /** Whether nobody knows yet what devices sent so far: a sum that counts it would have to be done again. */
  readonly waits = signal(false);
  /** Everything so far, at once. */
  readonly series = computed(() => [...this.bySender().values()]);
  /** The same once nothing new has come for a moment. */
  readonly settled = signal<readonly DeviceSeries[]>([]);

  constructor() {
    effect(() => {
      const id = this.wanted();
      untracked(() => this.follow(id));
    });
    effect(() => {
      const series = this.series();
      clearTimeout(this.timer);
      if (series.length === 0) this.settled.update((before) => (before.length === 0 ? before : []));
      else this.timer = setTimeout(() => this.settled.set(series), SETTLED_MS);
    });
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      this.stream?.close();
    });
  }

  /** Begins to follow a batch, and leaves the one before. */
  open(batchId: string): void {
    this.batchId.set(batchId);
  }

  private follow(batchId: string | null): void {
    this.stream?.close();
    this.stream = null;
    this.bySender.set(new Map());
    this.held = new Map();
    this.waits.set(batchId !== null);
    if (batchId === null) return;
    // The stream is opened first, so that nothing is lost between what is fetched and what follows.
    this.stream = new EventSource(`${API_PATHS.devices}/live?batch=${batchId}`);
    this.stream.addEventListener('readings', (event: MessageEvent<string>) => {
      const columns: unknown = JSON.parse(event.data);
      if (!isColumns(columns)) return;
      this.take([columns]);
      this.held = new Map([...this.held, [columns.deviceId, (this.held.get(columns.deviceId) ?? 0) + columns.at.length]]);
    });
    this.stream.addEventListener('forgotten', (event: MessageEvent<string>) => {
      const told: unknown = JSON.parse(event.data);
      const gone = typeof told === 'object' && told !== null && 'deviceId' in told ? told.deviceId : null;
      this.bySender.update((before) => new Map([...before].filter(([id]) => id !== gone)));
    });
    // After a break the stream comes back by itself, and what was missed is fetched.
    this.stream.addEventListener('open', () => void this.fetch(batchId));
    this.stream.addEventListener('error', () => this.waits.set(false));
  }

  private async fetch(batchId: string): Promise<void> {
    const sinceS = newestOfAll(this.series());
    try {
      const columns = await this.ask(batchId, sinceS);
      if (this.batchId() !== batchId) return;
      if (sinceS !== null && !continuesAll(this.series(), this.held, columns)) {
        // Some came late or were taken out meanwhile: only all of it tells.
        this.bySender.set(new Map());
        await this.fetch(batchId);
        return;
      }
      this.trouble.set(null);
      this.take(columns);
      this.held = new Map(columns.map(({ deviceId, held }) => [deviceId, held]));
      // What was there when the page opened need not come to rest first.
      if (this.waits()) this.settled.set(this.series());
    } catch (error) {
      // Of a batch that was left, nothing more is told.
      if (this.batchId() !== batchId) return;
      this.trouble.set(problemOf(error).detail);
    }
    this.waits.set(false);
  }

  private ask(batchId: string, sinceS: number | null): Promise<readonly HeldColumns[]> {
    const since = sinceS === null ? '' : `&since=${sinceS}`;
    return firstValueFrom(this.http.get<readonly HeldColumns[]>(`${API_PATHS.devices}/readings?batch=${batchId}${since}`));
  }

  private take(columns: readonly DeviceColumns[]): void {
    this.bySender.update((before) => {
      const now = new Map(before);
      for (const column of columns) {
        const series = seriesOf(column);
        const known = now.get(column.deviceId);
        now.set(column.deviceId, known ? joinSeries(known, series) : series);
      }
      return now;
    });
  }
}
