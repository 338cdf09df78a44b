// Whether a request that is much work keeps others waiting: small ones are asked for all the while, and the slowest is told.
import { performance } from 'node:perf_hooks';
import { get } from 'node:http';
import { say } from '../tools/lib.mjs';
import { median, ratio } from './figures.mjs';

const BLOCKS_LIMIT_MS = 100;
const ASKED_EVERY_MS = 5;
const TIMES = 7;

/** How long an answer is under way, to its last byte: what a page does with it is drawn elsewhere. */
export const arrived = (url) =>
  new Promise((resolve, reject) => {
    let length = 0;
    get(url, (response) =>
      response
        .on('data', (chunk) => {
          length += chunk.length;
        })
        .on('end', () => resolve(length)),
    ).on('error', reject);
  });

/** The longest that a small request waited while a large one was under way, ms. */
async function longestWait(url, work) {
  let isDone = false;
  const waits = [];
  const probe = async () => {
    const from = performance.now();
    await arrived(`${url}/api/clock`);
    waits.push(performance.now() - from);
  };
  const probes = [];
  const large = work().finally(() => (isDone = true));
  while (!isDone) {
    probes.push(probe());
    await new Promise((resolve) => setTimeout(resolve, ASKED_EVERY_MS));
  }
  await Promise.all([large, ...probes]);
  return Math.max(0, ...waits);
}

/**
 * Tells how long small requests wait beside each large one.
 *
 * @param url - the server
 * @param large - names of large requests, each with what makes it
 */
export async function benchBlocking(url, large) {
  for (const [name, work] of Object.entries(large)) {
    const waits = [];
    for (let i = 0; i < TIMES; i += 1) waits.push(await longestWait(url, () => work(i)));
    say(`${name} keeps another request waiting for ${median(waits).toFixed(0)} ms at the longest, ${ratio(median(waits), BLOCKS_LIMIT_MS)}`);
  }
}

/** Asks for something to its last byte. */
export const asked = (url, path) => () => arrived(`${url}${path}`);
