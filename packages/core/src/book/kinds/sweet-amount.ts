import { fermentableById, litresPoured } from '../../base/reference/fermentables.js';
import type { Say } from './kind.js';

interface Sweet {
  readonly fermentableId: string;
  readonly massG: number;
}

/** An amount of a sweet thing as it is measured: a juice by the litre, all else by weight. */
export function asMeasured({ fermentableId, massG }: Sweet, say: Pick<Say, 'volume' | 'mass'>): string {
  const litres = litresPoured(fermentableId, massG);
  return litres === null ? say.mass(massG) : say.volume(litres);
}

/** The same, with its name. */
export const sweetAmount = (sweet: Sweet, say: Pick<Say, 'volume' | 'mass'>): string =>
  `${asMeasured(sweet, say)} ${fermentableById(sweet.fermentableId).name}`;
