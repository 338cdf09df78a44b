import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import { WHEEL_PX, wheelOf } from './wheel-geometry';

const WHEEL = wheelOf();
const ALL = WHEEL.flatMap((family) => family.words.map((word) => word.id));
/** How far each key goes round; past the end it goes on from the beginning. */
const KEYS: Readonly<Record<string, (at: number) => number>> = {
  ArrowRight: (at) => at + 1,
  ArrowDown: (at) => at + 1,
  ArrowLeft: (at) => at - 1,
  ArrowUp: (at) => at - 1,
  Home: () => 0,
  End: () => -1,
};

/** Words for what is smelt and tasted, round a wheel: pressed, or gone round with the arrow keys and ticked with the space bar. */
@Component({
  selector: 'trug-taste-wheel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="box" role="group" aria-label="Words on a wheel. Arrow keys go round, the space bar ticks.">
      @for (family of wheel; track family.id) {
        <g [class]="family.id" role="group" [attr.aria-label]="family.name">
          <path class="family" [attr.d]="family.path" />
          <text class="name" [attr.transform]="family.transform" [attr.text-anchor]="family.anchor" dy="0.32em" aria-hidden="true">
            {{ family.name }}
          </text>
          @for (word of family.words; track word.id) {
            <g
              class="word"
              role="checkbox"
              [attr.aria-checked]="chosen().includes(word.id)"
              [attr.aria-label]="word.name"
              [attr.tabindex]="word.id === stop() ? 0 : -1"
              [attr.data-word]="word.id"
              (click)="take(word.id)"
              (keydown)="key($event, word.id)"
            >
              <path [attr.d]="word.path" />
              <text [attr.transform]="word.transform" [attr.text-anchor]="word.anchor" dy="0.32em" aria-hidden="true">{{ word.name }}</text>
            </g>
          }
        </g>
      }
    </svg>
  `,
  styleUrl: './taste-wheel.scss',
})
export class TasteWheel {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly chosen = input.required<readonly string[]>();
  readonly pressed = output<string>();
  protected readonly wheel = WHEEL;
  protected readonly box = `${-WHEEL_PX / 2} ${-WHEEL_PX / 2} ${WHEEL_PX} ${WHEEL_PX}`;
  private readonly here = signal<string | null>(null);
  /** The one word that Tab comes to. */
  protected readonly stop = computed(() => this.here() ?? this.chosen()[0] ?? ALL[0]);

  protected take(id: string): void {
    this.here.set(id);
    this.pressed.emit(id);
  }

  protected key(event: KeyboardEvent, id: string): void {
    if (event.key === ' ' || event.key === 'Enter') {
      event.preventDefault();
      this.take(id);
      return;
    }
    const to = KEYS[event.key]?.(ALL.indexOf(id));
    if (to === undefined) return;
    event.preventDefault();
    const next = ALL.at(to % ALL.length) ?? id;
    this.here.set(next);
    this.host.nativeElement.querySelector<SVGGElement>(`[data-word="${next}"]`)?.focus();
  }
}
