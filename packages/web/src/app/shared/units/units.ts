import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Dimension } from '@trug/core';
import { formatQuantity } from '@trug/core/quantity/format-quantity';
import { parseQuantity, type ParsedQuantity } from '@trug/core/quantity/parse-quantity';
import { dayText } from '@trug/core/quantity/days';
import { dayIn, hourIn } from '@trug/core/quantity/zone';
import { figure } from '@trug/core/worked/figures';
import { cupboardFeature } from '../../state/cupboard.reducer';

/** Reads and writes figures in the maker's own units. */
@Injectable({ providedIn: 'root' })
export class Units {
  private readonly settings = inject(Store).selectSignal(cupboardFeature.selectSettings);
  /** The units chosen in the settings. */
  readonly preferences = computed(() => this.settings());

  volume(valueL: number): string {
    return formatQuantity({ dimension: 'volume', valueL }, this.preferences());
  }

  mass(valueG: number): string {
    return formatQuantity({ dimension: 'mass', valueG }, this.preferences());
  }

  temperature(valueC: number): string {
    return formatQuantity({ dimension: 'temperature', valueC: Math.round(valueC * 10) / 10 }, this.preferences());
  }

  gravity(sg: number): string {
    return formatQuantity({ dimension: 'gravity', sg }, this.preferences());
  }

  pressure(valueBar: number): string {
    return formatQuantity({ dimension: 'pressure', valueBar }, this.preferences());
  }

  percent(abv: number): string {
    return `${figure(abv, 1)} %`;
  }

  /** The maker's time zone. */
  zone(): string {
    return this.preferences().timeZone;
  }

  /** A day as a maker writes it, by the maker's own calendar. */
  day(iso: string, weekday = false): string {
    return dayText(this.dateOf(iso), weekday);
  }

  /** The calendar day it is for the maker, `YYYY-MM-DD`. */
  dateOf(iso: string): string {
    return dayIn(iso, this.zone());
  }

  /** Hour and minute on the maker's clock. */
  hour(iso: string): string {
    return hourIn(iso, this.zone());
  }

  /** Day, year and hour. */
  moment(iso: string): string {
    const date = this.dateOf(iso);
    return iso.length <= 10 ? `${dayText(date, true)} ${date.slice(0, 4)}` : `${dayText(date, true)} ${date.slice(0, 4)}, ${this.hour(iso)}`;
  }

  /** What a maker typed, with bare numbers in their own unit. */
  parse(text: string, dimension: Dimension): ParsedQuantity {
    const units = this.preferences();
    const bare = {
      volume: units.volume,
      mass: units.mass === 'metric' ? 'g' : 'oz',
      temperature: units.temperature,
      gravity: 'SG',
      pressure: units.pressure,
    } as const;
    return parseQuantity(text, { dimension, gallon: units.volume === 'imp-gal' ? 'imperial' : 'us', bareUnit: bare[dimension] });
  }
}
