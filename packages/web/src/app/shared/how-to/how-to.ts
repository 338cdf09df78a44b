import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { SaidPipe } from '../../units/said.pipe';
import { HOW_TO, type HowToId } from './notes';

/** How something is done by hand, in a few lines beside a drawing. */
@Component({
  selector: 'trug-how-to',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  template: `
    <svg viewBox="0 0 120 100" aria-hidden="true">
      <path class="drink" [attr.d]="note().drink" />
      <path class="ink" [attr.d]="note().ink" />
    </svg>
    <div>
      <h2>{{ note().title }}</h2>
      <ol>
        @for (line of note().lines; track line) {
          <li>{{ line | said }}</li>
        }
      </ol>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 120px minmax(0, 44rem);
      gap: 1.25rem;
      padding: 1rem 1.125rem;
      border: 1px solid var(--line);
      background: var(--surface);
    }
    svg {
      width: 120px;
    }
    .ink {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.75;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .drink {
      fill: var(--juice);
      opacity: 0.4;
    }
    h2 {
      margin: 0 0 0.25rem;
      font-size: 1.0625rem;
    }
    ol {
      margin: 0;
      padding-left: 1.25rem;
    }
    li {
      padding: 0.125rem 0;
    }
    @media (max-width: 719px) {
      :host {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class HowToNote {
  readonly of = input.required<HowToId>();
  protected readonly note = computed(() => HOW_TO[this.of()]);
}
