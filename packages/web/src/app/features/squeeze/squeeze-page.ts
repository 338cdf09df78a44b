import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { caution } from '@trug/core/base/cautions/catalogue';
import { FEEL_WORDS, nextSqueeze, SQUEEZE_FEELS } from '@trug/core/finish/bottle/test-bottle';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList } from '../../shared/caution/caution-list';
import { ChoiceField } from '../../shared/field/choice-field';
import { Refusal } from '../../shared/refusal/refusal';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

/** How the plastic test bottle of a crate feels, and what that tells of the glass beside it. */
@Component({
  selector: 'trug-squeeze-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, CautionList, ChoiceField, Refusal, SaidPipe],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()" [formGroup]="draft.form">
        <trug-act-head [view]="v" [dated]="true" act="Squeeze the test bottle" says="Press it at mid-height with your thumb, warm as the crate is." />
        <div class="sheet">
          @if (crate(); as c) {
            @if (crates().length > 1) {
              <trug-choice label="Which crate" name="crate" formControlName="crate" [options]="crates()" />
            }
            <trug-choice label="The bottle" name="feel" formControlName="feel" [options]="feels" />
            @if (means(); as m) {
              <p>{{ m.text | said }}</p>
              @if (m.danger) {
                <a class="btn" [routerLink]="['/batch', v.batch.id, 'burst', c.id]">What to do now</a>
                <trug-cautions [cautions]="dangers" />
              } @else if (m.on) {
                <p class="quiet">Squeeze it again about {{ units.day(m.on) }}.</p>
              }
            }
            <trug-refusal [why]="refusal()" />
            <div class="acts">
              <button class="btn btn-main" type="submit">Write it down</button>
              <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
            </div>
          } @else {
            <p>None of its crates has a test bottle left to squeeze. <a class="link" [routerLink]="['/batch', v.batch.id]">Back to it</a></p>
          }
        </div>
      </form>
    }
  `,
})
export class SqueezePage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('squeeze', { crate: '', feel: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly dangers = [caution('burst-glass')];
  protected readonly feels = SQUEEZE_FEELS.map((id) => ({ id, name: FEEL_WORDS[id] }));
  private readonly tested = computed(() =>
    (this.view()?.state.crates ?? []).filter((crate) => crate.testBottle && crate.lots.some((lot) => lot.left > 0)).reverse(),
  );
  protected readonly crates = computed(() =>
    this.tested().map((crate) => ({ id: crate.id, name: `${crate.name}, ${this.units.day(crate.bottledAt)}, ${crate.capColour} caps` })),
  );
  protected readonly crate = computed(() => this.tested().find((crate) => crate.id === this.draft.fields().crate) ?? this.tested()[0] ?? null);
  private readonly feel = computed(() => SQUEEZE_FEELS.find((feel) => feel === this.draft.fields().feel) ?? null);
  protected readonly means = computed(() => {
    const [view, crate, feel] = [this.view(), this.crate(), this.feel()];
    if (!view || !crate || !feel) return null;
    const { bottledAt, atOwnRisk } = crate;
    const firmAfterDays = view.method.waits.testBottleDays;
    return nextSqueeze({ bottledAt, firmAfterDays, atOwnRisk, last: { at: view.now, feel }, zone: view.state.zone });
  });

  protected async file(): Promise<void> {
    const [view, crate, feel] = [this.view(), this.crate(), this.feel()];
    if (!view || !crate || !feel) {
      this.refusal.set(this.draft.wrong() ?? 'Say how it feels.');
      return;
    }
    const entry = { kind: 'squeezed', payload: { crateId: crate.id, feel } } as const;
    this.refusal.set(await this.writer.write(view, [entry], `Test bottle: ${feel}.`, this.draft));
  }
}
