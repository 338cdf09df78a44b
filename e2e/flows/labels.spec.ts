import { LABEL_KINDS, labelSheet, PAPERS } from '@trug/core';
import { Bench } from '../pages/bench';
import { freshBatch, pitched, read } from '../support/fresh-batch';
import { DESK, TestTrug } from '../support/trug';

const trug = new TestTrug();
beforeAll(() => trug.start('2026-12-01'));
afterAll(() => trug.stop());

/** Pages of a PDF with their size, mm: a point is a seventy-second of an inch. */
function pagesOf(pdf: Uint8Array): readonly { readonly widthMm: number; readonly heightMm: number }[] {
  const text = Buffer.from(pdf).toString('latin1');
  return [...text.matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/g)].map(([, width, height]) => ({
    widthMm: (Number(width) / 72) * 25.4,
    heightMm: (Number(height) / 72) * 25.4,
  }));
}

it('labels are printed at their size on both papers, with a name of forty letters and nothing cut off', async () => {
  const { page, faults } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  const bottles = { bottles: [{ kindId: 'crown-500', count: 6 }], testBottle: true, lossL: 0.4, capColour: 'leaf', hottestC: 24, acknowledged: [] };
  const batch = await freshBatch(trug, [
    ['addition', '2026-09-01', { what: 'fermentable', fermentableId: 'own:80:10:hazy:Fudge of the corner shop', massG: 100 }],
    ['addition', '2026-09-01', { what: 'sulfite', so2MgPerL: 50 }],
    pitched('2026-09-02'),
    read('2026-10-20', 0.998),
    read('2026-11-03', 0.998),
    read('2026-11-20', 0.998),
    ['malolactic', '2026-11-21', { turnedFraction: 1, wanted: true, bacteria: false, done: true }],
    ['tested', '2026-11-21', { by: 'sugar-test', sugarGPerL: 0.5, acknowledged: [] }],
    ['bottled', '2026-11-22', { ...bottles, crate: 'Windfalls of the north wall, second pour' }],
  ]);
  await bench.open(batch.path(`label/${batch.entryIds.at(-1) ?? ''}`));
  await bench.fill('own', 'for the long table, from the old wall and no other');
  await bench.pressAt('trug-tick[name=qr] label');
  await bench.choose('picture', 'pear');
  await bench.fill('count', '9');
  for (const { id: paper, widthMm, heightMm } of PAPERS) {
    await bench.choose('paper', paper);
    for (const { id: kind } of LABEL_KINDS) {
      await bench.tickOption('kind', kind);
      await page.waitForSelector(`.sheet-of-labels trug-label.${kind}`);
      const { pages } = labelSheet({ paper, kind, count: 9 });
      await page.waitForFunction((wanted) => document.querySelectorAll('.sheet-of-labels').length === wanted, {}, pages);
      const sizes = pagesOf(await page.pdf({ preferCSSPageSize: true, printBackground: true }));
      expect([paper, kind, sizes.length]).toEqual([paper, kind, pages]);
      for (const size of sizes) {
        expect(Math.abs(size.widthMm - widthMm)).toBeLessThan(0.6);
        expect(Math.abs(size.heightMm - heightMm)).toBeLessThan(0.6);
      }
      // On paper nothing runs out of its label, whatever its name is.
      await page.emulateMediaType('print');
      const cut = await page.$$eval('.sheet-of-labels trug-label', (labels) =>
        labels.flatMap((label) => {
          const box = label.getBoundingClientRect();
          return Array.from(label.querySelectorAll('b, p, svg')).flatMap((el) => {
            const its = el.getBoundingClientRect();
            // Words that leave their block would lie on the square code.
            const block = (el.closest('.text, .band') ?? label).getBoundingClientRect();
            const isIn =
              its.left >= box.left - 0.5 && its.right <= box.right + 0.5 && its.top >= box.top - 0.5 && its.bottom <= Math.min(box.bottom, block.bottom) + 0.5;
            return isIn || its.height === 0 ? [] : [`${label.className}: ${el.textContent.slice(0, 40)} by ${Math.round(its.bottom - box.bottom)} px`];
          });
        }),
      );
      await page.emulateMediaType();
      expect([paper, kind, [...new Set(cut)]]).toEqual([paper, kind, []]);
    }
  }
  // One of them as a file: as many dots as a printer puts on ninety millimetres, and letters that can be looked for.
  await bench.choose('paper', 'a4');
  await bench.tickOption('kind', 'front');
  await page.evaluate(() => {
    HTMLAnchorElement.prototype.click = function () {
      document.documentElement.dataset['saved'] = `${this.download} ${this.href}`;
    };
  });
  const saved = async (name: string): Promise<string> => {
    await bench.press(name);
    const handle = await page.waitForFunction((end) => {
      const text = document.documentElement.dataset['saved'] ?? '';
      return text.split(' data:')[0]?.endsWith(end) === true ? text : null;
    }, {}, name.slice(-3).toLowerCase()); // prettier-ignore
    return (await handle.jsonValue()) ?? '';
  };
  const svg = await saved('One as SVG');
  expect(decodeURIComponent(svg)).toContain('Windfalls of the north wall');
  const png = await saved('One as PNG');
  expect(png).toMatch(/^Windfalls of the north wall, second pour\.png data:image\/png;base64,/);
  const bytes = Buffer.from(png.split('base64,')[1] ?? '', 'base64');
  expect(Math.abs(bytes.readUInt32BE(16) - (90 / 25.4) * 300)).toBeLessThan(8);
  expect(faults).toEqual([]);
});
