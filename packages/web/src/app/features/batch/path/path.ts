import { SaidPipe } from '../../../units/said.pipe';
import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { injectNarrow } from '../../../browser/narrow';
import type { PathStop } from '@trug/core/book/plan/path-stops';

/** The garden line of a batch: nine stops, a solid line behind and a dotted one ahead. */
@Component({
  selector: 'trug-path',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  template: `
    <ol aria-label="Path of this batch" tabindex="0">
      @for (stop of shown(); track stop.stage) {
        <li [class]="stop.state" [attr.aria-current]="stop.state === 'here' ? 'step' : null">
          @if ($index > 0) {
            <svg class="way" viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
              <path d="M0,6 C28,0 36,0 50,6 S76,12 100,6" />
            </svg>
          }
          <svg class="stop" viewBox="0 0 28 28" aria-hidden="true">
            <circle cx="14" cy="14" [attr.r]="stop.state === 'here' ? 11 : 8" />
            @if (stop.state === 'done') {
              <path d="M10,14 l3,3 l5,-6" />
            }
            @if (stop.state === 'skipped') {
              <path d="M10,14 h8" />
            }
            @if (stop.state === 'here') {
              <circle class="dot" cx="14" cy="14" r="4" />
            }
          </svg>
          <b>{{ stop.name }}</b>
          <span
            >{{ stop.line | said }}<span class="visually-hidden">{{ ', ' + stop.state }}</span></span
          >
        </li>
      }
    </ol>
    @if (narrow()) {
      <button class="link" type="button" [attr.aria-expanded]="open()" (click)="open.set(!open())">
        {{ open() ? 'Only where it is' : hidden() }}
      </button>
    }
  `,
  styles: `
    ol {
      display: grid;
      grid-auto-flow: column;
      grid-auto-columns: minmax(70px, 1fr);
      margin: 0;
      padding: 0;
      list-style: none;
      overflow-x: auto;
    }
    li {
      position: relative;
      display: grid;
      justify-items: center;
      align-content: start;
      text-align: center;
      font-size: 0.8125rem;
    }
    .way {
      position: absolute;
      z-index: 0;
      top: 8px;
      left: calc(-50% + 15px);
      width: calc(100% - 30px);
      height: 12px;
      path {
        fill: none;
        stroke: var(--line);
        stroke-width: 3;
        stroke-linecap: round;
        stroke-dasharray: 0.1 7;
        vector-effect: non-scaling-stroke;
      }
    }
    .done .way path,
    .skipped .way path,
    .here .way path {
      stroke: var(--leaf);
      stroke-dasharray: none;
    }
    .stop {
      position: relative;
      z-index: 1;
      width: 28px;
      height: 28px;
      fill: var(--ground);
      stroke: var(--quiet);
      stroke-width: 2.2;
    }
    .done .stop {
      fill: var(--leaf);
      stroke: var(--leaf);
    }
    .done .stop path {
      fill: none;
      stroke: var(--ground);
    }
    .skipped .stop {
      stroke: var(--leaf);
    }
    .here .stop {
      stroke: var(--russet);
      stroke-width: 4;
    }
    .dot {
      fill: var(--russet);
      stroke: none;
    }
    .link {
      display: block;
      margin-inline: auto;
      min-height: 44px;
    }
    b {
      font: 600 1rem / 1.3 var(--head);
    }
    .ahead b,
    .skipped b,
    li > span {
      color: var(--quiet);
    }
  `,
})
export class Path {
  readonly stops = input.required<readonly PathStop[]>();
  protected readonly narrow = injectNarrow();
  /** Whether a phone shows the whole of it. */
  protected readonly open = signal(false);
  private readonly here = computed(() => {
    const at = this.stops().findIndex((stop) => stop.state === 'here');
    return at >= 0 ? at : Math.max(0, this.stops().filter((stop) => stop.state === 'done').length - 1);
  });
  /** On a phone, where it is with one stop before and one after. */
  protected readonly shown = computed(() => (this.narrow() && !this.open() ? this.stops().filter((_stop, i) => Math.abs(i - this.here()) <= 1) : this.stops()));
  protected readonly hidden = computed(() => {
    const ahead = Math.max(0, this.stops().length - this.here() - 2);
    return ahead > 0 ? `${ahead} more ahead` : 'All of its path';
  });
}
