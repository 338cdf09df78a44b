import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** A strip of masking tape with torn ends: a batch's name and a line beneath, in hand lettering. */
@Component({
  selector: 'trug-tape',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '[style.--tape]': 'colour()' },
  template: `<b>{{ name() }}</b>
    @if (line(); as line) {
      <span>{{ line }}</span>
    }`,
  styles: `
    :host {
      display: inline-grid;
      justify-items: center;
      padding: 0.2rem 0.9rem 0.25rem;
      background: var(--tape);
      color: var(--tape-ink);
      font-family: var(--hand);
      line-height: 1.1;
      transform: rotate(-0.6deg);
      clip-path: polygon(
        0 6%,
        3px 18%,
        1px 32%,
        4px 46%,
        0 60%,
        3px 74%,
        1px 88%,
        0 100%,
        100% 96%,
        calc(100% - 3px) 84%,
        calc(100% - 1px) 70%,
        calc(100% - 4px) 56%,
        100% 42%,
        calc(100% - 3px) 28%,
        calc(100% - 1px) 14%,
        100% 0
      );
    }
    b,
    span {
      max-width: 100%;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    b {
      font-size: var(--tape-size, 1.375rem);
      font-weight: 400;
    }
    span {
      font-size: 0.9375rem;
      opacity: 0.85;
    }
  `,
})
export class Tape {
  readonly name = input.required<string>();
  readonly line = input<string | null>(null);
  readonly tape = input('straw');
  protected readonly colour = computed(() => `var(--tape-${this.tape()})`);
}
