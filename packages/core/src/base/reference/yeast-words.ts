import { likeOwn } from './own-yeast.js';
import type { YeastKind } from './yeast-kinds-data.js';

/** What a kind of yeast is like, in words. */
export interface YeastWords {
  readonly aroma: string;
  readonly bestFor: string;
  readonly caution: string;
}

/** Beside the figures, since only those who choose a yeast read them. @source general knowledge by role; a packet's own words win */
const WORDS: Readonly<Record<string, YeastWords>> = {
  'neutral-champagne': {
    aroma: 'clean and neutral, little ester',
    bestFor: 'dry sparkling cider, reliable bottle conditioning',
    caution: 'Ferments bone dry and can strip aroma if run warm.',
  },
  'cool-fruity-white': {
    aroma: 'floral, pear and tropical esters',
    bestFor: 'aromatic dessert-apple ciders and light perries',
    caution: 'Short of nitrogen it may give a struck-match or eggy smell.',
  },
  'acid-softening': {
    aroma: 'ripe fruit, young and soft',
    bestFor: 'sharp cooking-apple or crab-heavy juices',
    caution: 'Avoid in low-acid juice, where losing malic acid lifts pH and dulls flavour.',
  },
  'english-ale': {
    aroma: 'round, bready, gentle stone-fruit',
    bestFor: 'fuller-bodied still cider with some softness',
    caution: 'May drop out before dry and wake again on warming, so check gravity before bottling.',
  },
  'american-ale': {
    aroma: 'clean, light citrus',
    bestFor: 'clear, everyday cider and hopped or fruited blends',
    caution: 'Little character of its own, so the juice must be interesting.',
  },
  'crisp-cider': {
    aroma: 'fresh green apple, tidy finish',
    bestFor: 'balanced dry cider from mixed fruit',
    caution: 'Thin juice can seem austere when fermented fully dry.',
  },
  'fruity-cider': {
    aroma: 'apple skin, banana-like ester, soft',
    bestFor: 'bought juice or bland fruit needing more scent',
    caution: 'Warm ferments can turn solvent-like.',
  },
  'sweet-finish': {
    aroma: 'soft, fruity, rounded',
    bestFor: 'still, off-dry cider kept cold or pasteurised',
    caution: 'The sugar left is still fermentable, so never seal it in glass unless stabilised; it may go dry anyway.',
  },
  'high-alcohol-dessert': {
    aroma: 'rich, vinous, dried fruit',
    bestFor: 'strong sweet ciders from enriched or frozen juice',
    caution: 'Needs staged nutrient and air early on, and gives hot alcohol if rushed.',
  },
  'cold-tolerant-slow': {
    aroma: 'rose, spice, fresh fruit',
    bestFor: 'long winter ferments in an unheated shed',
    caution: 'May make a little malic or succinic acid, and gets coarse above about 20 °C.',
  },
  restart: {
    aroma: 'plain and neutral',
    bestFor: 'finishing stalled, strong or sulphited ciders',
    caution: 'Acclimatise a starter with rising amounts of the stuck cider and find the cause first.',
  },
  'farmhouse-saison-like': {
    aroma: 'pepper, citrus peel, light clove',
    bestFor: 'dry, spicy cider and warm-room ferments',
    caution: 'Some kinds break down starch sugars and over-carbonate bottles or spread to other batches.',
  },
  baking: {
    aroma: 'bready, rough, sometimes eggy',
    bestFor: 'trials or when nothing else is to hand',
    caution: 'Settles poorly, may carry bacteria and leaves a doughy taste on long lees contact.',
  },
  'wild-spontaneous': {
    aroma: 'complex, from floral to farmyard',
    bestFor: 'low-nitrogen, sound, low-pH juice with patience',
    caution: 'Unpredictable; keep pH below about 3.8, fill vessels full, and expect an occasional vinegary or stuck batch.',
  },
};
const NONE: YeastWords = { aroma: '', bestFor: '', caution: '' };

/**
 * What a kind of yeast is like; one of the maker's own as the kind it is like.
 *
 * @param kind - of the library, or of the maker's own
 */
export function yeastWords({ id }: Pick<YeastKind, 'id'>): YeastWords {
  const like = likeOwn(id);
  const words = WORDS[like ?? id] ?? NONE;
  return like === null ? words : { ...words, caution: 'Your own, by what its packet says.' };
}
