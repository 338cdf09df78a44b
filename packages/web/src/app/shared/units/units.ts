import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Dimension } from '@trug/core';
import { formatQuantity } from '@trug/core/quantity/format-quantity';
import { parseQuantity, type ParsedQuantity } from '@trug/core/quantity/parse-quantity';
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
