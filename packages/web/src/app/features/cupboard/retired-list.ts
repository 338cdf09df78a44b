import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { Units } from '../../units/units';

/** What was put away for good: still named by the logs, and taken out again by a press. */
@Component({
  selector: 'trug-retired-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary class="link">Put away for good: {{ things().length }}</summary>
      <ul>
        @for (thing of things(); track thing.id) {
          <li>
            {{ thing.name }}, since {{ units.day(thing.retiredOn ?? '') }}
            <button class="link" type="button" [attr.aria-label]="'Use again: ' + thing.name" (click)="again.emit(thing.id)">Use it again</button>
          </li>
        }
      </ul>
    </details>
  `,
  styles: `
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      padding: 0.25rem 0;
    }
  `,
})
export class RetiredList {
  readonly things = input.required<readonly { readonly id: string; readonly name: string; readonly retiredOn?: string | null | undefined }[]>();
  /** The id of what is to be used again. */
  readonly again = output<string>();
  protected readonly units = inject(Units);
}
