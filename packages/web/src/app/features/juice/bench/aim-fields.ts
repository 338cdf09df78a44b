import { SaidPipe } from '../../../units/said.pipe';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import type { BlendAim, BlendTargets, ReachAxis, ReachPoint } from '@trug/core';
import { LIMITS } from '@trug/core/base/errors/limits';
import { TypedLine } from '../../../shared/field/typed-line';
import { plainNumber } from '../../../shared/field/plain-number';
import { readQuantity } from '../../../shared/field/quantity-field';
import { Units } from '../../../units/units';
import { AXES } from './reach-geometry';

/** What each figure may be asked to be. @source our estimates of what fruit and cider can have */
const RANGES: Readonly<Record<BlendAim, { readonly min: number; readonly max: number; readonly like: string }>> = {
  sg: { min: LIMITS.sg.min, max: LIMITS.juiceSg.max, like: '1.052 or 13 Bx' },
  taGPerL: { ...LIMITS.juiceTaGPerL, like: '5.5' },
  tanninGPerL: { ...LIMITS.tanninGPerL, like: '1.2' },
  ph: { ...LIMITS.juicePh, like: '3.5' },
  abv: { ...LIMITS.abv, like: '6.5' },
};

interface AimField {
  readonly aim: BlendAim;
  readonly label: string;
  readonly text: string;
}

/** The target as figures: typed here, or read off where the cross-hair was dragged to. */
@Component({
  selector: 'trug-aim-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, TypedLine],
  template: `
    <span class="lead">Aim at</span>
    @for (f of fields(); track f.aim) {
      <trug-line
        class="beside slim"
        [class.wide]="f.aim === 'sg'"
        [label]="f.label"
        [name]="'aim-' + f.aim"
        inputmode="decimal"
        placeholder="any"
        [text]="f.text"
        [isWrong]="refused()?.aim === f.aim"
        (left)="typed(f, $event)"
      />
    }
    @if (refused(); as r) {
      <p class="field-error" role="alert">{{ r.says | said }}</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.35rem 0.5rem;
      padding-bottom: 0.35rem;
      font-size: 0.9375rem;
    }
    .lead {
      font: 600 0.9375rem var(--head);
    }
    trug-line {
      flex: 0 0 auto;
      width: 5.4rem;
      color: var(--quiet);
    }
    trug-line:last-of-type {
      width: 6.1rem;
    }
    .wide {
      width: 8.1rem;
    }
    p {
      flex-basis: 100%;
      margin: 0;
    }
  `,
})
export class AimFields {
  private readonly units = inject(Units);
  readonly axis = input.required<ReachAxis>();
  readonly cross = input.required<ReachPoint>();
  readonly targets = input.required<BlendTargets>();
  /** A figure to aim at, or null to let it go. */
  readonly aimed = output<{ readonly aim: BlendAim; readonly value: number | null }>();
  protected readonly refused = signal<{ readonly aim: BlendAim; readonly says: string } | null>(null);
  protected readonly fields = computed((): readonly AimField[] => {
    const axis = AXES[this.axis()];
    const { sg, y } = this.cross();
    const { tanninGPerL } = this.targets();
    return [
      { aim: 'sg', label: 'gravity', text: this.units.fineGravity(sg).replace('°', '') },
      { aim: this.axis(), label: axis.title.split(',')[0] ?? axis.name, text: y.toFixed(axis.digits) },
      ...(this.axis() === 'tanninGPerL'
        ? []
        : [{ aim: 'tanninGPerL' as const, label: 'tannin', text: tanninGPerL === undefined ? '' : tanninGPerL.toFixed(1) }]),
    ];
  });

  protected typed({ aim, text: before }: AimField, text: string): void {
    if (text === before) return;
    if (text.trim() === '' && aim === 'tanninGPerL') {
      this.refused.set(null);
      this.aimed.emit({ aim, value: null });
      return;
    }
    const value = this.valueOf(aim, text);
    const { min, max, like } = RANGES[aim];
    if (value === null || value < min || value > max) {
      this.refused.set({ aim, says: `“${text}” cannot be aimed at here. Write a figure from ${min} to ${max}, such as ${like}.` });
      return;
    }
    this.refused.set(null);
    this.aimed.emit({ aim, value });
  }

  private valueOf(aim: BlendAim, text: string): number | null {
    if (aim === 'sg') {
      const read = readQuantity(this.units, text, 'gravity');
      return read?.ok === true ? read.value.value : null;
    }
    return plainNumber(text);
  }
}
