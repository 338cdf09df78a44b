import { join } from 'node:path';
import { readConfig } from '../run/config.js';
import { FILES } from '../db/files.js';
import { connect } from '../db/connect.js';
import { initModels } from './init-models.js';
import { summaryStore } from '../batches/summary.store.js';

/** More than anyone reads. */
const MOST_NAMED = 10;

/** Compares what is kept of every batch with what its log folds into; `--rebuild` makes all of it anew first. */
const { dataDir } = readConfig(process.env);
if (dataDir === null) throw new Error('a season to be thrown away keeps no book to look at');
const book = connect({ file: join(dataDir, FILES.book) });
initModels(book);
if (process.argv.includes('--rebuild')) process.stdout.write(`${await summaryStore.freshen(book, 'all')} summaries made anew\n`);
const differ = await summaryStore.differing(book);
const named = differ.slice(0, MOST_NAMED).join(', ');
const rest = differ.length > MOST_NAMED ? ` and ${differ.length - MOST_NAMED} more` : '';
process.stdout.write(differ.length === 0 ? 'Every summary is what its log folds into.\n' : `Missing, or not what their logs fold into: ${named}${rest}\n`);
await book.close();
process.exit(differ.length === 0 ? 0 : 1);
