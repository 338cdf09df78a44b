import { gramsPerLitre, isPoured, isSyrup } from '../../base/reference/fermentables.js';
import { SO2_MG_PER_UNIT } from '../../juice/adjust/sulfite-dose.js';
import { ML_PER_TEASPOON, type Weights } from '../../matter/typed/parse-quantity.js';

/** What a level teaspoon of 5 mL holds, g. @source our estimate from bulk densities; fine powders pack, so weighing is better */
const TEASPOON_G = {
  sugar: 4.2,
  syrup: 7,
  acid: 4.5,
  carbonate: 4.5,
  'calcium-carbonate': 2.5,
  tannin: 2.2,
  sulfite: 6,
  sorbate: 3,
  enzyme: 3,
  bentonite: 3.5,
  nutrient: 4,
  yeast: 3.2,
} as const;

/** g of a priming drop. @source our estimate, 2.5 to 4: the packet says */
const DROP_G = 3;
/** g of citric acid in a lemon. @source our estimate: 45 mL of juice at 50 g/L */
const LEMON_G = 2.2;
/** g of tannin in the tea of one bag. @source our estimate, 0.1 to 0.2 */
const TEA_BAG_G = 0.15;
/** g in a packet whose weight nobody wrote down. @source the usual packet, for 20 to 25 L */
export const USUAL_PACKET_G = 5;

/**
 * What a spoon, a tablet, a lemon or a tea bag weighs when it is this ingredient.
 *
 * @param kind - what it is, as the cupboard sorts it
 * @param refId - which of its kind; null when there is only one
 * @returns grams for each measure that makes sense, and nothing for the others
 */
export function kitchenWeights(kind: string, refId: string | null): Weights {
  switch (kind) {
    case 'sugar':
      return refId !== null && isPoured(refId)
        ? { gramsPerTeaspoon: (gramsPerLitre(refId) * ML_PER_TEASPOON) / 1000, gramsPerLitre: gramsPerLitre(refId) }
        : { gramsPerTeaspoon: refId !== null && isSyrup(refId) ? TEASPOON_G.syrup : TEASPOON_G.sugar, gramsPerDrop: DROP_G };
    case 'acid':
      return { gramsPerTeaspoon: TEASPOON_G.acid, ...(refId === 'citric' ? { gramsPerLemon: LEMON_G } : {}) };
    case 'carbonate':
      return { gramsPerTeaspoon: refId === 'calcium-carbonate' ? TEASPOON_G['calcium-carbonate'] : TEASPOON_G.carbonate };
    case 'tannin':
      return { gramsPerTeaspoon: TEASPOON_G.tannin, gramsPerTeaBag: TEA_BAG_G };
    case 'sulfite':
      // As much of the powder as brings a tablet's sulfur dioxide.
      return {
        gramsPerTeaspoon: TEASPOON_G.sulfite,
        gramsPerTablet: SO2_MG_PER_UNIT.tablet / SO2_MG_PER_UNIT[refId === 'sodium-metabisulfite' ? refId : 'potassium-metabisulfite'],
      };
    case 'sorbate':
      return { gramsPerTeaspoon: TEASPOON_G.sorbate };
    case 'enzyme':
      return { gramsPerTeaspoon: TEASPOON_G.enzyme };
    case 'bentonite':
      return { gramsPerTeaspoon: TEASPOON_G.bentonite };
    case 'nutrient':
      return { gramsPerTeaspoon: TEASPOON_G.nutrient };
    case 'yeast':
      return { gramsPerTeaspoon: TEASPOON_G.yeast, gramsPerPacket: USUAL_PACKET_G };
    default:
      return {};
  }
}
