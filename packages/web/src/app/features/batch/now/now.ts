import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import type { Evidence } from '@trug/core';
import { Icon, type IconName } from '../../../shared/icon/icon';
import { Working } from '../../../shared/working/working';
import type { BatchView } from '../../../state/batch-views.selectors';
import { nowWords } from './now-words';
import { SaidPipe } from '../../../units/said.pipe';

const MARKS: Readonly<Record<Evidence['speaks'], { readonly icon: IconName; readonly word: string }>> = {
  for: { icon: 'yes', word: 'speaks for it: ' },
  against: { icon: 'note', word: 'speaks against it: ' },
  note: { icon: 'note', word: 'to note: ' },
};

/** Now: where the batch stands in one sentence, why, and the one thing to do. */
@Component({
  selector: 'trug-now',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, RouterLink, Icon, Working, MatMenu, MatMenuItem, MatMenuTrigger],
  host: { '[class]': 'words().tone' },
  template: `
    <h2 class="sentence">{{ words().sentence | said }}</h2>
    @if (words().evidence.length > 0) {
      <ul aria-label="Why">
        @for (item of words().evidence; track item.text) {
          <li [class]="item.speaks">
            <trug-icon [name]="marks[item.speaks].icon" /><span
              ><span class="visually-hidden">{{ marks[item.speaks].word }}</span
              >{{ item.text | said }}</span
            >
          </li>
        }
      </ul>
    }
    @if (words().next) {
      <p>{{ words().next | said }}</p>
    }
    <div class="acts">
      @if (words().main; as main) {
        <a class="btn btn-main" [routerLink]="linkTo(main.page)">{{ main.verb }}</a>
      }
      @if (words().also.length > 1) {
        <button class="btn" type="button" [matMenuTriggerFor]="also">Something else</button>
        <mat-menu #also>
          @for (act of words().also; track act.verb) {
            <a mat-menu-item disableRipple [routerLink]="linkTo(act.page)">{{ act.verb }}</a>
          }
        </mat-menu>
      } @else {
        @for (act of words().also; track act.verb) {
          <a class="link" [routerLink]="linkTo(act.page)">{{ act.verb }}</a>
        }
      }
    </div>
    @if (view().verdict; as verdict) {
      <trug-working [steps]="verdict.steps" />
    }
  `,
  styles: `
    :host {
      display: grid;
      align-content: start;
      gap: 0.75rem;
      padding: 1rem 1.125rem;
      border: 1px solid var(--line);
      border-left: 5px solid var(--slate);
      background: var(--surface);
    }
    :host(.good) {
      border-left-color: var(--leaf);
    }
    :host(.act) {
      border-left: 9px double var(--danger);
    }
    .sentence {
      margin: 0;
      font-size: 1.375rem;
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
      border-top: 1px dotted var(--line);
    }
    li {
      display: flex;
      gap: 0.5rem;
      padding: 0.375rem 0;
      border-bottom: 1px dotted var(--line);
      font-size: 0.9375rem;
    }
    li trug-icon {
      font-size: 0.9rem;
      margin-top: 1px;
      color: var(--leaf);
    }
    li.against trug-icon,
    li.note trug-icon {
      color: var(--warn);
    }
    p {
      margin: 0;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem 1.25rem;
    }
  `,
})
export class Now {
  readonly view = input.required<BatchView>();
  protected readonly marks = MARKS;
  protected readonly words = computed(() => nowWords(this.view()));

  protected linkTo(page: string): string[] {
    return page.startsWith('/') ? [page] : ['/batch', this.view().batch.id, ...page.split('/')];
  }
}
