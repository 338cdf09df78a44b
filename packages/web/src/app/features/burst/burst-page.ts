import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { burstPlan } from '@trug/core/finish/bottle/burst-plan';
import { CautionList } from '../../shared/caution/caution-list';
import { Tape } from '../../shared/tape/tape';
import { Working } from '../../shared/working/working';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';

/** What to do when bottles of a crate gush or burst, to be read standing up: nothing is to be filled in. */
@Component({
  selector: 'trug-burst-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, CautionList, Tape, Working, SaidPipe],
  template: `
    @if (view(); as v) {
      <section class="page">
        <div class="page-head">
          <h1>It gushes, or one has burst</h1>
          <a routerLink="/cellar"><trug-tape [name]="crate()?.name ?? v.batch.name" [tape]="v.batch.tape" /></a>
        </div>
        @if (plan(); as p) {
          <div class="two">
            <ol>
              @for (step of p.value; track step.what) {
                <li>
                  <h2>{{ step.what }}</h2>
                  <p>{{ step.how | said }}</p>
                </li>
              }
            </ol>
            <aside role="region" aria-label="Why" class="card">
              <trug-cautions [cautions]="p.cautions" />
              <trug-working [steps]="p.steps" />
              <a class="btn" [routerLink]="['/batch', v.batch.id, 'pour-back', crateId()]">Pour them back</a>
              <a class="btn" [routerLink]="['/batch', v.batch.id, 'note']">Write down what you did</a>
              <a class="link" [routerLink]="['/batch', v.batch.id, 'fault']">Why does it gush?</a>
            </aside>
          </div>
        } @else {
          <p>Nothing of it stands in bottles. <a class="link" routerLink="/cellar">To the cellar</a></p>
        }
      </section>
    }
  `,
  styleUrl: './burst-page.scss',
})
export class BurstPage {
  readonly id = input.required<string>();
  readonly crateId = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly crate = computed(() => this.view()?.state.crates.find((c) => c.id === this.crateId()) ?? null);
  protected readonly plan = computed(() => {
    const crate = this.crate();
    if (!crate) return null;
    // What sulfite and sorbate held counts in full: if it gushes, it woke.
    const co2Volumes = Math.min(20, crate.wakesVolumes ?? crate.co2Volumes);
    return burstPlan({ kindIds: crate.lots.map((lot) => lot.kindId), co2Volumes, standsC: crate.hottestC, abv: Math.min(25, crate.abv) });
  });
}
