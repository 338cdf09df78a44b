import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, input, output, untracked } from '@angular/core';
import type { TrialWay } from '@trug/core/finish/trial/trial-substance';
import { namedWith, pressesOf, type BlindSession } from '@trug/core/finish/trial/blind-session';
import { TasteGlass } from '../taste-glass/taste-glass';

const PLACES = ['best', 'second', 'third', 'fourth'] as const;

/** The phone goes round: each taster sees their own glasses and nothing of what the others said. */
@Component({
  selector: 'trug-blind-round',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TasteGlass],
  template: `
    @if (turn(); as t) {
      <h2 tabindex="-1">{{ t.name }} tastes</h2>
      <p>
        {{
          way() === 'triangle'
            ? 'Two of the three are the same. Taste from left to right, and press the odd one.'
            : 'Taste from left to right, water between them. Then press the best, the next, to the last.'
        }}
      </p>
      <ul>
        @for (glass of t.glasses; track glass.code) {
          <li>
            <button type="button" [disabled]="glass.place !== ''" [attr.aria-label]="'Glass ' + glass.code" (click)="press($index)">
              <trug-taste-glass colour="gold" aria-hidden="true" />
              <span class="code num">{{ glass.code }}</span>
              <span class="place">{{ glass.place }}</span>
            </button>
          </li>
        }
      </ul>
      @if (t.pressed > 0) {
        <button class="link" type="button" (click)="back()">Take the last press back</button>
      }
    } @else {
      <h2 tabindex="-1">All have judged</h2>
      <p>Nobody was told anything until now.</p>
    }
    <p class="quiet" role="status">{{ judged() }} of {{ names().length }} have judged.</p>
  `,
  styles: `
    h2 {
      margin: 0 0 0.5rem;
      font-size: 1.375rem;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(5.5rem, 9rem));
      gap: 0.75rem;
      margin: 0 0 1rem;
      padding: 0;
      list-style: none;
    }
    button:not(.link) {
      display: grid;
      justify-items: center;
      gap: 0.25rem;
      width: 100%;
      padding: 0.75rem 0.5rem;
      border: 1px solid var(--line);
      border-radius: var(--corner);
      background: var(--surface);
      color: var(--ink);
      font: inherit;
      cursor: pointer;
    }
    button:disabled {
      background: var(--leaf-wash);
      cursor: default;
    }
    trug-taste-glass {
      width: 3.5rem;
    }
    .code {
      font: 400 1.75rem var(--hand);
    }
    .place {
      min-height: 1.5em;
      font-weight: 600;
    }
  `,
})
export class BlindRound {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly session = input.required<BlindSession>();
  readonly way = input.required<TrialWay>();
  readonly names = input.required<readonly string[]>();
  readonly pressed = input.required<readonly (readonly number[])[]>();
  readonly pressedNow = output<readonly (readonly number[])[]>();
  private readonly wanted = computed(() => pressesOf(this.way(), this.session().served[0]?.length ?? 0));
  protected readonly judged = computed(() => this.names().filter((_name, i) => this.pressed()[i]?.length === this.wanted()).length);
  /** Whose turn it is; null once all have judged. */
  protected readonly turn = computed(() => {
    const at = this.judged();
    const name = this.names()[at];
    if (name === undefined) return null;
    const own = this.pressed()[at] ?? [];
    const glasses = (this.session().served[at] ?? []).map(({ code }, position) => ({
      code,
      place: own.includes(position) ? (PLACES[own.indexOf(position)] ?? '') : '',
    }));
    return { at, name, glasses, pressed: own.length };
  });

  constructor() {
    // Whoever takes the phone hears their own name first.
    effect(() => {
      this.judged();
      untracked(() => setTimeout(() => this.host.nativeElement.querySelector<HTMLElement>('h2')?.focus()));
    });
  }

  protected press(position: number): void {
    const turn = this.turn();
    if (!turn) return;
    const glasses = this.session().served[turn.at]?.length ?? 0;
    this.put(turn.at, namedWith(this.way(), glasses, this.pressed()[turn.at] ?? [], position));
  }

  protected back(): void {
    const turn = this.turn();
    if (turn) this.put(turn.at, (this.pressed()[turn.at] ?? []).slice(0, -1));
  }

  private put(taster: number, own: readonly number[]): void {
    this.pressedNow.emit(Array.from({ length: taster + 1 }, (_none, i) => (i === taster ? own : (this.pressed()[i] ?? []))));
  }
}
