import { homedir } from 'node:os';
import { join } from 'node:path';

/** What a run is told by its surroundings. */
export interface Config {
  readonly host: string;
  readonly port: number;
  /** Where guests' phones come in while a blind tasting is open to them. */
  readonly tastingHost: string;
  /** Null keeps everything in memory. */
  readonly dataDir: string | null;
  readonly today: string | undefined;
  readonly webDir: string | undefined;
  readonly logLevel: string;
  /** By which whoever started this run knows it again. */
  readonly runToken: string | null;
  /** Where the Trug answers that this one is a throw-away season of; null when it is the maker's own. */
  readonly seasonOf: string | null;
}

/** In which a throw-away season is told what it belongs to. */
export const SEASON_OF = 'TRUG_SEASON_OF';

const DEFAULT_PORT = 4680;
const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1']);

/**
 * Reads the run's settings from environment variables.
 *
 * @param env - such as `process.env`
 * @returns the settings
 * @throws {RangeError} on a port that is none, or a host beyond this machine, which needs a passphrase that Trug does not have yet
 */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const port = env['TRUG_PORT'] === undefined ? DEFAULT_PORT : Number(env['TRUG_PORT']);
  if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
    throw new RangeError(`TRUG_PORT must be a whole number from 0 to 65535, got ${JSON.stringify(env['TRUG_PORT'])}`);
  }
  const host = env['TRUG_HOST'] ?? '127.0.0.1';
  if (!LOOPBACK.has(host)) {
    throw new RangeError(`TRUG_HOST may only be this machine (127.0.0.1) until a household passphrase can be set, got ${JSON.stringify(host)}`);
  }
  const seasonOf = env[SEASON_OF] ?? null;
  return {
    host,
    port,
    tastingHost: env['TRUG_TASTING_HOST'] ?? '0.0.0.0',
    dataDir: seasonOf === null ? (env['TRUG_DATA'] ?? join(homedir(), '.trug')) : null,
    today: env['TRUG_TODAY'],
    webDir: env['TRUG_WEB'] === '' ? undefined : env['TRUG_WEB'],
    logLevel: env['TRUG_LOG'] ?? 'info',
    runToken: env['TRUG_RUN'] ?? null,
    seasonOf,
  };
}
