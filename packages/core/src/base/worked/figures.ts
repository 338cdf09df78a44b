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
 * Writes a specific gravity the way makers do: three decimals, or four when asked.
 *
 * @param sg - specific gravity 20 °C/20 °C
 * @param decimals - 3 for reading off a stem, 4 in a working
 * @returns such as `1.048`
 */
export function gravityText(sg: number, decimals: 3 | 4 = 3): string {
  return sg.toFixed(decimals);
}
