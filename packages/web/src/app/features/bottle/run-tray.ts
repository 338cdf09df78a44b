import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const ACROSS = 8;
const MOST = 64;
const STEP = 34;

/** A crate seen from above: a cap for each bottle, and the test bottle as what it is. */
@Component({
  selector: 'trug-run-tray',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows() > 0) {
      <svg [attr.viewBox]="'0 0 ' + (across * step + 12) + ' ' + (rows() * step + 12)" aria-hidden="true" [style.--cap]="'var(--cap-' + cap() + ')'">
        <rect class="crate" x="1" y="1" [attr.width]="across * step + 10" [attr.height]="rows() * step + 10" />
        @for (bottle of bottles(); track bottle.i) {
          <g [attr.transform]="'translate(' + bottle.x + ',' + bottle.y + ')'">
            @if (bottle.is === 'cap') {
              <circle class="cap" r="14" />
              <circle class="rim" r="8.5" />
            } @else if (bottle.is === 'test') {
              <rect class="test" x="-14" y="-14" width="28" height="28" rx="7" />
              <text text-anchor="middle" y="4">test</text>
            } @else {
              <circle class="free" r="12" />
            }
          </g>
        }
      </svg>
    }
  `,
  styles: `
    svg {
      width: 100%;
      max-width: 20rem;
    }
    .crate {
      fill: var(--wood);
      stroke: var(--ink);
      stroke-width: 2;
    }
    .cap {
      fill: var(--cap);
      stroke: var(--ink);
    }
    .rim {
      fill: none;
      stroke: #fffdf8;
      stroke-opacity: 0.6;
      stroke-width: 2;
    }
    .test {
      fill: var(--surface);
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    text {
      fill: var(--ink);
      font: 700 12.5px var(--text);
    }
    .free {
      fill: none;
      stroke: var(--wood-dark);
      stroke-dasharray: 3 3;
    }
  `,
})
export class RunTray {
  readonly count = input.required<number>();
  readonly cap = input.required<string>();
  readonly test = input(false);
  protected readonly across = ACROSS;
  protected readonly step = STEP;
  private readonly drawn = computed(() => Math.min(MOST, this.count()));
  protected readonly rows = computed(() => Math.ceil(this.drawn() / ACROSS));
  protected readonly bottles = computed(() =>
    Array.from({ length: this.rows() * ACROSS }, (_none, i) => ({
      i,
      x: 6 + STEP / 2 + (i % ACROSS) * STEP,
      y: 6 + STEP / 2 + Math.floor(i / ACROSS) * STEP,
      is: i >= this.drawn() ? 'free' : this.test() && i === this.drawn() - 1 ? 'test' : 'cap',
    })),
  );
}
