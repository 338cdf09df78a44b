import { fork } from 'node:child_process';
import { once } from 'node:events';
import type { SeasonProcess } from './throw-away-season.js';
import { SEASON_OF } from '../run/config.js';

/** What a season tells whoever started it when it is left, and what it hears once that is known. */
const LEAVING = 'leaving';
const LEFT = 'left';

/**
 * Starts an empty Trug beside this one, on a port of its own, with its book in memory. It ends with this process.
 * A process, since the models of a database can be bound to one book at a time.
 *
 * @param script - the program this Trug runs
 * @param home - where this Trug answers
 * @returns it, once it listens
 * @throws {Error} when it ends before it listens
 */
export async function forkSeason(script: string, home: string): Promise<SeasonProcess> {
  const child = fork(script, {
    env: { ...process.env, TRUG_PORT: '0', TRUG_RUN: undefined, [SEASON_OF]: home },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  const ended = once(child, 'exit').then(() => undefined);
  const left = new Promise<void>((resolve) => {
    child.on('message', (message) => {
      if (message !== LEAVING) return;
      resolve();
      child.send(LEFT);
    });
  });
  const said: unknown = await Promise.race([once(child, 'message').then(([message]: unknown[]) => message), ended]);
  if (typeof said !== 'object' || said === null || !('url' in said) || typeof said.url !== 'string')
    throw new Error('the season to look around in did not start');
  return { url: said.url, left: Promise.race([left, ended]), ended, stop: () => child.kill('SIGTERM') };
}

/**
 * Tells whoever started this season that it is left, from within it.
 *
 * @returns settles once that one knows, or is gone
 */
export async function takeLeave(): Promise<void> {
  if (!process.connected) return;
  const known = new Promise<void>((resolve) => {
    process.on('message', (message) => {
      if (message === LEFT) resolve();
    });
    process.once('disconnect', resolve);
  });
  process.send?.(LEAVING);
  await known;
}
