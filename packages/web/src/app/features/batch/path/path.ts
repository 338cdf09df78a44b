import { SaidPipe } from '../../../units/said.pipe';
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { PathStop } from '@trug/core/book/plan/path-stops';

/** The garden line of a batch: nine stops, a solid line behind and a dotted one ahead. */
@Component({
  selector: 'trug-path',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  template: `
    <ol aria-label="Path of this batch" tabindex="0">
      @for (stop of stops(); track stop.stage) {
        <li [class]="stop.state" [attr.aria-current]="stop.state === 'here' ? 'step' : null">
          <svg viewBox="0 0 28 28" aria-hidden="true">
            <circle cx="14" cy="14" [attr.r]="stop.state === 'here' ? 11 : 8" />
            @if (stop.state === 'done') {
              <path d="M10,14 l3,3 l5,-6" />
            }
            @if (stop.state === 'here') {
              <circle class="dot" cx="14" cy="14" r="4" />
            }
          </svg>
          <b>{{ stop.name }}</b>
          <span
            >{{ stop.line | said
            }}<span class="visually-hidden">{{ stop.state === 'done' ? ', done' : stop.state === 'here' ? ', here' : ', ahead' }}</span></span
          >
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      display: grid;
      grid-template-columns: repeat(9, minmax(70px, 1fr));
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
    li + li::before {
      content: '';
      position: absolute;
      z-index: 0;
      top: 12px;
      left: -50%;
      width: 100%;
      border-top: 3px dotted var(--line);
    }
    li.done + li::before {
      border-top: 3px solid var(--leaf);
    }
    li.done + li.ahead::before {
      border-top-style: dotted;
      border-color: var(--line);
    }
    svg {
      position: relative;
      z-index: 1;
      width: 28px;
      height: 28px;
      fill: var(--ground);
      stroke: var(--quiet);
      stroke-width: 2.2;
    }
    .done svg {
      fill: var(--leaf);
      stroke: var(--leaf);
    }
    .done path {
      fill: none;
      stroke: var(--ground);
    }
    .here svg {
      stroke: var(--russet);
      stroke-width: 4;
    }
    .dot {
      fill: var(--russet);
      stroke: none;
    }
    b {
      font: 600 1rem / 1.3 var(--head);
    }
    .ahead b,
    li > span {
      color: var(--quiet);
    }
  `,
})
export class Path {
  readonly stops = input.required<readonly PathStop[]>();
}
