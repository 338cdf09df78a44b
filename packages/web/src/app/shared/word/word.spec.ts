import { PageHarness } from '../../../testing/page-harness';
import { until } from '../../../testing/until';
import { HOW_TO } from '../how-to/notes';
import { Word } from './word';
import { CRAFT_WORDS, LABELS, wordOf } from './labels';
import { MEANINGS } from './meanings';

const open = (label: string): Promise<PageHarness> => PageHarness.open(Word, { inputs: { label } });

describe('a word of the craft', () => {
  it('says what it means at a press, and is put away by Escape without leaving the page', async () => {
    const page = await open('Strength so far');
    await page.press('Strength so far');
    await until(() => document.querySelector('[role=note]') !== null);
    const card = document.querySelector('[role=note]');
    expect(card?.textContent).toContain('Alcohol, in parts of a hundred');
    const escape = new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true });
    document.body.dispatchEvent(escape);
    await page.settled();
    expect(escape.defaultPrevented).toBe(true);
    expect(document.querySelector('[role=note]')).toBeNull();
  });
  it('is plain text where the glossary has nothing', async () => {
    const page = await open('Volume');
    expect(page.has('button')).toBe(false);
    expect(page.text()).toBe('Volume');
  });
});

describe('the glossary', () => {
  it('stands in the order of the alphabet, each label in one place, nothing without a sentence', () => {
    const labels = CRAFT_WORDS.flatMap((w) => [w, ...LABELS[w]]).map((l) => l.toLowerCase());
    expect(new Set(labels).size).toBe(labels.length);
    expect(CRAFT_WORDS.map((w) => w.toLowerCase())).toEqual(CRAFT_WORDS.map((w) => w.toLowerCase()).sort());
    for (const word of CRAFT_WORDS) expect(MEANINGS[word]).toMatch(/^[A-Z].{15,}\.$/);
    expect(wordOf('acid, AS MALIC')).toBe('Acid');
  });
  it('is joined by notes on the handwork, each drawn and told in a few lines', () => {
    for (const note of Object.values(HOW_TO)) {
      expect(note.lines.length).toBeGreaterThanOrEqual(3);
      expect(note.lines.length).toBeLessThanOrEqual(5);
      expect(note.ink).toMatch(/^M/);
      expect(note.title).toMatch(/\?$/);
    }
  });
});
