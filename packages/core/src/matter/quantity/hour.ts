/** `14:30`, `9.15`, `1430`, `2 pm`, `2:30pm`, `12 a.m.` */
const CLOCK = /^(\d{1,2})(?:[:.h]?([0-5]\d))?\s*(?:([ap])\.?\s?m\.?)?$/;
const NAMED: Readonly<Record<string, string>> = { noon: '12:00', midday: '12:00', midnight: '00:00' };

/**
 * An hour as people write it.
 *
 * @param text - as typed, on a clock of 24 hours or of twice 12
 * @returns `HH:mm`; null when it is no hour, or a bare number that may be one of two
 */
export function parseHour(text: string): string | null {
  const written = text.trim().toLowerCase();
  const named = NAMED[written];
  if (named !== undefined) return named;
  const [, digits, minutes = '00', half] = CLOCK.exec(written) ?? [];
  if (digits === undefined) return null;
  const said = Number(digits);
  // A bare 7 is a morning to one and an evening to another.
  if (half === undefined && !/\d[:.h]?\d\d$/.test(written)) return null;
  if (half !== undefined && (said < 1 || said > 12)) return null;
  const hour = half === undefined ? said : (said % 12) + (half === 'p' ? 12 : 0);
  return hour > 23 ? null : `${String(hour).padStart(2, '0')}:${minutes}`;
}
