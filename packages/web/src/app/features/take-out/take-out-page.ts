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
  private readonly amountL = computed(() => numberIn(readQuantity(this.units, this.draft.fields().amount, 'volume')) ?? 0);
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
