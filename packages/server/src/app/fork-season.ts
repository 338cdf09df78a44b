import { fork } from 'node:child_process';
import { once } from 'node:events';
import type { SeasonProcess } from './throw-away-season.js';
import { SEASON_OF } from '../run/config.js';

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
  const said: unknown = await Promise.race([once(child, 'message').then(([message]: unknown[]) => message), ended]);
  if (typeof said !== 'object' || said === null || !('url' in said) || typeof said.url !== 'string')
    throw new Error('the season to look around in did not start');
  return { url: said.url, ended, stop: () => child.kill('SIGTERM') };
}
