import { BOUGHT_JUICES } from '../../base/reference/bought-juice-data.js';
import { byId } from '../../base/errors/by-id.js';
import { acidsFromReadings, type AcidState } from './acid-chemistry.js';

/** What a juice or concentrate brings beside its sugar, in a litre of it. */
export type BesideSugar = AcidState & { readonly tanninGPerL: number; readonly sorbitolGPerL: number; readonly yanMgPerL: number };

const boughtById = byId('bought juice', BOUGHT_JUICES);

/** How many times stronger a concentrate of 68 °Bx is than the juice it was made from, litre for litre. @source solids of 68 °Bx at 1.335 and of 16 °Bx at 1.065 */
const GRAPE_CONCENTRATION = 5.3;

/** The library's juice behind each fermentable that is one. */
const JUICES: Readonly<Record<string, { readonly fruitId: string; readonly times: number }>> = {
  'apple-juice': { fruitId: 'apple-juice-clear-pasteurised', times: 1 },
  'apple-concentrate': { fruitId: 'apple-concentrate-70-brix', times: 1 },
  'pear-concentrate': { fruitId: 'pear-concentrate-70-brix', times: 1 },
  'white-grape-juice': { fruitId: 'grape-juice-white', times: 1 },
  'grape-concentrate': { fruitId: 'grape-juice-white', times: GRAPE_CONCENTRATION },
};

/**
 * What a litre of a juice or concentrate brings beside its sugar.
 *
 * @param fermentableId - as the library of fermentables names it
 * @returns its acids, tannin, sorbitol and nitrogen; null for plain sugars and syrups
 * @source the fruit library's typical figures
 */
export function besideSugar(fermentableId: string): BesideSugar | null {
  const juice = JUICES[fermentableId];
  if (!juice) return null;
  const { fruitId, times } = juice;
  const { ph, taGPerL, tanninGPerL, sorbitolGPerL, yanMgPerL } = boughtById(fruitId);
  return {
    ...acidsFromReadings({ ph: ph[1], taGPerL: taGPerL[1] * times }),
    tanninGPerL: tanninGPerL[1] * times,
    sorbitolGPerL: sorbitolGPerL * times,
    yanMgPerL: yanMgPerL[1] * times,
  };
}
