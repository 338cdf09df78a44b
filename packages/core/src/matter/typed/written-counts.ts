const SMALL = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'] as const;
/** What is counted or spooned; number words elsewhere are left as the maker wrote them. */
const COUNTED = String.raw`(?:level\s+|heaped\s+|rounded\s+|small\s+|large\s+|whole\s+|sul(?:f|ph)ite\s+)*(?:tsps?|teaspoons?|tbsps?|tablespoons?|spoons?|spoonfuls?|cups?|packets?|sachets?|tab(?:let)?s?|lemons?|drops?|tea\s?bags?|pinch(?:es)?|lbs?|pounds?|oz|ounces?|kilos?|kg|grams?|litres?|liters?|gal(?:lon)?s?|pints?|quarts?)\b`;
const COUNT = new RegExp(String.raw`\b(${SMALL.join('|')})\s+(?=${COUNTED})`, 'gi');
const ONE = new RegExp(String.raw`\ban?\s+(?=${COUNTED})`, 'gi');
const PARTS: readonly (readonly [RegExp, string])[] = [
  [new RegExp(String.raw`\b(\d+|${SMALL.join('|')})\s+and\s+a\s+half\s+(?=${COUNTED})`, 'gi'), '$1 1/2 '],
  [new RegExp(String.raw`\b(?:a\s+)?half\s+(?:of\s+)?(?:an?\s+)?(?=${COUNTED})`, 'gi'), '1/2 '],
  [new RegExp(String.raw`\bthree\s+quarters?\s+(?:of\s+)?(?:an?\s+)?(?=${COUNTED})`, 'gi'), '3/4 '],
  [new RegExp(String.raw`\b(?:a\s+)?quarter\s+(?:of\s+)?(?:an?\s+)?(?=${COUNTED})`, 'gi'), '1/4 '],
];

const digits = (word: string): string => String(SMALL.findIndex((small) => small === word.toLowerCase()) + 1);

/**
 * Counts in words before what is counted, as digits: `half a packet`, `two tsp`, `one and a half cups`.
 *
 * @param line - in plain writing
 * @returns the line with those counts as digits, and every other word as it was
 */
export function withCountsInDigits(line: string): string {
  const parted = PARTS.reduce((text, [pattern, to]) => text.replace(pattern, to), line);
  return parted
    .replace(new RegExp(String.raw`\b(${SMALL.join('|')})(?=\s+\d/\d)`, 'gi'), digits)
    .replace(COUNT, (_whole, word: string) => `${digits(word)} `)
    .replace(ONE, '1 ');
}
