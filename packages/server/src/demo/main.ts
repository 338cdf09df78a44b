import { makeSeason } from './make-season.js';

const baseUrl = process.argv[2];
if (baseUrl === undefined) throw new Error('usage: main.js BASE_URL');
await makeSeason(baseUrl);
