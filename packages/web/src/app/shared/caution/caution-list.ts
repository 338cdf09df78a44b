import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { CAUTION_FOOTING, type Caution } from '@trug/core/base/cautions/caution';
import { SaidPipe } from '../../units/said.pipe';
import { controlOf } from '../field/control-of';
import { TextField } from '../field/text-field';

/** The words a maker types to acknowledge a danger. */
export const ACKNOWLEDGE_WORDS = 'I understand';

/** Cautions where the act happens. A danger asks for a few typed words before the act can be filed. */
@Component({
  selector: 'trug-cautions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, TextField],
  template: `
    @for (item of cautions(); track item.id) {
      <div class="box" [class.danger]="item.severity === 'danger'" [class.note]="item.severity === 'note'" role="note">
        <p>
          <b>{{ item.text | said }}</b> {{ item.whatToDo | said }}
        </p>
      </div>
    }
    @if (asks()) {
      <trug-text [label]="ask" name="acknowledge" [formControl]="control" />
    }
    @if (cautions().length > 0) {
      <p class="hint">{{ footing }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
    }
    .box {
      padding: 0.625rem 0.875rem;
      border-left: 4px solid var(--warn);
      background: var(--warn-wash);
    }
    .danger {
      border-left: 8px double var(--danger);
      background: var(--danger-wash);
    }
    .note {
      border-left: 2px dotted var(--quiet);
      background: transparent;
    }
    p {
      margin: 0;
      font-size: 0.9375rem;
    }
  `,
})
export class CautionList {
  readonly cautions = input.required<readonly Caution[]>();
  /** Whether dangers are to be acknowledged here, or only shown. */
  readonly acknowledge = input(false);
  readonly typed = model('');
  protected readonly control = controlOf(this.typed);
  protected readonly ask = `To file it all the same, type “${ACKNOWLEDGE_WORDS}”`;
  protected readonly footing = CAUTION_FOOTING;
  protected readonly asks = computed(() => this.acknowledge() && this.cautions().some((c) => c.severity === 'danger'));
}

/** Whether what was typed acknowledges a danger. */
export function acknowledges(typed: string): boolean {
  return (
    typed
      .trim()
      .replace(/[.“”"']/g, '')
      .toLowerCase() === ACKNOWLEDGE_WORDS.toLowerCase()
  );
}

/**
 * Why a form with these cautions is not filed yet: the first danger in it, until it is acknowledged.
 *
 * @param cautions - what the form shows
 * @param typed - what was typed to acknowledge it
 * @returns the danger in words; null where nothing is in the way
 */
export function unacknowledged(cautions: readonly Caution[], typed: string): string | null {
  const danger = cautions.find((c) => c.severity === 'danger');
  return danger && !acknowledges(typed) ? `${danger.text} ${danger.whatToDo}` : null;
}
