import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Word } from '../../shared/word/word';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { USUAL_LOSS_L } from '@trug/core/finish/bottle/plan-bottles';
import { USUAL_BATH_C } from '@trug/core/finish/bottle/hot-lot';
import { CLEANING_WAYS } from '@trug/core/finish/bottle/cleaning-ways';
import { runSteps } from '@trug/core/finish/bottle/run-steps';
import { bottleById } from '@trug/core/base/reference/bottle-kinds';
import { hottestWeekC } from '@trug/core/finish/bottle/hottest-week';
import { injectWeightsOf } from '../../shared/kitchen';
import { chanceText } from '@trug/core/finish/bottle/bottle-safety';
import { STATUS_WORDS } from '@trug/core/ferment/verdict/verdict';
import { bottlingRoutes, type RouteId } from '@trug/core/book/plan/bottling-routes';
import { warmestSinceEnd } from '@trug/core/book/state/sealed-gas-of';
import { hasFruitIn } from '@trug/core/book/state/fruit-out';
import { mayHeat } from '@trug/core/book/state/heat-way';
import { maySeal, sealWay } from '@trug/core/book/state/sealing';
import { fermentableById, fermentableWord, isPoured, litresPoured, PRIMING_SUGARS } from '@trug/core/base/reference/fermentables';
import { asMeasured } from '@trug/core/book/kinds/sweet-amount';
import { primingPerBottle, type PrimingMode } from '@trug/core/finish/bottle/priming-sugar';
import { selectOwnSugars } from '../../state/own-things.selectors';
import { BottleChoice } from './bottle-choice';
import { PrimingDrawn } from './priming-drawn';
import { RunList } from './run-list';
import { RunTray } from './run-tray';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList, unacknowledged } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import type { ReadingHints } from '../../units/typed-quantity';
import { Units } from '../../units/units';
import { Working } from '../../shared/working/working';
import { CAP_COLOURS } from '@trug/core/book/state/entry-choices';
import { bottlingPlan } from '@trug/core/book/plan/bottling-plan';
import { celsiusIn, warmthProblem } from './bench-warmth';
import { bottleActs } from './bottle-acts';
import { cleanerChoices, fizzChoices, lotsText, pagesToHold, primingRefusal, usualFizz } from './bench-choices';
import { countProblem, NEW_BENCH, readBottles, ROOMS, typedCounts, type BottleBenchFields } from './bottle-draft';
import { PressureColumn } from './pressure-column';
import { SaidPipe } from '../../units/said.pipe';
import { isInUse } from '../../state/in-use';
import { placesFeature } from '../../state/resources.reducer';
import { settingsFeature } from '../../state/settings.reducer';
import { type Act, LogWriter } from '../../writing/log-writer';
import { SelectField } from '../../shared/field/select-field';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { Refusal } from '../../shared/refusal/refusal';

/** The bottle bench: how it should drink, what the bottles will feel, and the run. */
@Component({
  selector: 'trug-bottle-bench',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BottleChoice,
    PrimingDrawn,
    RunList,
    RunTray,
    Word,
    ActHead,
    SaidPipe,
    ReactiveFormsModule,
    RouterLink,
    QuantityField,
    CautionList,
    Working,
    PressureColumn,
    SelectField,
    MatCheckbox,
    MatRadioButton,
    MatRadioGroup,
    Refusal,
  ],
  templateUrl: './bottle-bench.html',
  styleUrl: './bottle-bench.scss',
})
export class BottleBench {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  private readonly settings = this.store.selectSignal(settingsFeature.selectSettings);
  private readonly places = this.store.selectSignal(placesFeature.selectAll);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft<BottleBenchFields>('bottle', NEW_BENCH);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly typed = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly caps = CAP_COLOURS.map((colour) => ({ id: colour, name: colour }));
  private readonly weightsOf = injectWeightsOf();
  private readonly ownSugars = this.store.selectSignal(selectOwnSugars);
  protected readonly chanceText = chanceText;
  protected readonly bathC = USUAL_BATH_C;
  private readonly verdict = computed(() => this.view()?.verdict?.value ?? null);
  protected readonly routes = computed(() => {
    const state = this.view()?.state;
    return state?.liquid
      ? bottlingRoutes({
          way: sealWay(state, this.verdict()),
          verdict: this.verdict(),
          hasFruit: hasFruitIn(state),
          toHeat: mayHeat(state, this.verdict(), this.writer.now()),
        })
      : [];
  });
  /** The route asked for while it is allowed, else the first that is. */
  protected readonly route = computed((): RouteId => {
    const asked = this.routes().find((r) => r.id === this.fields().route);
    return (asked?.allowed === true ? asked : this.routes().find((r) => r.allowed))?.id ?? 'cold-keg';
  });
  protected readonly proof = computed(() => {
    const view = this.view();
    const verdict = this.verdict();
    if (!view || !verdict) return '';
    const last = view.state.readings.at(-1);
    return maySeal(view.state, verdict) && last ? `${STATUS_WORDS[verdict.status]}, last read ${this.units.day(last.at)}` : STATUS_WORDS[verdict.status];
  });
  private readonly usualWarmestC = computed(() => {
    const state = this.view()?.state;
    return state ? warmestSinceEnd(state) : 15;
  });
  protected tempProblem(text: string): string | null {
    return warmthProblem(this.units, text);
  }
  protected readonly warmestC = computed(() => celsiusIn(this.units, this.fields().warmest, this.usualWarmestC()));
  /** Where the bottles can stand, each with the hottest week of its year. */
  protected readonly stores = computed(() =>
    this.places()
      .filter(isInUse)
      .map(({ id, name, monthlyC }) => ({ id, name, hottestC: hottestWeekC(monthlyC), note: `up to ${this.units.temperature(hottestWeekC(monthlyC))}` })),
  );
  private readonly usualHottestC = computed(() => this.stores().find(({ id }) => id === this.fields().store)?.hottestC ?? this.settings().hottestC);
  protected readonly hottestC = computed(() => celsiusIn(this.units, this.fields().hottest, this.usualHottestC()));
  protected readonly usualLossL = USUAL_LOSS_L;
  private readonly lossL = computed(() => {
    const read = readQuantity(this.units, this.fields().loss, 'volume');
    return read?.ok === true ? Math.max(0, read.value.value) : USUAL_LOSS_L;
  });
  protected readonly chosen = computed(() => readBottles(this.fields().bottles));
  protected readonly doseHints = computed(
    (): ReadingHints => ({
      bareUnit: isPoured(this.fields().sugar) ? 'mL' : 'g',
      weights: this.weightsOf()('sugar', this.fields().sugar),
    }),
  );
  private readonly doseRead = computed(() => readQuantity(this.units, this.fields().dose, 'mass', this.doseHints()));
  private readonly doseG = computed(() => {
    const read = this.doseRead();
    return read?.ok === true && read.value.value > 0 ? read.value.value : null;
  });
  private readonly mode = computed((): PrimingMode => (this.fields().mode === 'per-bottle' ? 'per-bottle' : 'bulk'));
  /** The dose of each kind of bottle, where it goes in bottle by bottle. */
  protected readonly perBottle = computed(() => {
    const priming = this.priming();
    if (!priming || this.fields().mode !== 'per-bottle') return [];
    return this.chosen().map(({ kindId }) => ({ name: this.nameOf(kindId), massG: primingPerBottle(priming.value, bottleById(kindId).sizeMl) }));
  });
  protected readonly plan = computed(() => {
    const view = this.view();
    if (!view) return null;
    const { fizz, sugar, testBottle } = this.fields();
    return bottlingPlan({
      state: view.state,
      verdict: this.verdict(),
      route: this.route(),
      targetVolumes: fizz === '' ? null : Number(fizz),
      fermentableId: sugar,
      mode: this.mode(),
      doseG: this.doseG(),
      warmestC: this.warmestC(),
      hottestC: this.hottestC(),
      lossL: this.lossL(),
      bottles: this.chosen(),
      testBottle: testBottle === 'yes',
      headspace: this.headspace(),
      today: this.writer.now(),
    });
  });
  private readonly headspace = computed(() => Number(this.fields().room) / 100);
  protected readonly rooms = ROOMS;
  protected readonly fizzes = computed(() => fizzChoices(this.plan()?.levels ?? []));
  protected readonly sugarChoices = computed(() => [...PRIMING_SUGARS.map(({ id, name }) => ({ id, name: this.units.say(name) })), ...this.ownSugars()]);
  /** What to mind with that sugar. */
  protected readonly sugarCaution = computed(() => fermentableById(this.fields().sugar).caution);
  /** An amount of it as it is measured: a juice by its volume. */
  protected readonly amount = (massG: number): string => asMeasured({ fermentableId: this.fields().sugar, massG }, this.units);
  protected readonly priming = computed(() => {
    const priming = this.plan()?.priming;
    return priming?.ok === true ? priming.value : null;
  });
  protected readonly primingProblem = computed(() => {
    const priming = this.plan()?.priming;
    if (priming?.ok !== false) return null;
    return primingRefusal(priming.error.message, { status: this.verdict()?.status, tested: (this.view()?.state.tested ?? null) !== null });
  });
  protected readonly run = computed(() => {
    const run = this.plan()?.run;
    return run?.ok === true ? run.value : null;
  });
  protected readonly nameOf = (kindId: string): string => bottleById(kindId).name;
  /** What it is primed for until the maker chooses. */
  protected readonly usualFizz = computed(() => {
    const plan = this.plan();
    return plan ? usualFizz(plan) : '';
  });
  /** Whether a plastic one goes with the lot. */
  protected readonly hasTest = computed(() => this.fields().testBottle === 'yes' && this.plan()?.takesTest === true);
  /** What bottles can be cleaned with: heat is for glass alone. */
  protected readonly cleaners = computed(() => cleanerChoices(this.chosen().map(({ kindId }) => kindId)));
  protected readonly takesFresh = computed(() => {
    const { fresh } = this.fields();
    return fresh === '' ? (this.plan()?.freshYeast ?? null) !== null : fresh === 'yes';
  });
  private readonly freshYeastG = computed(() => (this.takesFresh() && this.priming() !== null ? (this.plan()?.freshYeast?.value.massG ?? null) : null));
  protected readonly sugarName = computed(() => this.units.say(fermentableById(this.fields().sugar).name));
  protected readonly pouredL = computed(() => litresPoured(this.fields().sugar, this.priming()?.value.massG ?? 0));
  protected readonly steps = computed(() => {
    const bottleCount = this.run()?.value.bottleCount ?? 0;
    if (bottleCount === 0) return [];
    const { cap, cleanedBy, sugar } = this.fields();
    const massG = this.priming()?.value.massG;
    const priming = massG === undefined ? null : { massG, litres: this.pouredL(), of: fermentableWord(sugar), mode: this.mode() };
    return runSteps({
      bottleCount,
      priming,
      freshYeastG: this.freshYeastG(),
      testBottle: this.hasTest(),
      heatedRoom: this.route() === 'heated' ? this.headspace() : null,
      capColour: cap,
      cleanedBy: CLEANING_WAYS.find(({ id }) => id === cleanedBy)?.id ?? 'no-rinse',
      today: this.writer.now(),
      zone: this.units.zone(),
    });
  });
  protected readonly pagesToHold = computed(() => pagesToHold(this.plan()?.ways ?? []));
  protected readonly runLine = computed(() => lotsText(this.run()?.value.lots ?? []));
  protected readonly cautions = computed(() => this.plan()?.check.cautions ?? []);

  protected async file(): Promise<void> {
    const view = this.view();
    const plan = this.plan();
    if (!view || !plan) {
      this.refusal.set('There is nothing in this batch to put by.');
      return;
    }
    if (this.route() === 'cold-keg') {
      // The Enter key sends a form that shows no button too; a keg is filled on its own page.
      await this.router.navigate(['/batch', view.batch.id, 'keg']);
      return;
    }
    if (plan.check.refusal !== null) {
      this.refusal.set(plan.check.refusal);
      return;
    }
    const danger = unacknowledged(this.cautions(), this.typed());
    if (danger !== null) {
      this.refusal.set(danger);
      return;
    }
    const acknowledged = this.cautions().flatMap((c) => (c.severity === 'danger' ? [c.id] : []));
    const acts = this.actsOf(acknowledged);
    if (typeof acts === 'string') {
      this.refusal.set(acts);
      return;
    }
    this.refusal.set(await this.writer.write(view, acts, `Bottled: ${this.runLine()}.`, this.draft));
  }

  private actsOf(acknowledged: readonly string[]): readonly Act[] | string {
    const view = this.view();
    const plan = this.plan();
    if (!view || !plan) return 'There is nothing in this batch to put by.';
    const counted = typedCounts(this.fields().bottles).flatMap((b) => countProblem(b.count) ?? [])[0];
    if (counted !== undefined) return counted;
    const run = this.run();
    if (!run || run.value.bottleCount === 0) return 'No bottle can be filled. Choose a kind of bottle, and leave less behind.';
    const problem = this.primingProblem();
    if (problem !== null) return problem;
    const massG = this.priming()?.value.massG;
    const freshYeastG = this.freshYeastG();
    return bottleActs(view, this.fields(), {
      bottles: run.value.lots.filter((lot) => lot.count > 0).map(({ kindId, count }) => ({ kindId, count })),
      primed:
        massG === undefined
          ? null
          : { massG, targetVolumes: plan.targetVolumes, warmestSinceEndC: this.warmestC(), ...(freshYeastG === null ? {} : { freshYeastG }) },
      testBottle: this.hasTest(),
      lossL: this.lossL(),
      hottestC: this.hottestC(),
      acknowledged,
      ...(this.route() === 'heated' ? { toHeat: { headspace: this.headspace() } } : {}),
    });
  }
}
