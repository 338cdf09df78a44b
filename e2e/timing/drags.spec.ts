import type { Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import { DESK, SEASON_DAY, TestTrug } from '../support/trug';

const trug = new TestTrug();
beforeAll(() => trug.start(SEASON_DAY, true));
afterAll(() => trug.stop());

/** A frame longer than this is seen as a stutter. */
const SLOW_MS = 50;
/** A busy machine adds slow frames of its own; the bench has this many chances of a quiet five seconds. */
const TRIES = 5;

/** Time from each frame to the next while something happens, ms. */
async function framesDuring(page: Page, happens: () => Promise<void>): Promise<readonly number[]> {
  await page.evaluate(() => {
    const gaps: number[] = [];
    let last = performance.now();
    const tick = (now: number): void => {
      gaps.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    Object.assign(window, { frameGaps: gaps });
  });
  await happens();
  return (await page.evaluate(() => (window as unknown as { frameGaps: number[] }).frameGaps)).slice(2);
}

function report(what: string, gaps: readonly number[]): number {
  const sorted = [...gaps].sort((a, b) => a - b);
  const at = (share: number): string => (sorted[Math.floor(share * (sorted.length - 1))] ?? NaN).toFixed(1);
  const slow = gaps.filter((gap) => gap > SLOW_MS).length;
  console.log(`${what}: ${gaps.length} frames, median ${at(0.5)} ms, 99 % under ${at(0.99)} ms, longest ${at(1)} ms, ${slow} over ${SLOW_MS} ms`);
  return slow;
}

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** The middle of something that is dragged, in sight. */
const middleOf = (page: Page, selector: string): Promise<Spot> =>
  page.$eval(selector, (el) => {
    el.scrollIntoView({ block: 'center' });
    const { x, y, width, height } = el.getBoundingClientRect();
    return { x: x + width / 2, y: y + height / 2 };
  });

/** Drags to and fro for a while, ending where it began. */
async function dragged(page: Page, from: Spot, way: { readonly x: number; readonly y: number; readonly forMs: number }): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  const end = Date.now() + way.forMs;
  for (let i = 0; Date.now() < end; i += 1) {
    await page.mouse.move(from.x + way.x * Math.sin(i / 25), from.y + way.y * Math.sin(i / 17));
    await new Promise((resolve) => setTimeout(resolve, 8));
  }
  await page.mouse.move(from.x, from.y);
  await page.mouse.up();
}

/** On a machine that stutters at rest, a drag is asked to add nothing to it. */
async function expectNoSlowFrame(page: Page, what: string, forMs: number, drag: () => Promise<void>): Promise<void> {
  let [slow, slowAtRest] = [Infinity, 0];
  for (let tries = 0; tries < TRIES && slow > slowAtRest; tries += 1) {
    slowAtRest = report('at rest', await framesDuring(page, () => new Promise((resolve) => setTimeout(resolve, forMs))));
    slow = report(what, await framesDuring(page, drag));
  }
  expect(slow).toBeLessThanOrEqual(slowAtRest);
}

it('drags the cross-hair for five seconds without a slow frame, and the cylinders follow; a cylinder’s peg likewise', async () => {
  const { page, faults } = await trug.page(DESK, 'no-preference');
  const bench = new Bench(page, trug.url);
  await bench.open('/juice/blend');
  await bench.says(/if left dry/, '.words');
  const cross = await middleOf(page, 'trug-reach-map .cross');
  const before = await bench.text('.row');
  await expectNoSlowFrame(page, 'dragging the cross-hair', 5000, () => dragged(page, cross, { x: 45, y: 40, forMs: 5000 }));
  await page.mouse.move(cross.x, cross.y);
  await page.mouse.down();
  await page.mouse.move(cross.x + 30, cross.y - 30, { steps: 5 });
  await page.mouse.up();
  await page.waitForFunction((was) => document.querySelector<HTMLElement>('.row')?.innerText !== was, {}, before);
  const peg = await middleOf(page, 'trug-cylinder .peg .grip');
  await expectNoSlowFrame(page, 'dragging a peg', 3000, () => dragged(page, peg, { x: 0, y: 40, forMs: 3000 }));
  expect(faults).toEqual([]);
});

it('drags over the curve with its readings and its float without a slow frame, and then looks closer', async () => {
  const { page, faults } = await trug.page(DESK, 'no-preference');
  const bench = new Bench(page, trug.url);
  const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
  await bench.open(`/batch/${batches.find((b) => b.name === 'Carton No. 4')?.id ?? ''}`);
  await bench.says(/Done about/, 'trug-ahead');
  const curve = await middleOf(page, 'trug-curve svg');
  await expectNoSlowFrame(page, 'dragging over the curve', 3000, () => dragged(page, curve, { x: 120, y: 10, forMs: 3000 }));
  await page.mouse.move(curve.x - 100, curve.y);
  await page.mouse.down();
  await page.mouse.move(curve.x, curve.y, { steps: 5 });
  await page.mouse.up();
  await bench.says(/All of it/, 'trug-curve');
  expect(faults).toEqual([]);
});
