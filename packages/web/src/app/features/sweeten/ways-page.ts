import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { DRINKER_NEEDS, sweetnessRoutes, WISHED_FIZZ, type DrinkerNeed, type SweetRoute, type SweetRouteId } from '@trug/core/book/plan/sweetness-routes';
import { mayHeat as mayHeatNow } from '@trug/core/book/state/heat-way';
import { sealWay } from '@trug/core/book/state/sealing';
import { SWEETNESS_LEVELS } from '@trug/core/finish/sweeten/sweetness';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList } from '../../shared/caution/caution-list';
import { TickField } from '../../shared/field/tick-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { injectBatchView } from '../../state/batch-of-page';
import { vesselsFeature } from '../../state/vessels.reducer';
import { SaidPipe } from '../../units/said.pipe';
import { createBatchDraft } from '../../writing/draft';

const FIELDS = { sweetness: 'medium', fizz: 'still', dogs: false, diabetic: false, sulfite: false, milk: false, noKeg: false, noBath: false };
const NEED_WORDS: Readonly<Record<DrinkerNeed, string>> = {
  dogs: 'dogs in the house',
  diabetic: 'someone who minds sugar',
  sulfite: 'someone who reacts to sulfite',
  milk: 'someone who reacts to milk',
};
/** On which page each way begins. */
const PAGES: Readonly<Record<SweetRouteId, string | null>> = {
  dry: 'bottle',
  lasting: 'sweeten',
  stabilised: 'stabilise',
  'cold-keg': 'keg',
  heated: 'sweeten',
  keeved: 'bottle',
};

/** Every way to the sweetness and fizz wished, for who drinks it: allowed with its steps, or struck out with the reason. */
@Component({
  selector: 'trug-ways-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, CautionList, TickField, ToggleField, SaidPipe],
  template: `
    @if (view(); as v) {
      <section class="page" [formGroup]="draft.form">
        <trug-act-head [view]="v" act="Ways to keep it sweet" says="What is wished and who drinks it decide which are open. Nothing is filed here." />
        <div class="asks">
          <trug-toggle label="It should taste" name="sweetness" formControlName="sweetness" [options]="levels" />
          <trug-toggle label="and be" name="fizz" formControlName="fizz" [options]="fizzes" />
          <fieldset>
            <legend>There are</legend>
            @for (need of needs; track need.id) {
              <trug-tick [attr.name]="need.id" [name]="need.id" [formControlName]="need.id">{{ need.name }}</trug-tick>
            }
            <trug-tick name="noKeg" formControlName="noKeg">no keg, or no cold place for one</trug-tick>
            <trug-tick name="noBath" formControlName="noBath">no hot bath with a thermometer, or no pressure glass</trug-tick>
          </fieldset>
        </div>
        <ul class="ways" aria-live="polite">
          @for (route of routes(); track route.id) {
            <li class="card" [class.out]="!route.allowed">
              <h2>
                @if (route.allowed) {
                  {{ route.name }}
                } @else {
                  <del>{{ route.name }}</del>
                }
              </h2>
              <p>{{ route.why | said }}</p>
              @if (route.steps.length > 0) {
                <ol>
                  @for (step of route.steps; track step) {
                    <li>{{ step | said }}</li>
                  }
                </ol>
              }
              <trug-cautions [cautions]="route.cautions" />
              @if (route.page; as page) {
                <a class="btn btn-small" [routerLink]="['/batch', v.batch.id, page]" [attr.aria-label]="'Begin: ' + route.name">Begin</a>
              }
            </li>
          }
        </ul>
        <a class="link" [routerLink]="['/batch', v.batch.id]">Back to it</a>
      </section>
    }
  `,
  styleUrl: './ways-page.scss',
})
export class WaysPage {
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('ways', FIELDS);
  private readonly vessels = inject(Store).selectSignal(vesselsFeature.selectAll);
  protected readonly levels = SWEETNESS_LEVELS.map(({ id, name }) => ({ id, name }));
  protected readonly fizzes = WISHED_FIZZ.map((id) => ({ id, name: id }));
  protected readonly needs = DRINKER_NEEDS.map((id) => ({ id, name: NEED_WORDS[id] }));
  protected readonly routes = computed(() => {
    const view = this.view();
    if (!view) return [];
    const f = this.draft.fields();
    const way = sealWay(view.state, view.verdict?.value ?? null);
    const mayHeat = mayHeatNow(view.state, view.verdict?.value ?? null, view.now);
    const found = sweetnessRoutes({
      sweetness: SWEETNESS_LEVELS.find(({ id }) => id === f.sweetness)?.id ?? 'medium',
      fizz: WISHED_FIZZ.find((fizz) => fizz === f.fizz) ?? 'still',
      way,
      malolactic: view.state.malolactic?.done === false,
      needs: DRINKER_NEEDS.filter((need) => f[need]),
      bath: !f.noBath,
      mayHeat,
      restsAtSg: view.state.tested ? (view.state.readings.at(-1)?.sg ?? null) : null,
      coldKeg: !f.noKeg && this.vessels().some((vessel) => vessel.kind === 'keg'),
    });
    const begins = ({ id }: SweetRoute): string | null => {
      if (id === 'heated' && mayHeat) return PAGES.dry;
      if (id === 'heated' && f.fizz !== 'still') return PAGES['cold-keg'];
      return id === 'stabilised' && way === 'stabilised' ? PAGES.lasting : PAGES[id];
    };
    return found.map((route) => ({ ...route, page: route.allowed ? begins(route) : null }));
  });
}
