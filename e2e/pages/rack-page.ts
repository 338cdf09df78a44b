import type { Bench } from './bench';

/** The racking page: which vessels it goes into, and what becomes of air or of what finds no room. */
export const rackPage = (bench: Bench) => ({
  /** Racks into these vessels and no others. */
  async into(...names: readonly string[]): Promise<void> {
    await bench.page.waitForSelector('[aria-labelledby=into] mat-checkbox');
    for (const card of await bench.page.$$('[aria-labelledby=into] mat-checkbox')) {
      const { name, isPicked } = await card.evaluate((el) => ({ name: el.querySelector('b')?.textContent ?? '', isPicked: el.classList.contains('picked') }));
      const box = await card.$('input[type=checkbox]');
      if (names.includes(name) !== isPicked) await box?.click();
    }
  },
  /** Takes the first vessel offered, in or out. */
  async pickFirst(): Promise<void> {
    await bench.pressAt('[aria-labelledby=into] input[type=checkbox]');
  },
  /** Fills the air with something, by its words. */
  async topUpWith(words: string): Promise<void> {
    await bench.pressAt(`.ways button ::-p-text(${words})`);
  },
});
