import type { AddressInfo } from 'node:net';
import { createServer } from 'node:http';
import pino, { type Logger } from 'pino';
import { connect } from '../db/connect.js';
import { initModels } from '../db/init-models.js';
import { createReadingsPost } from '../devices/post-readings.js';
import { createMigrator } from '../migrations/index.js';
import { createApp, type AppDeps } from './create-app.js';
import { createClock } from './clock.js';
import type { Config } from './config.js';

/** A running Trug. */
export interface RunningServer {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/**
 * Opens the database, brings it up to date and listens.
 *
 * @param config - host, port, data folder, day and web folder; a null data folder keeps everything in memory
 * @param log - where to write; by default pino on standard output
 * @returns the address and a way to stop cleanly
 */
export async function startServer(
  config: Omit<Config, 'dataDir'> & Pick<AppDeps, 'floodWindowMs'> & { readonly dataDir: string | null },
  log: Logger = pino({ level: config.logLevel }),
): Promise<RunningServer> {
  const sequelize = connect(config.dataDir);
  initModels(sequelize);
  await createMigrator(sequelize).up();
  let ownUrl = '';
  const { app, close } = createApp({
    sequelize,
    clock: createClock(config.today),
    log,
    webDir: config.webDir,
    postReadings: createReadingsPost(() => ownUrl),
    ...(config.floodWindowMs === undefined ? {} : { floodWindowMs: config.floodWindowMs }),
  });
  const server = createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.port, config.host, resolve);
  });
  const address = server.address() as AddressInfo;
  const url = `http://${config.host === '127.0.0.1' ? 'localhost' : config.host}:${address.port}`;
  ownUrl = `http://${config.host === '::1' ? '[::1]' : config.host}:${address.port}`;
  const stop = async (): Promise<void> => {
    close();
    server.closeIdleConnections();
    await new Promise<void>((resolve, reject) => server.close((error) => (error ? reject(error) : resolve())));
    await sequelize.close();
  };
  return { url, stop };
}
