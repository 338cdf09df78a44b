import { capital } from '../../base/worked/sentence.js';
import { WILD_YEAST_ID } from '../../base/reference/yeast-kinds.js';
import { NUTRIENTS } from '../../juice/adjust/nutrient-plan.js';
import { FERMENTABLES } from '../../base/reference/fermentables-data.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import type { DrawnSupply } from './supply-kinds.js';
import type { SupplyUnit } from '../summary/supplies-left.js';

/** What Trug can take out of a cupboard. */
export interface SupplyOffer {
  readonly kind: DrawnSupply;
  /** Which of its kind; null when there is only one. */
  readonly refId: string | null;
  readonly name: string;
  readonly unit: SupplyUnit;
}

const grams = (kind: SupplyOffer['kind'], refId: string | null, name: string): SupplyOffer => ({ kind, refId, name, unit: 'g' });

/** Everything a maker may keep that some sum of Trug asks for, in the order a shopping list has it. */
export const SUPPLY_CATALOGUE: readonly SupplyOffer[] = [
  ...YEAST_KINDS.filter((y) => y.id !== WILD_YEAST_ID).map((y): SupplyOffer => ({ kind: 'yeast', refId: y.id, name: y.name, unit: 'packet' })),
  ...NUTRIENTS.map((n) => grams('nutrient', n.id, capital(n.name))),
  { kind: 'sulfite', refId: 'tablet', name: 'Sulfite tablets', unit: 'tablet' },
  grams('sulfite', 'potassium-metabisulfite', 'Potassium metabisulfite'),
  grams('sulfite', 'sodium-metabisulfite', 'Sodium metabisulfite'),
  grams('acid', 'malic', 'Malic acid'),
  grams('acid', 'citric', 'Citric acid'),
  grams('acid', 'tartaric', 'Tartaric acid'),
  grams('carbonate', 'potassium-bicarbonate', 'Potassium bicarbonate'),
  grams('carbonate', 'potassium-carbonate', 'Potassium carbonate'),
  grams('carbonate', 'calcium-carbonate', 'Calcium carbonate (chalk)'),
  grams('tannin', null, 'Tannin powder'),
  grams('enzyme', null, 'Pectic enzyme'),
  grams('bentonite', null, 'Bentonite'),
  ...FERMENTABLES.filter((f) => f.kind === 'fermentable').map((f) => grams('sugar', f.id, f.name)),
];
