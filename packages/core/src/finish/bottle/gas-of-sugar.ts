import { CO2_PER_HEXOSE } from '../../matter/liquid/views.js';

/** g of CO₂ in a litre holding one volume. @source density of CO₂ at 0 °C and 1 atm, 1.9768 g/L */
export const CO2_G_PER_VOLUME = 1.9768;

/** CO₂ that sugar makes when all of it ferments, volumes, from g/L as hexose. */
export const volumesFromHexose = (hexoseGPerL: number): number => (hexoseGPerL * CO2_PER_HEXOSE) / CO2_G_PER_VOLUME;
