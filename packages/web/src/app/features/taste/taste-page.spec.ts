import type { TasteSheet } from '@trug/core';
import { BLANK_SHEET } from '@trug/core/finish/taste/taste-sheet';
import { TASTE_WORD_IDS } from '@trug/core/finish/taste/taste-words';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { TastePage } from './taste-page';
import { wheelOf } from './wheel-geometry';

const bottled = sampleEntry('bottled', 30, {
  bottles: [{ kindId: 'crown-500', count: 30 }],
  testBottle: false,
  lossL: 0.4,
  crate: 'Row one',
  capColour: 'rust',
  hottestC: 22,
  acknowledged: ['unproven'],
});
const tasted = (day: number, scales: Partial<TasteSheet['scales']>, text: string) =>
  sampleEntry('tasted', day, { text, sparkle: null, again: null, sheet: { ...BLANK_SHEET, score: 6, scales: { ...BLANK_SHEET.scales, ...scales } } });
const open = (...more: Parameters<typeof sampleBatch>[0]): Promise<PageHarness> =>
  PageHarness.open(TastePage, { batches: [sampleBatch([...finishedLog(), bottled, ...more])], today: 200, inputs: { id: BATCH_ID } });

const at = (id: string): string => `[data-word="${id}"]`;
const press = (page: PageHarness, id: string, key: string): Promise<void> => page.keys(at(id), key);

describe('a tasting', () => {
  it('files what was judged, and nothing that was not', async () => {
    const page = await open();
    await page.choose('colour', 'gold');
    await page.choose('acid', '3');
    await page.choose('score', '8');
    await page.choose('again', 'yes');
    await page.type('next', 'a week less on the lees');
    await press(page, 'green-apple', ' ');
    await page.press('Write it down');
    expect(page.written()).toEqual([
      expect.objectContaining({
        kind: 'tasted',
        payload: {
          text: '',
          sparkle: null,
          again: true,
          sheet: {
            ...BLANK_SHEET,
            crateId: bottled.id,
            colour: 'gold',
            scales: { ...BLANK_SHEET.scales, acid: 3 },
            words: ['green-apple'],
            score: 8,
            next: 'a week less on the lees',
          },
        },
      }),
    ]);
  });
  it('asks for one thing at least', async () => {
    const page = await open();
    await page.press('Write it down');
    expect(page.filed()).toEqual([]);
    expect(page.text()).toContain('a word is enough');
  });
  it('goes round the wheel with the arrow keys, both ways, and ticks and unticks', async () => {
    const page = await open();
    const [first = '', second = ''] = TASTE_WORD_IDS;
    const last = TASTE_WORD_IDS.at(-1) ?? '';
    const stop = (): string | null => {
      expect(page.count('[data-word][tabindex="0"]')).toBe(1);
      return page.attribute('[data-word][tabindex="0"]', 'data-word');
    };
    expect(stop()).toBe(first);
    await press(page, first, 'ArrowLeft');
    expect(stop()).toBe(last);
    await press(page, last, 'ArrowDown');
    await press(page, first, 'ArrowRight');
    expect(stop()).toBe(second);
    await press(page, second, 'Enter');
    expect(page.attribute(at(second), 'aria-checked')).toBe('true');
    await press(page, second, ' ');
    expect(page.attribute(at(second), 'aria-checked')).toBe('false');
    await press(page, second, 'End');
    expect(stop()).toBe(last);
  });
  it('sends a word that smells of a fault to the fault finder', async () => {
    const page = await open();
    expect(page.has('a[href$="/fault"]')).toBe(false);
    await press(page, 'vinegar', ' ');
    expect(page.has('a[href$="/fault"]')).toBe(true);
  });
  it('shows how the batch has gone, by its age in the bottle', async () => {
    const page = await open(tasted(44, { acid: 3, body: 1 }, 'sharp'), tasted(150, { acid: 2 }, 'softer'));
    expect(page.text('trug-taste-course')).toMatch(/after 4 months.*6 of 10 · softer.*after 2 weeks.*sharp/);
    expect(page.count('trug-taste-course svg')).toBe(1);
    expect(page.attribute('trug-taste-course svg', 'aria-label')).toBe('acid: sharp after 2 weeks, fresh after 4 months');
  });
});

describe('the wheel', () => {
  it('gives each word the same room, once round, none on its head', () => {
    const words = wheelOf().flatMap((family) => family.words);
    expect(words.map((w) => w.id)).toEqual(TASTE_WORD_IDS);
    const turns = words.map((w) => Number(/rotate\((-?[\d.]+)\)/.exec(w.transform)?.[1]));
    const step = 360 / words.length;
    turns.forEach((turn, i) => expect(turn).toBeCloseTo((i + 0.5) * step - 90, 6));
    // Past the lowest point they are turned round.
    expect(words.every((w, i) => w.transform.includes('rotate(180)') === (i + 0.5) * step > 180)).toBe(true);
  });
});
