import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { caution } from '@trug/core/base/cautions/catalogue';
import { bottleById } from '@trug/core/base/reference/bottle-kinds';
import { litresOf } from '@trug/core/book/state/bottle-count';
import { FOAM_ROOM_FRACTION } from '@trug/core/finish/rack/headspace';
import { countText } from '@trug/core/matter/quantity/count-text';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList } from '../../shared/caution/caution-list';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { TypedLine } from '../../shared/field/typed-line';
import { Refusal } from '../../shared/refusal/refusal';
import { pickedVessels, SPLASH_L } from '../../shared/vessel-pick/picked-vessels';
import { VesselPick } from '../../shared/vessel-pick/vessel-pick';
import { injectBatchView } from '../../state/batch-of-page';
import { selectFreeVessels } from '../../state/free-vessels';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';
import { countProblem, typedCounts, withKind } from '../bottle/bottle-draft';

/** Gas of its own lies over a drink that works: room does it no harm for a while. */
const MOST_EMPTY = 0.8;

/** Bottles that gush, or were sealed too soon, emptied into a vessel: a working drink again, whose end is proven anew. */
@Component({
  selector: 'trug-pour-back-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, CautionList, QuantityField, Refusal, TypedLine, VesselPick],
  templateUrl: './pour-back-page.html',
  styleUrl: './pour-back-page.scss',
})
export class PourBackPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  protected readonly free = inject(Store).selectSignal(selectFreeVessels);
  readonly id = input.required<string>();
  readonly crateId = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('pour-back', { bottles: '', volume: '', vessels: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly cautions = [caution('burst-glass'), caution('let-gas-out')];
  /** What still works foams on, and out of bottles it foams most. */
  protected readonly share = 1 - FOAM_ROOM_FRACTION;
  protected readonly crate = computed(() => this.view()?.state.crates.find((c) => c.id === this.crateId()) ?? null);
  /** Of each kind left, how many are emptied: all, until the maker says. */
  protected readonly lots = computed(() => {
    const typed = new Map(typedCounts(this.draft.fields().bottles).map(({ kindId, count }) => [kindId, count]));
    return (this.crate()?.lots ?? [])
      .filter(({ left }) => left > 0)
      .map(({ kindId, left }) => {
        const text = typed.get(kindId) ?? '';
        const count = text === '' ? left : Number(text);
        const tooMany = `There are only ${countText(left, 'bottle')} of it left.`;
        return { kindId, name: bottleById(kindId).name, left, text, count, problem: countProblem(text) ?? (count > left ? tooMany : null) };
      });
  });
  private readonly bottles = computed(() => this.lots().flatMap(({ kindId, count, problem }) => (problem === null && count > 0 ? [{ kindId, count }] : [])));
  protected readonly usualL = computed(() => litresOf(this.bottles()));
  protected readonly volumeL = computed(() => numberIn(readQuantity(this.units, this.draft.fields().volume, 'volume')) ?? this.usualL());
  protected readonly vessels = computed(() =>
    pickedVessels({ totalL: this.volumeL(), free: this.free(), chosen: this.draft.fields().vessels, share: this.share, mostEmpty: MOST_EMPTY }),
  );

  protected count(kindId: string, text: string): void {
    this.draft.set('bottles', withKind(this.draft.fields().bottles, kindId, text));
  }

  protected async file(): Promise<void> {
    const [view, bottles] = [this.view(), this.bottles()];
    const { fills, overL } = this.vessels();
    if (!view) return;
    const wrong = this.draft.wrong() ?? this.lots().find((lot) => lot.problem !== null)?.problem ?? null;
    if (wrong !== null || bottles.length === 0 || fills.length === 0 || overL > SPLASH_L) {
      this.refusal.set(wrong ?? (bottles.length === 0 ? 'Say how many are emptied.' : 'Choose vessels that hold all of it, or add one.'));
      return;
    }
    const vessels = [...view.state.vessels, ...fills.filter((f) => f.volumeL > SPLASH_L)];
    const payload = { crateId: this.crateId(), bottles, vessels };
    this.refusal.set(await this.writer.write(view, [{ kind: 'poured-back', payload }], 'Poured back. Its end is proven anew.', this.draft));
  }
}
