import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { Word } from '../../shared/word/word';
import { RouterLink } from '@angular/router';
import { stabiliseDose } from '@trug/core/finish/bottle/stabilise-dose';
import { NOT_STABILISED, whyNotStabilised, withBoth, type NotStabilised } from '@trug/core/book/kinds/stabilised';
import type { Need } from '@trug/core';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import { CautionList } from '../../shared/caution/caution-list';
import { SupplyTake } from '../../shared/supply-take/supply-take';
import { Units } from '../../units/units';
import { Working } from '../../shared/working/working';
import { SaidPipe } from '../../units/said.pipe';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

/** At a guessed pH it may take more than the cap on sulfite leaves room for; at the pH it has, it may not. */
const PH_FIRST = { text: 'at the highest pH that it may have, it takes more sulfite than is commonly allowed', page: 'read', verb: 'Write its pH down first' };
/** Where each thing that stands against it is seen to. */
const NOT_YET: Readonly<Record<NotStabilised, { readonly page: string; readonly verb: string }>> = {
  unproven: { page: 'read', verb: 'Write a reading' },
  'on-lees': { page: 'rack', verb: 'Rack it first' },
  malolactic: { page: 'malolactic', verb: 'Malolactic change' },
  dose: { page: 'note', verb: 'Write a note' },
};

/** Stabilise: the whole dose of sulfite and sorbate for a finished drink, and what stands against it. */
@Component({
  selector: 'trug-stabilise-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Word, ActHead, BeforeAfter, SaidPipe, RouterLink, CautionList, SupplyTake, Working, Refusal],
  template: `
    @if (view(); as v) {
      <section class="page">
        <trug-act-head
          [view]="v"
          [dated]="true"
          act="Stabilise it"
          says="Sulfite and sorbate together keep a finished drink from starting again, so that it can be sweetened."
          how="stir-in"
        />
        @if (whole()) {
          <p class="says" role="status">It holds its whole dose already{{ view()?.state?.stabilisedAt ? '' : ', but does not count as stabilised' }}.</p>
          <a class="btn" [routerLink]="['/batch', v.batch.id]">Back to it</a>
        } @else if (dose(); as d) {
          <div class="two">
            <div class="inputs">
              @if (against(); as why) {
                <p class="says" role="status">
                  Not yet: it would not count, because {{ why.text | said }}.
                  <a class="link" [routerLink]="['/batch', v.batch.id, why.page]">{{ why.verb }}</a>
                </p>
              }
              @for (note of d.value.notes; track note) {
                <p class="says">{{ note }} <a class="link" [routerLink]="['/batch', v.batch.id, 'read']">Write the pH down</a></p>
              }
              <dl class="figures-list">
                <dt><trug-word label="Potassium metabisulfite" /></dt>
                <dd class="num">{{ units.mass(d.value.metabisulfiteG) }}</dd>
                <dt><trug-word label="Potassium sorbate" /></dt>
                <dd class="num">{{ units.mass(d.value.sorbateG) }}</dd>
              </dl>
              <ol>
                <li>Weigh both. Dissolve the metabisulfite in a little cooled boiled water, and stir it in gently.</li>
                <li>Dissolve the sorbate in a little of the drink, and stir that in after it. Never one without the other.</li>
                <li>Leave it a day before you sweeten it. Sorbate slows yeast and does not kill it: keep the bottles cool.</li>
              </ol>
              <trug-supply-take [needs]="needs()" />
              <trug-refusal [why]="refusal()" />
              <div class="acts">
                <button class="btn btn-main" type="button" (click)="file()">Both are in</button>
                <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
              </div>
            </div>
            <aside role="region" aria-label="What comes of it" class="card">
              <h2>Before it goes in</h2>
              <trug-before-after [rows]="rows()" />
              <trug-cautions [cautions]="d.cautions" />
              <trug-working [steps]="d.steps" />
            </aside>
          </div>
        } @else {
          <p>Nothing of it stands in a vessel.</p>
        }
      </section>
    }
  `,
  styleUrl: '../malolactic/malolactic-page.scss',
})
export class StabilisePage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  protected readonly dose = computed(() => {
    const state = this.view()?.state;
    return state?.liquid ? stabiliseDose({ liquid: state.liquid, phMeasured: !state.guessed.includes('ph') }) : null;
  });
  /** Less than a scale shows is still to go in. */
  protected readonly whole = computed(() => {
    const dose = this.dose()?.value;
    return dose !== undefined && dose.so2MgPerL < 1 && dose.sorbicMgPerL < 1;
  });
  private readonly payload = computed(() => {
    const dose = this.dose()?.value;
    return dose ? { so2MgPerL: Math.ceil(dose.so2MgPerL), sorbateMgPerL: Math.ceil(dose.sorbicMgPerL) } : null;
  });
  protected readonly rows = computed(() => {
    const liquid = this.view()?.state.liquid;
    const payload = this.payload();
    return liquid && payload ? liquidRows(this.units, liquid, withBoth(liquid, payload), ['sulfite', 'sorbate', 'ph'], this.view()?.state.guessed) : [];
  });
  private readonly take = viewChild(SupplyTake);
  /** What stands against it, and where that is seen to. */
  protected readonly against = computed(() => {
    const view = this.view();
    const payload = this.payload();
    if (!view || !payload) return null;
    const why = whyNotStabilised(view.state, this.writer.now(), payload);
    if (why === 'dose' && view.state.guessed.includes('ph')) return PH_FIRST;
    return why === null ? null : { text: NOT_STABILISED[why], ...NOT_YET[why] };
  });
  protected readonly needs = computed((): readonly Need[] => {
    const dose = this.dose()?.value;
    return dose ? [{ kind: 'sulfite', refId: null, amount: dose.metabisulfiteG, unit: 'g' }] : [];
  });

  protected async file(): Promise<void> {
    const view = this.view();
    const payload = this.payload();
    if (!view || !payload) return;
    const said = this.against() === null ? 'Stabilised.' : 'Written down as what it is: it does not count as stabilised.';
    this.refusal.set(await this.writer.write(view, [{ kind: 'stabilised', payload: { ...payload, supplies: this.take()?.uses() } }], said));
  }
}
