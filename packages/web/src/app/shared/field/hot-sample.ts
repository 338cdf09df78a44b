import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { hotSampleAdvice } from '@trug/core/matter/measure/correct-hydrometer';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { numberIn, readQuantity } from './quantity-field';

/** What to do about a sample that is too hot for a hydrometer, beneath the field of its warmth. */
@Component({
  selector: 'trug-hot-sample',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  template: `
    @if (advice(); as text) {
      <p class="field-error" role="status">{{ text | said }}</p>
    }
  `,
  styles: `
    :host {
      grid-column: 1 / -1;
    }
    /* Where there is nothing to say it takes no row of its own. */
    :host:empty {
      display: none;
    }
  `,
})
export class HotSample {
  private readonly units = inject(Units);
  /** The sample's warmth as typed. */
  readonly text = input.required<string>();
  protected readonly advice = computed(() => hotSampleAdvice(numberIn(readQuantity(this.units, this.text(), 'temperature'))));
}
