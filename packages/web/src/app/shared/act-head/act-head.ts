import { about, isGravityGuessed } from '../../units/about';
import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, Injector, input, signal, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import { phOf } from '@trug/core/matter/liquid/acid-chemistry';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { drinkOf } from '@trug/core/book/state/drink-of';
import { figure } from '@trug/core/base/worked/figures';
import type { BatchView } from '../../state/batch-views.selectors';
import { SaidPipe } from '../../units/said.pipe';
import { strengthText } from '../../units/strength-text';
import { Units } from '../../units/units';
import { HowToNote } from '../how-to/how-to';
import type { HowToId } from '../how-to/notes';
import { Tape } from '../tape/tape';
import { ActWhen } from './act-when';

/** The head of every act: the batch's tape as the way back, what is done, the batch as it is now, and how it is done by hand. */
@Component({
  selector: 'trug-act-head',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActWhen, RouterLink, SaidPipe, Tape, HowToNote],
  templateUrl: './act-head.html',
  styleUrl: './act-head.scss',
})
export class ActHead {
  private readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  /** What is done here. */
  readonly act = input.required<string>();
  readonly says = input('');
  /** The handwork it takes, where a maker may ask. */
  readonly how = input<HowToId | null>(null);
  /** Whether it may be written down later than it was done. */
  readonly dated = input(false);
  protected readonly earlier = signal(false);
  protected readonly shown = signal(false);
  private readonly asks = viewChild<ElementRef<HTMLElement>>('asks');
  private readonly injector = inject(Injector);
  protected readonly facts = computed(() => {
    const { state } = this.view();
    const drink = drinkOf(state);
    if (!drink) return [];
    const { liquid, must } = drink;
    return [
      state.liquid ? this.units.volume(liquid.volumeL) : 'in bottle',
      about(this.units.gravity(gravityOf(liquid)), isGravityGuessed(state)),
      state.pitchedAt ? strengthText(this.units, liquid, must) : '',
      about(`pH ${figure(phOf(liquid), 2)}`, state.guessed.includes('ph')),
      state.place ?? '',
    ].filter((fact) => fact !== '');
  });

  protected doneNow(): void {
    this.earlier.set(false);
    afterNextRender(() => this.asks()?.nativeElement.querySelector('button')?.focus(), { injector: this.injector });
  }
}
