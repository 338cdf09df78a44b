import { fermentableById, litresPoured } from '../../base/reference/fermentables.js';
import type { Say } from './kind.js';

/** An amount of a sweet thing as it is measured: a juice by the litre, all else by weight. */
export function sweetAmount({ fermentableId, massG }: { readonly fermentableId: string; readonly massG: number }, say: Pick<Say, 'volume' | 'mass'>): string {
  const litres = litresPoured(fermentableId, massG);
  return `${litres === null ? say.mass(massG) : say.volume(litres)} ${fermentableById(fermentableId).name}`;
}
