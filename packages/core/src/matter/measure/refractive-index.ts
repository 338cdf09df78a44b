import { sgFromBrix } from '../density/brix.js';
import { solidsFromSg } from '../density/solids.js';

/** Specific refraction (n²−1)/(n²+2)/ρ, cm³/g. @source handbook tables at 20 °C (ICUMSA sucrose, CRC ethanol in water to 12 % by mass), ethanol as it acts in water */
const REFRACTION = { water: 0.20606, solids: 0.2065, ethanol: 0.277 } as const;
/** g/L of water at 20 °C. @source Kell 1975 */
const WATER_G_PER_L = 998.2;

/**
 * Refractive index of a drink by mixing: each part bends light by its mass.
 *
 * @param parts - dissolved solids and ethanol, g/L, and specific gravity
 * @returns index at 20 °C, sodium light
 * @source Lorentz–Lorenz, specific refractions of handbook tables; other solids are taken to bend light as sugar does
 */
export function refractiveIndex(parts: { readonly solidsGPerL: number; readonly ethanolGPerL: number; readonly sg: number }): number {
  const waterGPerL = parts.sg * WATER_G_PER_L - parts.solidsGPerL - parts.ethanolGPerL;
  const l = (waterGPerL * REFRACTION.water + parts.solidsGPerL * REFRACTION.solids + parts.ethanolGPerL * REFRACTION.ethanol) / 1000;
  return Math.sqrt((1 + 2 * l) / (1 - l));
}

/** Refractive index of a sugar solution, which is what a refractometer's scale is drawn for. */
export function indexFromBrix(brix: number): number {
  const sg = sgFromBrix(brix);
  return refractiveIndex({ solidsGPerL: solidsFromSg(sg), ethanolGPerL: 0, sg });
}
