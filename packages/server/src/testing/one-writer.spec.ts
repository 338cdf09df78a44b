import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const WEB = join(__dirname, '../../../web/src/app');
const sources = readdirSync(WEB, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.spec.ts'))
  .map((file) => ({ file: file.replaceAll('\\', '/'), text: readFileSync(join(WEB, file), 'utf8') }));
const files = (pattern: RegExp): readonly string[] =>
  sources
    .filter(({ text }) => pattern.test(text))
    .map(({ file }) => file)
    .sort();

describe('what a maker writes', () => {
  it('goes through one writer: of logs, or of what is no log', () => {
    const dispatched = files(/dispatch\(\s*(?:Batch|Resource|Vessel|Settings)PageActions\.(?:filingSent|resource|vessel|settings)/);
    // The zone that a browser lives in is nobody's choice, and not to be undone.
    expect(dispatched).toEqual(['state/zone-of-browser.ts']);
    expect(files(/PageActions\.filingSent\(/)).toEqual(['writing/log-writer.ts']);
    expect(files(/PageActions\.(?:resourceSaved|resourceRemoved|vesselSent)\(/)).toEqual(['writing/resource-writer.ts']);
  });
  it('leaves the window in one place; files, devices, tables of readings and the way in for guests have their own', () => {
    expect(files(/http\s*\.(?:post|put|patch|delete)\b/)).toEqual([
      'features/book/book-api.ts',
      'features/cupboard/device-api.ts',
      'features/import/import-page.ts',
      // Writes nothing in the book: it opens a door to phones, and shuts it.
      'shared/blind/tasting-api.ts',
      'state/trug-api.ts',
    ]);
  });
  it('is refused by a rule of the contract in words of one place, and only there', () => {
    expect(files(/\bProblemField\b/)).toEqual(['writing/refusal-text.ts']);
    expect(files(/\bcheckPart\(|\bcheckDto\b|\bcheckEntry\(/)).toEqual(['writing/check-before-filing.ts', 'writing/dto-validator.ts']);
    expect(files(/import\('@trug\/contract'\)/)).toEqual(['writing/contract.ts']);
  });
  it('is said to be written in one place', () => {
    expect(files(/\bMatSnackBar\b/)).toEqual(['writing/says.ts']);
  });
});
