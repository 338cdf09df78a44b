import { formatQuantity, type Quantity, type UnitPreferences } from './format-quantity.js';
import { celsiusToFahrenheit, GRAMS_PER, LITRES_PER } from './units.js';

/** Two figures are as many as an example needs. */
const short = (value: number): string => String(Number(value.toPrecision(2)));

/**
 * An example of what a maker may type, in their own units and as people type it: short, with units that are on every keyboard.
 *
 * @param quantity - about how much, in its canonical unit
 * @param units - the maker's choice
 * @returns text that `parseQuantity` reads back as about that much
 * @example exampleQuantity({ dimension: 'volume', valueL: 20 }, { …, volume: 'us-gal' }) // => '5.3 gal'
 */
export function exampleQuantity(quantity: Quantity, units: UnitPreferences): string {
  switch (quantity.dimension) {
    case 'volume':
      return units.volume === 'L' ? `${quantity.valueL} L` : `${short(quantity.valueL / LITRES_PER[units.volume])} gal`;
    case 'mass': {
      if (units.mass === 'metric') return quantity.valueG < 1000 ? `${quantity.valueG} g` : `${quantity.valueG / 1000} kg`;
      return quantity.valueG < GRAMS_PER.lb ? `${short(quantity.valueG / GRAMS_PER.oz)} oz` : `${short(quantity.valueG / GRAMS_PER.lb)} lb`;
    }
    case 'temperature':
      return units.temperature === 'degC' ? `${quantity.valueC} C` : `${Math.round(celsiusToFahrenheit(quantity.valueC))} F`;
    case 'gravity':
    case 'pressure':
      return formatQuantity(quantity, units).replace('°', '');
  }
}
