import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Step } from '@trug/core';
import { SaidPipe } from '../../units/said.pipe';

/** Show the working: each line of a calculation with the maker's own figures, its result and its source. */
@Component({
  selector: 'trug-working',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  template: `
    <details>
      <summary class="link">{{ label() }}</summary>
      <ol>
        @for (step of steps(); track $index) {
          <li>
            <b>{{ step.label | said }}</b>
            <span class="num">{{ step.expression }}</span>
            <strong class="num">= {{ step.result }}</strong>
            <em>{{ step.source }}</em>
          </li>
        }
      </ol>
    </details>
  `,
  styles: `
    ol {
      margin: 0.5rem 0 0;
      padding: 0;
      list-style: none;
      border-left: 3px solid var(--line);
    }
    li {
      display: grid;
      padding: 0.25rem 0 0.5rem 0.75rem;
      font-size: 0.9375rem;
    }
    em {
      color: var(--quiet);
      font-size: 0.8125rem;
      font-style: normal;
    }
  `,
})
export class Working {
  readonly steps = input.required<readonly Step[]>();
  readonly label = input('Show the working');
}
