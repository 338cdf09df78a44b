import { ensureBuild, startBuiltServer, untilStopped } from './lib.mjs';

ensureBuild();
await untilStopped(await startBuiltServer());
