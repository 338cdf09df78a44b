import type { InstrumentDto, InstrumentKindId } from '@trug/contract/plain';
import { INSTRUMENT_CHECKS } from '@trug/core/book/device/instrument-check';
import { calendarDays, dayText } from '@trug/core/matter/quantity/days';

/** Instruments by name, and whether they can post their readings themselves. */
export const INSTRUMENTS: readonly { readonly id: InstrumentKindId; readonly name: string; readonly canPost: boolean }[] = [
  { id: 'hydrometer', name: 'Hydrometer', canPost: false },
  { id: 'refractometer', name: 'Refractometer', canPost: false },
  { id: 'thermometer', name: 'Thermometer', canPost: false },
  { id: 'ph-meter', name: 'pH meter', canPost: true },
  { id: 'scale', name: 'Scale', canPost: true },
  { id: 'floating-hydrometer', name: 'Floating hydrometer', canPost: true },
];

/** When it was checked, and whether that was too long ago. */
export function checkedText({ checkedOn, kind }: InstrumentDto, now: string): { readonly text: string; readonly due: boolean } {
  if (checkedOn === null) return { text: 'never checked', due: true };
  const days = calendarDays(checkedOn, now);
  const due = days > INSTRUMENT_CHECKS[kind].everyDays;
  return { text: `checked ${dayText(checkedOn)} ${checkedOn.slice(0, 4)}${due ? ', check it again' : ''}`, due };
}

/** What is added to its figures, as a maker would say it. */
export function offsetText({ offset, kind, checkedOn }: InstrumentDto): string {
  const { decimals, unit } = INSTRUMENT_CHECKS[kind];
  if (offset === 0) return checkedOn === null ? 'taken as true' : 'true';
  const by = Math.abs(offset).toFixed(decimals);
  return `reads ${by}${unit === 'SG' || unit === 'pH' ? '' : ` ${unit === 'C' ? '°C' : unit}`} ${offset < 0 ? 'high' : 'low'}`;
}
