import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Clarity, TasteColour } from '@trug/core';
import type { Sparkle } from '@trug/core/book/state/entry-choices';

/** How much of what is behind it shows through. */
const HAZE: Readonly<Record<Clarity, number>> = { bright: 0, hazy: 0.35, cloudy: 0.7 };
/** Bubbles drawn, from the foot up. */
const BUBBLES: Readonly<Record<Sparkle, number>> = { flat: 0, soft: 5, lively: 14, gushing: 26 };

/** The glass as it was found: its colour, how clear it stands, how it fizzes. */
@Component({
  selector: 'trug-taste-glass',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 120 190" role="img" [attr.aria-label]="spoken()">
      <path class="drink" [class]="colour() ?? 'none'" d="M25 52 C24 92 34 112 60 112 C86 112 96 92 95 52 Z" />
      @if (haze() > 0) {
        <path class="haze" [style.opacity]="haze()" d="M25 52 C24 92 34 112 60 112 C86 112 96 92 95 52 Z" />
      }
      @for (b of bubbles(); track $index) {
        <circle class="bubble" [attr.cx]="b.x" [attr.cy]="b.y" [attr.r]="b.r" />
      }
      @if (sparkle() === 'gushing') {
        <path class="foam" d="M22 52 q6 -14 15 -7 q7 -12 17 -3 q9 -11 18 0 q10 -9 16 3 q8 -2 9 7 Z" />
      }
      <path class="glass" d="M20 18 C16 84 28 116 60 116 C92 116 104 84 100 18" />
      <path class="glass" d="M60 116 V168 M34 172 C44 166 76 166 86 172 Z" />
    </svg>
  `,
  styles: `
    :host {
      display: block;
      width: 7.5rem;
    }
    svg {
      display: block;
      width: 100%;
    }
    .drink {
      fill: var(--straw);
      --water: color-mix(in srgb, var(--perry) 14%, var(--glass));
      --straw: color-mix(in srgb, var(--perry) 55%, var(--glass));
      --gold: color-mix(in srgb, var(--juice) 55%, var(--perry));
      --amber: var(--juice);
      --rust: color-mix(in srgb, var(--russet) 70%, var(--juice));
    }
    .none {
      fill: var(--glass);
    }
    .water {
      fill: var(--water);
    }
    .straw {
      fill: var(--straw);
    }
    .gold {
      fill: var(--gold);
    }
    .amber {
      fill: var(--amber);
    }
    .rust {
      fill: var(--rust);
    }
    .haze,
    .foam {
      fill: var(--glass);
    }
    .bubble {
      fill: none;
      stroke: var(--surface);
      stroke-width: 1.2;
    }
    .foam {
      stroke: var(--line);
    }
    .glass {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.25;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class TasteGlass {
  readonly colour = input<TasteColour | null>(null);
  readonly clarity = input<Clarity | null>(null);
  readonly sparkle = input<Sparkle | null>(null);
  protected readonly haze = computed(() => HAZE[this.clarity() ?? 'bright']);
  /** The same bubbles every time, spread so that none stand in rows. */
  protected readonly bubbles = computed(() =>
    Array.from({ length: BUBBLES[this.sparkle() ?? 'flat'] }, (_none, i) => {
      const [across, up] = [(i * 0.7549 + 0.3) % 1, (i * 0.5698 + 0.1) % 1];
      const y = 58 + up * 46;
      return { x: 60 + (across - 0.5) * (56 - up * 26), y, r: 1 + ((i * 7) % 3) * 0.6 };
    }),
  );
  protected readonly spoken = computed(
    () => `A glass: ${[this.colour(), this.clarity(), this.sparkle()].filter((is) => is !== null).join(', ') || 'not judged'}`,
  );
}
