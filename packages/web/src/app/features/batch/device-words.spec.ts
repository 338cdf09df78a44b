import { dayText } from '@trug/core/matter/quantity/days';
import { deviceWords } from './device-words';

const units = { gravity: (sg: number) => sg.toFixed(3), temperature: (c: number) => `${c} °C`, day: (iso: string) => dayText(iso) };
const AT = Date.parse('2026-11-20T10:00:00Z');

it.each([
  [{ atMs: AT, tempC: 17.54, ph: null }, { atMs: [AT], values: [1.012] }, '2026-11-20T12:00:00Z', 'says about 1.012 and 17.5 °C.'],
  [{ atMs: AT, tempC: null, ph: 3.414 }, null, '2026-11-20T12:00:00Z', 'says pH 3.41.'],
  [{ atMs: AT, tempC: 18, ph: 3.4 }, { atMs: [AT], values: [1.01] }, '2026-11-23T12:00:00Z', 'said last, on 20 Nov, about 1.010, pH 3.40 and 18 °C.'],
  [{ atMs: AT, tempC: null, ph: null }, null, '2026-11-20T12:00:00Z', 'says nothing Trug can use.'],
])('a device %#', (now, smooth, today, words) => expect(deviceWords(now, smooth, units, today)).toBe(words));
