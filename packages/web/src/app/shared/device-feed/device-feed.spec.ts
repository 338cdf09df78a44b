import { provideTrugState } from '../../state/provide-state';
import { ResourceApiActions } from '../../state/resources.actions';
import { provideHttpClient } from '@angular/common/http';
import { provideStore, Store } from '@ngrx/store';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { sampleInstrument } from '../../../testing/sample-instrument';
import { until } from '../../../testing/until';
import { DeviceFeed } from './device-feed';

/** A stream that a test can speak through. */
class MadeStream extends EventTarget {
  static last: MadeStream | null = null;
  closed = false;
  constructor(readonly url: string) {
    super();
    MadeStream.last = this;
  }
  close(): void {
    this.closed = true;
  }
  tell(columns: object): void {
    this.dispatchEvent(new MessageEvent('readings', { data: JSON.stringify(columns) }));
  }
}

const columns = (...at: readonly number[]): object => {
  const none = at.map(() => null);
  return { deviceId: 'F', at, sg: at.map((s) => 1 + s / 1000), tempC: none, ph: none, massG: none, madeUp: false };
};
/** As fetched, with how many the server has. */
const fetched = (held: number, ...at: readonly number[]): object => ({ ...columns(...at), held });

let feed: DeviceFeed;
let http: HttpTestingController;
beforeEach(() => {
  Object.assign(globalThis, { EventSource: MadeStream });
  MadeStream.last = null;
  TestBed.configureTestingModule({
    providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideStore(), ...provideTrugState(), DeviceFeed],
  });
  feed = TestBed.inject(DeviceFeed);
  http = TestBed.inject(HttpTestingController);
});

function withFloat(): void {
  const instrument = sampleInstrument({ kind: 'floating-hydrometer', posts: true });
  TestBed.inject(Store).dispatch(ResourceApiActions.resourceStored({ sent: { of: 'instruments', resource: instrument }, resource: instrument }));
}

describe('DeviceFeed', () => {
  it('opens no stream where no instrument sends readings', () => {
    feed.open('B');
    TestBed.tick();
    expect(MadeStream.last).toBeNull();
    expect(feed.waits()).toBe(false);
  });
  it('joins what was there with what comes, a moment once', async () => {
    withFloat();
    feed.open('B');
    TestBed.tick();
    expect(MadeStream.last?.url).toBe('/api/devices/live?batch=B');
    MadeStream.last?.dispatchEvent(new Event('open'));
    MadeStream.last?.tell(columns(30, 40));
    expect(feed.waits()).toBe(true);
    http.expectOne('/api/devices/readings?batch=B').flush([fetched(4, 10, 20, 30)]);
    await until(() => feed.series().length > 0);
    expect(feed.series()[0]?.atMs).toEqual([10_000, 20_000, 30_000, 40_000]);
    // What was there before is known at once, and need not come to rest.
    await until(() => !feed.waits());
    expect(feed.settled()).toBe(feed.series());
    MadeStream.last?.dispatchEvent(new MessageEvent('forgotten', { data: JSON.stringify({ deviceId: 'F' }) }));
    expect(feed.series()).toEqual([]);
  });
  it('fetches what it missed when the stream comes back, and says when it cannot', async () => {
    withFloat();
    feed.open('B');
    TestBed.tick();
    MadeStream.last?.dispatchEvent(new Event('open'));
    http.expectOne('/api/devices/readings?batch=B').flush({ detail: 'busy' }, { status: 500, statusText: 'no' });
    await until(() => feed.trouble() !== null);
    expect([feed.trouble(), feed.waits()]).toEqual(['busy', false]);
    MadeStream.last?.dispatchEvent(new Event('open'));
    http.expectOne('/api/devices/readings?batch=B').flush([fetched(1, 10)]);
    await until(() => feed.trouble() === null);
    expect([feed.trouble(), feed.series().length]).toEqual([null, 1]);
  });
  it('asks only for what is new when the stream comes back, and for all of it where some came late or was taken out', async () => {
    withFloat();
    feed.open('B');
    TestBed.tick();
    const back = (): void => void MadeStream.last?.dispatchEvent(new Event('open'));
    const times = (): readonly number[] => (feed.series()[0]?.atMs ?? []).map((ms) => ms / 1000);
    back();
    // Of five readings two are old enough to be left out.
    http.expectOne('/api/devices/readings?batch=B').flush([fetched(5, 10, 30, 50)]);
    await until(() => times().length === 3);
    MadeStream.last?.tell(columns(60));
    back();
    http.expectOne('/api/devices/readings?batch=B&since=60').flush([fetched(8, 70, 80)]);
    await until(() => times().length === 6);
    expect(times()).toEqual([10, 30, 50, 60, 70, 80]);
    back();
    // Nine, and none is newer: one came late.
    http.expectOne('/api/devices/readings?batch=B&since=80').flush([fetched(9)]);
    await until(() => times().length === 0);
    http.expectOne('/api/devices/readings?batch=B').flush([fetched(9, 10, 30, 40, 50, 60, 70, 80)]);
    await until(() => times().length === 7);
    back();
    http.expectOne('/api/devices/readings?batch=B&since=80').flush([]);
    await until(() => times().length === 0);
    http.expectOne('/api/devices/readings?batch=B').flush([]);
    await until(() => !feed.waits());
    http.verify();
  });
  it('waits for nothing that cannot come', () => {
    withFloat();
    feed.open('B');
    TestBed.tick();
    expect(feed.waits()).toBe(true);
    MadeStream.last?.dispatchEvent(new Event('error'));
    expect(feed.waits()).toBe(false);
  });
  it('leaves a batch when another is opened', () => {
    withFloat();
    feed.open('B');
    TestBed.tick();
    const first = MadeStream.last;
    feed.open('C');
    TestBed.tick();
    expect(first?.closed).toBe(true);
    expect(MadeStream.last?.url).toBe('/api/devices/live?batch=C');
  });
  it('tells nothing of a batch that was left, neither what came nor why it did not', async () => {
    withFloat();
    for (const [left, answer] of [
      ['B', { detail: 'busy' }],
      ['D', [fetched(1, 10)]],
    ] as const) {
      feed.open(left);
      TestBed.tick();
      MadeStream.last?.dispatchEvent(new Event('open'));
      const asked = http.expectOne(`/api/devices/readings?batch=${left}`);
      feed.open('C');
      TestBed.tick();
      asked.flush(answer, left === 'B' ? { status: 500, statusText: 'no' } : {});
      await new Promise((resolve) => setTimeout(resolve));
      expect([left, feed.trouble(), feed.waits(), feed.series()]).toEqual([left, null, true, []]);
    }
  });
});
