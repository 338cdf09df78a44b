import { inject, Injectable } from '@angular/core';
import { NativeDateAdapter } from '@angular/material/core';
import { Clock } from '../../state/clock';
import { Units } from '../../units/units';

const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})$/;
const FIGURES = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/;
const MONTHS = 12;

/**
 * A day written in figures, as those it can be split into.
 *
 * @param text - such as `2026-10-16`, `16/10/2026` or `10/16/2026`
 * @returns year, month and day; null where it is not in figures; `unclear` where two halves of the world would read it differently
 */
export function dayInFigures(text: string): readonly [year: number, month: number, day: number] | 'unclear' | null {
  const [, year, month, day] = ISO.exec(text) ?? [];
  if (year !== undefined && month !== undefined && day !== undefined) return [Number(year), Number(month), Number(day)];
  const [, one, other, of] = FIGURES.exec(text) ?? [];
  if (one === undefined || other === undefined || of === undefined) return null;
  const [first, second] = [Number(one), Number(other)];
  if (first > MONTHS) return [Number(of), second, first];
  if (second > MONTHS || first === second) return [Number(of), first, second];
  return 'unclear';
}

/** Days as the maker lives them: today is theirs, whatever this machine's clock and zone are, and figures are read one way or not at all. */
@Injectable()
export class MakersDateAdapter extends NativeDateAdapter {
  private readonly clock = inject(Clock);
  private readonly units = inject(Units);

  override today(): Date {
    const [year = 1970, month = 1, day = 1] = this.units.dateOf(this.clock.now()).split('-').map(Number);
    return this.createDate(year, month - 1, day);
  }

  override parse(value: unknown): Date | null {
    const text = typeof value === 'string' ? value.trim() : '';
    if (text === '') return null;
    const figures = dayInFigures(text);
    if (figures === null) return super.parse(text);
    if (figures === 'unclear') return this.invalid();
    const [year, month, day] = figures;
    return month >= 1 && month <= MONTHS && day >= 1 && day <= this.getNumDaysInMonth(this.createDate(year, month - 1, 1))
      ? this.createDate(year, month - 1, day)
      : this.invalid();
  }
}
