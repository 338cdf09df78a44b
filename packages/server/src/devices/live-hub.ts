import type { DeviceColumns } from '@trug/contract';
import type { Response } from 'express';

/** Tells open pages what devices send, as server-sent events. */
export interface LiveHub {
  /** Keeps a response open and sends it everything about a batch. */
  readonly follow: (batchId: string, response: Response) => void;
  readonly tell: (batchId: string, columns: DeviceColumns) => void;
  /** What a device sent about a batch was taken out. */
  readonly tellForgotten: (batchId: string, deviceId: string) => void;
  readonly close: () => void;
}

/** A silent stream is cut by some networks after half a minute. */
const STILL_HERE_MS = 20_000;

/** A hub without followers. */
export function createLiveHub(): LiveHub {
  const followers = new Map<string, Set<Response>>();
  const everyone = (): Response[] => [...followers.values()].flatMap((set) => [...set]);
  const say = (batchId: string, event: string, data: object): void => {
    for (const response of followers.get(batchId) ?? []) response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  };
  const stillHere = setInterval(() => {
    for (const response of everyone()) response.write(': still here\n\n');
  }, STILL_HERE_MS);
  stillHere.unref();
  return {
    follow: (batchId, response) => {
      // no-transform keeps the compression from holding events back.
      response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform', Connection: 'keep-alive' });
      response.write('retry: 3000\n\n');
      const set = followers.get(batchId) ?? new Set();
      followers.set(batchId, set.add(response));
      response.on('close', () => {
        set.delete(response);
        if (set.size === 0 && followers.get(batchId) === set) followers.delete(batchId);
      });
    },
    tell: (batchId, columns) => {
      say(batchId, 'readings', columns);
    },
    tellForgotten: (batchId, deviceId) => {
      say(batchId, 'forgotten', { deviceId });
    },
    close: () => {
      clearInterval(stillHere);
      for (const response of everyone()) response.end();
    },
  };
}
