import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ControlContainer, ReactiveFormsModule } from '@angular/forms';
import type { Liquid, RawGravity } from '@trug/core';
import { attempt } from '@trug/core/base/errors/attempt';
import { isWithin } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import { brixFromSg } from '@trug/core/matter/density/brix';
import { correctGravity } from '@trug/core/matter/measure/correct-gravity';
import { gaugeNamed, type Gauge } from '@trug/core/matter/measure/gauge';
import { NO_SAMPLE, typedGravity, unitOfGauge } from '@trug/core/matter/typed/typed-gravity';
import { Units } from '../../units/units';
import { ChoiceField } from './choice-field';
import { HotSample } from './hot-sample';
import { numberIn, QuantityField, readQuantity } from './quantity-field';
import { type Choice, SelectField } from './select-field';

/** A gravity as typed: the figure, what it was read with, and the sample's warmth. */
export interface GravityTyped {
  readonly text: string;
  readonly by: string;
  readonly sample: string;
}

/**
 * A gravity as it is stored, out of what was typed.
 *
 * @param units - the maker's
 * @param gauges - what it can be read with
 * @param typed - figure, gauge and sample
 * @returns the raw reading; null where nothing was typed, or nothing that can be read, which its field says
 */
export function readGravity(units: Units, gauges: readonly Gauge[], { text, by, sample }: GravityTyped): RawGravity | null {
  const gauge = gaugeNamed(gauges, by);
  if (text.trim() === '' || !gauge) return null;
  const read = attempt(() => typedGravity(text, gauge, numberIn(readQuantity(units, sample, 'temperature'))));
  return read.ok ? read.value : null;
}

/**
 * A gravity of the form around it: what it is read with, the figure in any scale with what it comes to, and the sample's warmth with advice
 * where it is too warm. Its fields lie in the grid of the page; `--whole-row` there says how those reach that take a row of their own.
 */
@Component({
  selector: 'trug-gravity',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, ChoiceField, SelectField, QuantityField, HotSample],
  viewProviders: [{ provide: ControlContainer, useFactory: () => inject(ControlContainer, { skipSelf: true }) }],
  template: `
    @if (by(); as name) {
      @if (spread()) {
        <trug-choice class="row" label="Read with" [name]="name" [formControlName]="name" [usual]="gauge()?.id ?? ''" [options]="choices()" />
      } @else {
        <trug-select label="Read with" [attr.name]="name" [formControlName]="name" [usual]="gauge()?.id ?? ''" [options]="choices()" />
      }
    }
    @if (gauge(); as g) {
      @if (gravity(); as name) {
        <div class="row">
          <trug-quantity
            [label]="label()"
            [name]="name"
            dimension="gravity"
            [hints]="{ bareUnit: unit() }"
            [placeholder]="example()"
            [hint]="hint()"
            [error]="error()"
            [isAsked]="isAsked()"
            [inputmode]="spread() ? 'decimal' : 'text'"
            [formControlName]="name"
          />
          @if (is(); as figure) {
            <p class="hint num" aria-live="polite">{{ figure }}</p>
          }
          @if (g.kind === 'refractometer' && must() !== null) {
            <p class="hint">A lens sees alcohol too. That is reckoned out, and a stem is surer.</p>
          }
          <ng-content select="[asks]" />
        </div>
      }
      @if (sample(); as name) {
        <trug-quantity
          [label]="sampleLabel()"
          [name]="name"
          dimension="temperature"
          [placeholder]="units.example('temperature', 18)"
          [error]="noSample()"
          [formControlName]="name"
        />
        @if (g.kind === 'hydrometer') {
          <trug-hot-sample [text]="text(name)" />
        }
      }
    } @else {
      <ng-content />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .row {
      grid-column: var(--whole-row, auto);
    }
    p {
      margin: 0;
    }
  `,
})
export class GravityField {
  protected readonly units = inject(Units);
  readonly gauges = input.required<readonly Gauge[]>();
  /** What the form holds, by the names of its controls. */
  readonly fields = input.required<object>();
  readonly label = input('Gravity');
  /** The names of the form's controls; empty where it has none. */
  readonly gravity = input('gravity');
  readonly by = input('instrument');
  readonly sample = input('sample');
  readonly sampleLabel = input('The sample is at');
  /** What it may be known by besides a gauge; what is asked then is the content, which its page makes only where it is. */
  readonly others = input<readonly Choice[]>([]);
  /** Whether all gauges lie in sight, and figures beneath the thumb: it is read at the vessel. */
  readonly spread = input(false);
  /** What it likely reads, SG. */
  readonly likelySg = input(1.05);
  /** What went to yeast, once it has: a lens needs it. */
  readonly must = input<Liquid | null>(null);
  /** Whether what it comes to is said beneath the figure. */
  readonly says = input(true);
  readonly hint = input('');
  /** Whether something about it has to be answered first. */
  readonly isAsked = input(false);
  /** A refusal from elsewhere, such as a limit. */
  readonly error = input<string | null>(null);

  private readonly texts = computed(() => new Map<string, unknown>(Object.entries(this.fields())));
  protected readonly choices = computed((): readonly Choice[] => [...this.gauges(), ...this.others()]);
  private readonly chosen = computed(() => this.text(this.by()));
  protected readonly gauge = computed(() => (this.others().some(({ id }) => id === this.chosen()) ? undefined : gaugeNamed(this.gauges(), this.chosen())));
  protected readonly unit = computed(() => unitOfGauge(this.gauge()?.kind ?? 'hydrometer'));
  protected readonly example = computed(() =>
    this.unit() === 'Bx' ? `${brixFromSg(this.likelySg()).toFixed(1)} Bx` : this.units.example('gravity', this.likelySg()),
  );
  protected readonly noSample = computed(() => {
    const sampleC = numberIn(readQuantity(this.units, this.text(this.sample()), 'temperature'));
    return sampleC === null || isWithin(sampleC, LIMITS.sampleC) ? null : this.units.say(NO_SAMPLE);
  });
  protected readonly is = computed(() => {
    const read = readGravity(this.units, this.gauges(), { text: this.text(this.gravity()), by: this.chosen(), sample: this.text(this.sample()) });
    if (!this.says() || read === null) return null;
    const corrected = attempt(() => correctGravity(read, this.must()));
    if (!corrected.ok) return null;
    const { sg, plusMinus } = corrected.value;
    return `it is ${this.units.fineGravity(sg)} ± ${this.units.gravityDoubt(sg, plusMinus)}`;
  });

  protected text(name: string): string {
    const text = this.texts().get(name);
    return typeof text === 'string' ? text : '';
  }
}
