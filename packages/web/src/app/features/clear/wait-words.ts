/** Days as a maker would say them. */
export function waitWords(days: number): string {
  if (days < 14) return days === 1 ? 'a day' : `${days} days`;
  return days < 60 ? `${Math.round(days / 7)} weeks` : `${Math.round(days / 30)} months`;
}
