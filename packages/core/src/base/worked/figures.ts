/**
 * Writes a number for a line of working or a sentence, with a fixed count of decimals and no negative zero.
 *
 * @param value - any finite number
 * @param decimals - digits after the point, 0–6
 * @returns the digits, with a true minus sign when below zero
 */
export function figure(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/**
 * Writes a number without the zeros that say nothing.
 *
 * @param value - any finite number
 * @param decimals - at most so many digits after the point, 0–6
 * @returns such as `2.5` or `3`
 */
export const trimmed = (value: number, decimals: number): string =>
  figure(value, decimals)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '');

/**
 * Writes a temperature as it was read: to a tenth of a degree where it has one, so that 58 °F comes back as 58.
 *
 * @param tempC - °C
 * @returns such as `18 °C` or `14.4 °C`
 */
export const celsius = (tempC: number): string => `${trimmed(tempC, 1)} °C`;

/**
 * Writes what a vessel holds as finely as gallons are told, so that 6 gal come back as 6.
 *
 * @param volumeL - L
 * @returns such as `23 L` or `22.71 L`
 */
export const litresText = (volumeL: number): string => `${trimmed(volumeL, 2)} L`;

/**
 * Writes a weight as finely as pounds and ounces are told, so that 6 lb come back as 6.
 *
 * @param massKg - kg
 * @returns such as `3 kg` or `2.722 kg`
 */
export const kilosText = (massKg: number): string => `${trimmed(massKg, 3)} kg`;

/**
 * Writes a specific gravity the way makers do: three decimals, or four when asked.
 *
 * @param sg - specific gravity 20 °C/20 °C
 * @param decimals - 3 for reading off a stem, 4 in a working
 * @returns such as `1.048`
 */
export function gravityText(sg: number, decimals: 3 | 4 = 3): string {
  return sg.toFixed(decimals);
}
