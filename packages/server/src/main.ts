import { readConfig } from './app/config.js';
import { startServer } from './app/start-server.js';

const config = readConfig(process.env);
const server = await startServer(config);
process.stdout.write(`Trug is at ${server.url}\nIts data is in ${config.dataDir}\n`);

let stopping = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    void server.stop().then(() => process.exit(0));
  });
}
