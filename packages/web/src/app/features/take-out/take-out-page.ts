import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { loseVolume } from '@trug/core/matter/liquid/blend-liquids';
import { ActHead } from '../../shared/act-head/act-head';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import { ChoiceField } from '../../shared/field/choice-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { Refusal } from '../../shared/refusal/refusal';
import { injectBatchView } from '../../state/batch-of-page';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

/** Where it goes, each as the log will say it. */
const WHYS = [
  { id: 'drunk', name: 'drunk', why: 'drunk from the vessel' },
  { id: 'given', name: 'given away', why: 'given away' },
  { id: 'sample', name: 'a sample, poured away', why: 'a sample' },
  { id: 'spilled', name: 'spilled or thrown out', why: 'spilled or thrown out' },
] as const;

/** A glass as it is drawn, L. @source our choice: what fills a tumbler under its foam */
const GLASS_L = 0.3;
const GLASSES = [1, 2, 3, 4, 6] as const;

/** Something taken out of a vessel: drunk, given away, a sample or spilled. */
@Component({
  selector: 'trug-take-out-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, BeforeAfter, ChoiceField, QuantityField, Refusal],
  template: `
    @if (view(); as v) {
      @if (v.state.liquid === null) {
        <section class="page">
          <trug-act-head [view]="v" act="Take some out" />
          <p>Nothing of it stands in a vessel. <a class="link" [routerLink]="['/batch', v.batch.id]">Back to it</a></p>
        </section>
      } @else {
        <form class="page" (ngSubmit)="file()" [formGroup]="draft.form">
          <trug-act-head [view]="v" [dated]="true" act="Take some out" [says]="says()" />
          <div class="sheet">
            @if (v.state.keg) {
              <div class="glasses" role="group" aria-label="Glasses drawn">
                @for (n of glasses; track n) {
                  <button type="button" [attr.aria-pressed]="n === drawn()" [attr.aria-label]="n + (n === 1 ? ' glass' : ' glasses')" (click)="draw(n)">
                    <svg viewBox="0 0 24 40" aria-hidden="true">
                      <path class="drink" [class.full]="n <= drawn()" d="M4,10 H20 L18,37 H6 Z" />
                      <path class="ink" d="M2,3 L5.5,38 H18.5 L22,3" />
                    </svg>
                  </button>
                }
                <span class="quiet">a glass is {{ units.volume(glassL) }}</span>
              </div>
            }
            <trug-quantity label="How much" name="amount" dimension="volume" [placeholder]="units.volume(0.5)" [error]="tooMuch()" formControlName="amount" />
            <trug-choice label="Where it goes" name="why" formControlName="why" [options]="whys" />
            <trug-before-after [rows]="rows()" />
            <trug-refusal [why]="refusal()" />
            <div class="acts">
              <button class="btn btn-main" type="submit">Write it down</button>
              <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
            </div>
          </div>
        </form>
      }
    }
  `,
  styles: `
    .glasses {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem;
      align-items: center;
    }
    button[aria-pressed] {
      padding: 0.25rem 0.5rem;
      min-width: 44px;
      border: 1px solid transparent;
      background: none;
      cursor: pointer;
    }
    button[aria-pressed='true'] {
      border-color: var(--ink);
    }
    svg {
      width: 24px;
      height: 40px;
    }
    .ink {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.6;
    }
    .drink {
      fill: none;
      &.full {
        fill: var(--juice);
      }
    }
  `,
})
export class TakeOutPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('take-out', { amount: '', why: 'drunk' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly whys = WHYS.map(({ id, name }) => ({ id, name }));
  private readonly liquid = computed(() => this.view()?.state.liquid ?? null);
  protected readonly glasses = GLASSES;
  protected readonly glassL = GLASS_L;
  private readonly amountL = computed(() => numberIn(readQuantity(this.units, this.draft.fields().amount, 'volume')) ?? 0);
  /** Glasses that the amount comes to; none where it is no number of them. */
  protected readonly drawn = computed(() => Math.round(this.amountL() / GLASS_L));
  protected draw(count: number): void {
    this.draft.set('amount', this.units.volume(count * GLASS_L));
  }
  protected readonly says = computed(() =>
    this.view()?.state.keg
      ? 'What is drawn makes room for gas: keep its pressure up, and look that the relief valve lifts.'
      : 'What is gone leaves air over the rest: a finished drink wants its vessel full.',
  );
  protected readonly tooMuch = computed(() => {
    const thereL = this.liquid()?.volumeL ?? 0;
    return this.amountL() > thereL ? `Only ${this.units.volume(thereL)} stand in its vessels.` : null;
  });
  protected readonly rows = computed(() => {
    const liquid = this.liquid();
    const amountL = this.amountL();
    const after = liquid && amountL > 0 && this.tooMuch() === null ? loseVolume(liquid, amountL) : null;
    return liquid ? liquidRows(this.units, liquid, after, ['volume']) : [];
  });

  protected async file(): Promise<void> {
    const view = this.view();
    const volumeL = this.amountL();
    const { why } = WHYS.find((w) => w.id === this.draft.fields().why) ?? WHYS[0];
    if (!view || !this.liquid() || volumeL <= 0) {
      this.refusal.set(this.draft.wrong() ?? `Write how much, such as ${this.units.volume(0.5)}.`);
      return;
    }
    const said = `${this.units.volume(volumeL)} out of it.`;
    this.refusal.set(await this.writer.write(view, [{ kind: 'discarded', payload: { volumeL, why } }], said, this.draft));
  }
}
