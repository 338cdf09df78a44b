import { fileURLToPath } from 'node:url';
import { CellarError } from './db/cellar-error.js';
import { readConfig, type Config } from './run/config.js';
import { forkSeason, takeLeave } from './app/fork-season.js';
import { startServer, type RunningServer, type StartConfig } from './app/start-server.js';

/** How a run ends when it could not begin, so that whoever started it knows what to do. */
const EXIT = { failed: 1, portTaken: 3 } as const;

/** Ends a run that could not begin, in a sentence. */
function giveUp(error: unknown): never {
  if (!(error instanceof CellarError || error instanceof RangeError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(error instanceof CellarError && error.code === 'port-taken' ? EXIT.portTaken : EXIT.failed);
}

// Whatever is made in the data folder is for its owner alone.
process.umask(0o077);

/** So long a window that leaves a season may still ask it for something: it goes once it has its answer, and drops what was under way. */
const LEAVING_MS = 500;

/** A throw-away season ends when it is left; any other Trug can show one. */
function seasonOf({ seasonOf: home }: Config): NonNullable<StartConfig['season']> {
  if (home !== null) return { home, takeLeave, end: () => setTimeout(() => process.kill(process.pid, 'SIGTERM'), LEAVING_MS) };
  return (own) => forkSeason(fileURLToPath(import.meta.url), own);
}

async function begin(): Promise<{ readonly config: Config; readonly server: RunningServer }> {
  try {
    const config = readConfig(process.env);
    return { config, server: await startServer({ ...config, season: seasonOf(config) }) };
  } catch (error) {
    return giveUp(error);
  }
}

const { config, server } = await begin();
process.stdout.write(`Trug is at ${server.url}\n${config.dataDir === null ? 'It keeps everything in memory.' : `Its data is in ${config.dataDir}`}\n`);
if (server.trouble !== null) process.stderr.write(`${server.trouble}\nOpen ${server.url} to see what can be done.\n`);

// Whoever started this run over a channel waits to hear where it answers.
process.send?.({ url: server.url });

let stopping = false;
const stop = (): void => {
  // Asked a second time, whoever asks does not want to wait.
  if (stopping) process.exit(130);
  stopping = true;
  void server.stop().then(() => process.exit(0));
};
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, stop);
// Whoever started this run with its clock held still may turn it.
process.on('message', (message) => {
  if (typeof message !== 'object' || message === null || !('today' in message) || typeof message.today !== 'string') return;
  server.turnTo(message.today);
  process.send?.({ today: message.today });
});
// Whoever started this run has gone.
process.on('disconnect', () => {
  if (!stopping) stop();
});
