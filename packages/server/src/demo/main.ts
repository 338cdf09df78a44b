import { makeSeason } from './make-season.js';

const [, , baseUrl, runToken] = process.argv;
if (baseUrl === undefined || runToken === undefined) throw new Error('usage: main.js BASE_URL RUN_TOKEN');
await makeSeason(baseUrl, { runToken });
