import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Dimension, Quantity } from '@trug/core';
import { withoutFieldNames } from '@trug/core/matter/typed/field-words';
import { inUnits } from '@trug/core/matter/quantity/in-units';
import { exampleQuantity } from '@trug/core/matter/quantity/example-quantity';
import { formatQuantity, gravityDoubtText } from '@trug/core/matter/quantity/format-quantity';
import { dayText } from '@trug/core/matter/quantity/days';
import { dayIn, hourIn } from '@trug/core/matter/quantity/zone';
import { LITRES_PER } from '@trug/core/matter/quantity/units';
import { figure } from '@trug/core/base/worked/figures';
import { settingsFeature } from '../state/settings.reducer';

/** Reads and writes figures in the maker's own units. */
@Injectable({ providedIn: 'root' })
export class Units {
  private readonly settings = inject(Store).selectSignal(settingsFeature.selectSettings);
  /** The units chosen in the settings. */
  readonly preferences = computed(() => this.settings());

  volume(valueL: number): string {
    return this.text('volume', valueL);
  }

  /**
   * As near as a vessel's marks tell, or a jug's for less than a litre: what was filled as 5 gallons is 5 gallons, and not what a
   * tenth of a litre makes of them.
   */
  volumeAbout(valueL: number): string {
    const marks = Math.abs(valueL) < 1 ? 100 : 10;
    return this.volume(this.preferences().volume === 'L' ? Math.round(valueL * marks) / marks : valueL);
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

  /** The measure that juice is bought by. */
  measure(): { readonly name: string; readonly valueL: number } {
    const { volume } = this.preferences();
    return volume === 'L' ? { name: 'litre', valueL: 1 } : { name: 'gallon', valueL: LITRES_PER[volume] };
  }

  mass(valueG: number): string {
    return this.text('mass', valueG);
  }

  temperature(valueC: number): string {
    return this.text('temperature', valueC);
  }

  gravity(sg: number): string {
    return this.text('gravity', sg);
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
    return this.text('pressure', valueBar);
  }

  /** About such an amount as people type it, in the maker's own units: an example for a field. */
  example(dimension: Dimension, value: number): string {
    return exampleQuantity(quantityOf(dimension, value), this.preferences());
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
    return formatQuantity(quantityOf(dimension, value), this.preferences());
  }
}

function quantityOf(dimension: Dimension, value: number): Quantity {
  switch (dimension) {
    case 'volume':
      return { dimension, valueL: value };
    case 'mass':
      return { dimension, valueG: value };
    case 'temperature':
      return { dimension, valueC: value };
    case 'gravity':
      return { dimension, sg: value };
    case 'pressure':
      return { dimension, valueBar: value };
  }
}
