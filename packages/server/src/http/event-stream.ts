import type { Response } from 'express';

/** One event; its id is given back by a reader that was cut off and comes again. */
export interface ServerEvent {
  readonly event: string;
  readonly data: object;
  readonly id?: string;
}

/** Responses that are kept open and told what happens. */
export interface EventStreams {
  /** Opens a response with some events of its own. */
  readonly open: (response: Response, first?: readonly ServerEvent[]) => void;
  readonly send: (event: ServerEvent) => void;
  readonly close: () => void;
}

/** A silent stream is cut by some networks after half a minute. */
const STILL_HERE_MS = 20_000;
/** More windows than anyone has; the oldest is let go for the newest. */
const MOST_STREAMS = 60;
/** What a reader that does not read may hold up, bytes. */
const MOST_WAITING = 4_000_000;

const textOf = ({ event, data, id }: ServerEvent): string => `event: ${event}\n${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(data)}\n\n`;

/**
 * Server-sent events to any number of readers.
 *
 * @param closed - told when the last reader has gone
 * @returns streams without readers
 */
export function createEventStreams(closed: () => void = () => undefined): EventStreams {
  const readers = new Set<Response>();
  const write = (text: string): void => {
    for (const reader of readers) {
      if (reader.writableLength > MOST_WAITING) reader.destroy();
      else reader.write(text);
    }
  };
  const stillHere = setInterval(() => {
    write(': still here\n\n');
  }, STILL_HERE_MS);
  stillHere.unref();
  return {
    open: (response, first = [{ event: 'hello', data: {} }]) => {
      // no-transform keeps the compression from holding events back.
      response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform', Connection: 'keep-alive' });
      response.write(`retry: 1000\n\n${first.map(textOf).join('')}`);
      if (readers.size >= MOST_STREAMS) [...readers][0]?.end();
      readers.add(response);
      response.on('close', () => {
        readers.delete(response);
        if (readers.size === 0) closed();
      });
    },
    send: (event) => {
      write(textOf(event));
    },
    close: () => {
      clearInterval(stillHere);
      for (const reader of readers) reader.end();
    },
  };
}
