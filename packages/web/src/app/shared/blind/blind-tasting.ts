import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { pressesOf, type BlindSession } from '@trug/core/finish/trial/blind-session';
import type { TrialWay } from '@trug/core/finish/trial/trial-substance';
import { BlindPhones } from './blind-phones';
import { BlindPour } from './blind-pour';
import { BlindRound } from './blind-round';

/** A blind tasting between setting it up and being told: what is poured, then the phone that goes round, or everybody's own. */
@Component({
  selector: 'trug-blind-tasting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgTemplateOutlet, BlindPhones, BlindPour, BlindRound],
  template: `
    @if (stage() === 'pour') {
      <trug-blind-pour [session]="session()" [way]="way()" [names]="names()" [name]="name()" [words]="words()" [amounts]="amounts()" [glassMl]="glassMl()" />
      <div class="acts">
        <button class="btn btn-main" type="button" (click)="go.emit('taste')">It is poured: hand it to {{ names()[0] }}</button>
        @if (names().length > 1) {
          <button class="btn" type="button" (click)="go.emit('phones')">Each on their own phone</button>
        }
        <button class="link" type="button" (click)="go.emit('set')">Set it up otherwise</button>
      </div>
    } @else if (stage() === 'phones') {
      @defer (on immediate) {
        <trug-blind-phones
          [session]="session()"
          [way]="way()"
          [names]="names()"
          [pressed]="pressed()"
          (pressedNow)="pressedNow.emit($event)"
          (instead)="go.emit('taste')"
        />
      }
      <ng-container [ngTemplateOutlet]="judged" />
    } @else {
      <trug-blind-round [session]="session()" [way]="way()" [names]="names()" [pressed]="pressed()" (pressedNow)="pressedNow.emit($event)" />
      <ng-container [ngTemplateOutlet]="judged" />
    }
    <ng-template #judged>
      @if (isJudged()) {
        <div class="acts">
          <button class="btn btn-main" type="button" (click)="go.emit('told')">Everybody has judged: show it</button>
        </div>
      }
    </ng-template>
  `,
  styles: `
    .acts {
      margin-top: 1rem;
    }
  `,
})
export class BlindTasting {
  readonly stage = input.required<string>();
  readonly session = input.required<BlindSession>();
  readonly way = input.required<TrialWay>();
  readonly names = input.required<readonly string[]>();
  /** What differs, as the head of a column. */
  readonly name = input.required<string>();
  /** Each drink in words. */
  readonly words = input.required<readonly string[]>();
  readonly amounts = input<readonly string[]>([]);
  readonly glassMl = input.required<number>();
  /** What each taster pressed so far. */
  readonly pressed = input.required<readonly (readonly number[])[]>();
  readonly pressedNow = output<readonly (readonly number[])[]>();
  /** The stage that comes now. */
  readonly go = output<'set' | 'taste' | 'phones' | 'told'>();
  protected readonly isJudged = computed(() => {
    const wanted = pressesOf(this.way(), this.words().length);
    return this.names().every((_name, i) => this.pressed()[i]?.length === wanted);
  });
}
