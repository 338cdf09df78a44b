import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Dimension, Quantity } from '@trug/core';
import { withoutFieldNames } from '@trug/core/matter/typed/field-words';
import { inUnits } from '@trug/core/matter/quantity/in-units';
import { exampleQuantity } from '@trug/core/matter/quantity/example-quantity';
import { formatQuantity, gravityDoubtText } from '@trug/core/matter/quantity/format-quantity';
import { dayText } from '@trug/core/matter/quantity/days';
import { dayIn, hourIn } from '@trug/core/matter/quantity/zone';
import { figure } from '@trug/core/base/worked/figures';
import { settingsFeature } from '../state/settings.reducer';

/** Reads and writes figures in the maker's own units. */
@Injectable({ providedIn: 'root' })
export class Units {
  private readonly settings = inject(Store).selectSignal(settingsFeature.selectSettings);
  /** The units chosen in the settings. */
  readonly preferences = computed(() => this.settings());

  volume(valueL: number): string {
    return formatQuantity({ dimension: 'volume', valueL }, this.preferences());
  }

  /** As near as a vessel's marks tell: what was filled as 5 gallons is 5 gallons, and not what a tenth of a litre makes of them. */
  volumeAbout(valueL: number): string {
    return this.volume(this.preferences().volume === 'L' ? Math.round(valueL * 10) / 10 : valueL);
  }

  /** An amount where there is no room to say which gallon. */
  short(volume: string): string {
    return volume.replace(/ (?:US|imp) /, ' ');
  }

  /** The scale of gravity, where figures stand without it; nothing for SG, which has no unit. */
  gravityUnit(): string {
    const { gravity } = this.preferences();
    return gravity === 'SG' ? '' : gravity === 'Bx' ? '°Bx' : 'g/L';
  }

  mass(valueG: number): string {
    return formatQuantity({ dimension: 'mass', valueG }, this.preferences());
  }

  temperature(valueC: number): string {
    return formatQuantity({ dimension: 'temperature', valueC }, this.preferences());
  }

  gravity(sg: number): string {
    return formatQuantity({ dimension: 'gravity', sg }, this.preferences());
  }

  /** The same to a digit more where SG is read: what was worked out, not what a stem shows. */
  fineGravity(sg: number): string {
    return this.preferences().gravity === 'SG' ? sg.toFixed(4) : this.gravity(sg);
  }

  /** How far a gravity may be off, on the scale it is written in. */
  gravityDoubt(sg: number, plusMinus: number): string {
    return gravityDoubtText(sg, plusMinus, this.preferences());
  }

  pressure(valueBar: number): string {
    return formatQuantity({ dimension: 'pressure', valueBar }, this.preferences());
  }

  /** About such an amount as people type it, in the maker's own units: an example for a field. */
  example(dimension: 'volume' | 'mass' | 'temperature' | 'gravity', value: number): string {
    const quantity = {
      volume: { dimension: 'volume', valueL: value },
      mass: { dimension: 'mass', valueG: value },
      temperature: { dimension: 'temperature', valueC: value },
      gravity: { dimension: 'gravity', sg: value },
    } as const satisfies Record<typeof dimension, Quantity>;
    return exampleQuantity(quantity[dimension], this.preferences());
  }

  /** A sentence of the core or a refusal in the maker's units, without the names of fields. */
  say(text: string): string {
    return inUnits(withoutFieldNames(text), this.preferences());
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

  /** A value of any dimension, from its canonical unit. */
  text(dimension: Dimension, value: number): string {
    switch (dimension) {
      case 'volume':
        return this.volume(value);
      case 'mass':
        return this.mass(value);
      case 'temperature':
        return this.temperature(value);
      case 'gravity':
        return this.gravity(value);
      case 'pressure':
        return this.pressure(value);
    }
  }
}
