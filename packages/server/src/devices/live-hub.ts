import type { DeviceColumns } from '@trug/contract';
import type { Response } from 'express';
import { createEventStreams, type EventStreams } from '../http/event-stream.js';

/** Tells open pages what devices send, as server-sent events. */
export interface LiveHub {
  /** Keeps a response open and sends it everything about a batch. */
  readonly follow: (batchId: string, response: Response) => void;
  readonly tell: (batchId: string, columns: DeviceColumns) => void;
  /** What a device sent about a batch was taken out. */
  readonly tellForgotten: (batchId: string, deviceId: string) => void;
  readonly close: () => void;
}

/** A hub without followers. */
export function createLiveHub(): LiveHub {
  const byBatch = new Map<string, EventStreams>();
  const begin = (batchId: string): EventStreams => {
    const streams = createEventStreams(() => {
      streams.close();
      if (byBatch.get(batchId) === streams) byBatch.delete(batchId);
    });
    byBatch.set(batchId, streams);
    return streams;
  };
  return {
    follow: (batchId, response) => (byBatch.get(batchId) ?? begin(batchId)).open(response),
    tell: (batchId, columns) => byBatch.get(batchId)?.send({ event: 'readings', data: columns }),
    tellForgotten: (batchId, deviceId) => byBatch.get(batchId)?.send({ event: 'forgotten', data: { deviceId } }),
    close: () => [...byBatch.values()].forEach((streams) => streams.close()),
  };
}
