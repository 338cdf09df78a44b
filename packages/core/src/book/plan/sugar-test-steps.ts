import { FORCED_LEAST } from '../kinds/tested.js';

/** How a small sample is fermented out, step by step. @source usual practice: 250 mL, 1–2 g of yeast, 25 °C, 5–7 days */
export const FORCED_FERMENT_STEPS: readonly string[] = [
  'Draw about 250 mL from the middle of the vessel into a clean bottle, and shake the gas out of it.',
  'Read its gravity, and note it.',
  'Stir in 1 to 2 g of a strong, quick yeast, and close it with foil or an airlock, never a tight cap.',
  `Stand it somewhere warm, about 25 °C, for 5 to 7 days; less than ${FORCED_LEAST.days} days or colder than ${FORCED_LEAST.tempC} °C says nothing. Swirl it each day.`,
  'Shake the gas out, let it cool to the warmth of the first reading, and read it again with the same instrument. Pour the sample away.',
];

/** How a test for sugar is done. @source usual practice with reducing-sugar tests */
export const SUGAR_TEST_STEPS: readonly string[] = [
  'Filter or settle a little of the drink until it is clear: haze and colour spoil the reading.',
  'Test it as the packet says. Most tests see glucose and fructose, and neither cane sugar nor lactose: where cane sugar went in lately, ferment a sample out instead.',
  'A dark or high result is read again in a sample thinned with four parts of water, times five.',
];
