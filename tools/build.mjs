import { ensureBuild, say } from './lib.mjs';

ensureBuild();
say('Built.');
