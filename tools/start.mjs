import { ensureBuild, giveUp, PORT_TAKEN, startBuiltServer, untilStopped } from './lib.mjs';

ensureBuild();
const server = await startBuiltServer();
if (server === PORT_TAKEN)
  giveUp(
    'Trug did not start.',
    `Port ${process.env.TRUG_PORT ?? 4680} is taken: open http://localhost:${process.env.TRUG_PORT ?? 4680}, or set TRUG_PORT to another.`,
  );
await untilStopped(server);
