import { makeSeason, type SeasonOptions } from '../demo/make-season.js';

/** A Trug of its own that a season is made in: another process, with its book in memory. */
export interface SeasonProcess {
  readonly url: string;
  /** Settles when it was left from its own page or has ended: nobody is to be sent there any more. */
  readonly left: Promise<void>;
  /** Settles when it has ended, by itself or not. */
  readonly ended: Promise<void>;
  readonly stop: () => void;
}

/** A made-up season beside the maker's own cellar: nothing of it can reach that. */
export interface ThrowAwaySeason {
  /** Where it answers; it is made when there is none, and given up when the signal says so. */
  readonly open: (signal: AbortSignal) => Promise<string>;
  /** Throws it away. */
  readonly close: () => Promise<void>;
}

/** What a Trug that is itself such a season knows of the one it was opened from. */
export interface SeasonOf {
  /** Where the maker's own Trug answers. */
  readonly home: string;
  /** Settles once that one knows that this season was left and sends nobody here any more. */
  readonly takeLeave: () => Promise<void>;
  readonly end: () => void;
}

/**
 * Keeps at most one throw-away season.
 *
 * @param start - starts an empty Trug
 * @param fill - makes the season in it
 * @returns ways to open and to throw it away
 */
export function createThrowAwaySeason(
  start: () => Promise<SeasonProcess>,
  fill: (url: string, options: SeasonOptions) => Promise<void> = makeSeason,
): ThrowAwaySeason {
  let running: SeasonProcess | null = null;
  let making = new AbortController();
  // One after another, so that two windows asking at once are shown the same season.
  let turn: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const done = turn.then(work);
    turn = done.catch(() => undefined);
    return done;
  };
  const end = async (): Promise<void> => {
    running?.stop();
    await running?.ended;
  };
  return {
    open: (signal) =>
      inTurn(async () => {
        signal.throwIfAborted();
        if (running) return running.url;
        const started = await start();
        running = started;
        // Left from its own page, it ends by itself; that takes it a while.
        void started.left.then(() => {
          if (running === started) running = null;
        });
        making = new AbortController();
        try {
          await fill(started.url, { signal: AbortSignal.any([signal, making.signal]) });
        } catch (error) {
          await end();
          throw error;
        }
        return started.url;
      }),
    close: () => {
      making.abort();
      return inTurn(end);
    },
  };
}
