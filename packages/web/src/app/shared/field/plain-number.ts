/**
 * A bare figure as typed, with a point or a comma.
 *
 * @param text - as typed
 * @returns the number; null where there is none
 */
export function plainNumber(text: string): number | null {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(value) ? null : value;
}
