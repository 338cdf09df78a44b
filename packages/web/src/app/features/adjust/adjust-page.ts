import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import { NgTemplateOutlet } from '@angular/common';
import { ReactiveFormsModule } from '@angular/forms';
import { ActivatedRoute, RouterLink } from '@angular/router';
import type { CarbonateId, CoreError, Need, SulfiteForm } from '@trug/core';
import { NUTRIENTS } from '@trug/core/juice/adjust/nutrient-plan';
import type { AcidId } from '@trug/core/matter/liquid/acid-chemistry';
import { supplyOfAddition } from '@trug/core/book/cupboard/addition-supply';
import { isDosedByPacket, PACKET_G_PER_L } from '@trug/core/juice/adjust/enzyme-dose';
import { ownDoseGPerL } from '@trug/core/book/cupboard/own-dose';
import { additionAsk } from '@trug/core/book/plan/addition-ask';
import { injectWeightsOf } from '../../shared/kitchen';
import { fermentableById } from '@trug/core/base/reference/fermentables';
import { FERMENTABLES } from '@trug/core/base/reference/fermentables-data';
import { figure } from '@trug/core/base/worked/figures';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SupplyTake } from '../../shared/supply-take/supply-take';
import type { ReadingHints } from '../../units/typed-quantity';
import { Units } from '../../units/units';
import { Working } from '../../shared/working/working';
import { additionPlan } from '@trug/core/juice/adjust/addition-plan';
import { ADDITIONS, type AdditionId, type AdditionPlan } from '@trug/core/juice/adjust/addition-types';
import { SaidPipe } from '../../units/said.pipe';
import { countText } from '@trug/core/matter/quantity/count-text';
import { LogWriter } from '../../writing/log-writer';
import { SelectField } from '../../shared/field/select-field';
import { controlOver } from '../../shared/field/control-of';
import { ToggleField } from '../../shared/field/toggle-field';
import { Store } from '@ngrx/store';
import { OwnSugar } from '../../shared/own-sugar/own-sugar';
import { selectOwnSugars } from '../../state/own-things.selectors';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import { Refusal } from '../../shared/refusal/refusal';
import { SULFITE_FORMS } from '../../shared/sulfite-forms';

const ACIDS = [
  { id: 'malic', name: 'malic, the acid of apples' },
  { id: 'citric', name: 'citric' },
  { id: 'tartaric', name: 'tartaric' },
  { id: 'lemon', name: 'lemon juice' },
];
const CARBONATES = [
  { id: 'potassium-bicarbonate', name: 'potassium bicarbonate' },
  { id: 'potassium-carbonate', name: 'potassium carbonate' },
  { id: 'calcium-carbonate', name: 'calcium carbonate (chalk)' },
];
const FIELDS = {
  what: 'sugar',
  sg: '',
  abv: '',
  ta: '',
  ph: '',
  tannin: '',
  sugar: 'sucrose',
  acid: 'malic',
  carbonate: 'potassium-bicarbonate',
  form: 'tablet',
  product: 'organic',
  packet: '',
  boiled: 'no',
  given: '',
};

/** Sweet powders that go in by the spoonful; what is dosed by drops belongs to sweetening. */
const LASTING: readonly string[] = ['lactose', 'erythritol'];

/** Adjust: sugar, water, acid up and down, tannin, and the clean start, each with what it does before it is done. */
@Component({
  selector: 'trug-adjust-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    NgTemplateOutlet,
    BeforeAfter,
    ActHead,
    SaidPipe,
    ReactiveFormsModule,
    RouterLink,
    NumberField,
    QuantityField,
    CautionList,
    Working,
    SupplyTake,
    SelectField,
    OwnSugar,
    ToggleField,
    Refusal,
  ],
  templateUrl: './adjust-page.html',
  styleUrl: './adjust-page.scss',
})
export class AdjustPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('adjust', { ...FIELDS, what: inject(ActivatedRoute).snapshot.paramMap.get('what') ?? FIELDS.what });
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly sulfiteForms = SULFITE_FORMS;
  protected readonly kinds = ADDITIONS;
  protected readonly sugars = FERMENTABLES.filter((f) => f.kind === 'fermentable');
  /** What stays sweet and keeps its gravity: told here, it is no sugar to any later sum. */
  protected readonly lasting = FERMENTABLES.filter((f) => LASTING.includes(f.id));
  private readonly weightsOf = injectWeightsOf();
  private readonly ownSugars = inject(Store).selectSignal(selectOwnSugars);
  protected readonly sugarChoices = computed(() => [
    ...this.sugars.map(({ id, name }) => ({ id, name: this.units.say(name) })),
    ...this.lasting.map(({ id, name }) => ({ id, name: this.units.say(name), group: 'does not ferment' })),
    ...this.ownSugars(),
  ]);
  protected readonly acids = ACIDS;
  protected readonly carbonates = CARBONATES;
  protected readonly nutrients = NUTRIENTS;
  protected readonly what = computed((): AdditionId => ADDITIONS.find((a) => a.id === this.fields().what)?.id ?? 'sugar');
  protected readonly whatControl = controlOver<AdditionId>('sugar', this.what, (what) => this.choose(what));
  protected readonly liquid = computed(() => this.view()?.state.liquid ?? null);
  private readonly given = computed(() => {
    const text = this.fields().given;
    if (this.unit() === 'tablets') return numberOf(text, 'count');
    const read = readQuantity(this.units, text, this.givenAs(), this.givenHints());
    if (read?.ok !== true) return null;
    return this.unit() === 'mL' ? read.value.value * 1000 : read.value.value;
  });
  protected readonly givenAs = computed(() => (this.unit() === 'L' || this.unit() === 'mL' ? ('volume' as const) : ('mass' as const)));
  /** A spoonful, a tablet or a lemon of what is chosen can be read as its weight; small doses are in grams whatever the units. */
  protected readonly givenHints = computed((): ReadingHints => {
    const refId = REF_OF[this.what()](this.fields());
    const small = this.what() !== 'sugar';
    return {
      weights: this.weightsOf()(this.what(), refId),
      ...(this.unit() === 'mL' ? { bareUnit: 'mL' } : small && this.unit() === 'g' ? { bareUnit: 'g' } : {}),
    };
  });
  protected readonly unit = computed((): AdditionPlan['unit'] => {
    const f = this.fields();
    if (this.what() === 'sulfite') return f.form === 'tablet' ? 'tablets' : 'g';
    if (this.what() === 'acid' && f.acid === 'lemon') return 'mL';
    return this.what() === 'water' ? 'L' : 'g';
  });
  private readonly supplies = inject(Store).selectSignal(selectSuppliesLeft);
  /** What the maker's own packet says of what is chosen. */
  private readonly ownDose = computed(() => ownDoseGPerL(this.supplies(), this.what(), this.writer.now()));
  protected readonly usualDose = computed(() => {
    const what = this.what();
    return String(this.ownDose() ?? (isDosedByPacket(what) ? PACKET_G_PER_L[what] : ''));
  });
  protected readonly outcome = computed(() => {
    const liquid = this.liquid();
    const view = this.view();
    if (!liquid || !view) return null;
    const f = this.fields();
    const sg = readQuantity(this.units, f.sg, 'gravity');
    const facts = { state: view.state, log: view.log, verdict: view.verdict?.value ?? null, at: this.writer.now() };
    const ask = additionAsk(liquid, facts, {
      what: this.what(),
      targetSg: sg?.ok === true ? sg.value.value : null,
      targetAbv: numberOf(f.abv, 'abv'),
      targetTaGPerL: numberOf(f.ta, 'taGPerL'),
      targetPh: numberOf(f.ph, 'ph'),
      targetTanninGPerL: numberOf(f.tannin, 'tanninGPerL'),
      fermentableId: f.sugar,
      acid: f.acid as AcidId | 'lemon',
      carbonate: f.carbonate as CarbonateId,
      form: f.form as SulfiteForm,
      product: f.product,
      packetGPerL: numberOf(f.packet, 'packetGPerL') ?? this.ownDose(),
      boiled: f.boiled === 'yes',
      given: this.given(),
    });
    return additionPlan(ask);
  });
  protected readonly plan = computed(() => {
    const outcome = this.outcome();
    return outcome?.kind === 'plan' ? outcome.plan : null;
  });
  protected readonly says = computed(() => {
    const outcome = this.outcome();
    if (outcome?.kind === 'untold') return `Still to tell: ${outcome.what}.`;
    return outcome?.kind === 'refused' ? refusalWords(outcome.error, this.what()) : null;
  });
  protected readonly amount = computed(() => {
    const plan = this.plan();
    if (!plan) return '';
    const sugar = this.what() === 'sugar' ? fermentableById(this.fields().sugar).name : plan.of;
    const text = {
      g: () => this.units.mass(plan.amount),
      L: () => this.units.volume(plan.amount),
      tablets: () => countText(plan.amount, 'tablet'),
      mL: () => `${figure(plan.amount, 0)} mL`,
    }[plan.unit]();
    return `${text} ${plan.unit === 'tablets' ? `, ${plan.of}` : `of ${sugar.toLowerCase()}`}`.replace(' ,', ',');
  });
  protected readonly rows = computed(() => {
    const liquid = this.liquid();
    return liquid
      ? liquidRows(
          this.units,
          liquid,
          this.plan()?.after ?? null,
          ['volume', 'gravity', 'dryStrength', 'acid', 'ph', 'tannin', 'sulfite'],
          this.view()?.state.guessed,
        )
      : [];
  });

  private readonly take = viewChild<SupplyTake>('take');
  protected readonly needs = computed((): readonly Need[] => {
    const plan = this.plan();
    const need = plan && plan.unit !== 'L' && plan.unit !== 'mL' ? supplyOfAddition(this.what(), REF_OF[this.what()](this.fields())) : null;
    if (!plan || !need) return [];
    return [{ ...need, amount: this.given() ?? plan.amount, unit: plan.unit === 'tablets' ? 'tablet' : 'g' }];
  });

  private choose(what: AdditionId): void {
    this.draft.fields.update((f) => ({ ...f, what, given: '' }));
    this.refusal.set(null);
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const plan = this.plan();
    const wrong = this.draft.wrong();
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    if (!view || !plan) {
      this.refusal.set(this.says() ?? 'There is nothing in the vessels of this batch.');
      return;
    }
    if (plan.amount <= 0 && this.given() === null) {
      this.refusal.set('Nothing needs to go in.');
      return;
    }
    this.refusal.set(
      await this.writer.write(view, [{ kind: 'addition', payload: { ...plan.payload, supplies: this.take()?.uses() } }], 'Written down.', this.draft),
    );
  }
}

/** Which of its kind each addition is. */
const REF_OF: Readonly<Record<AdditionId, (f: typeof FIELDS) => string>> = {
  sugar: (f) => f.sugar,
  water: () => 'water',
  acid: (f) => f.acid,
  carbonate: (f) => f.carbonate,
  tannin: () => 'tannin',
  sulfite: (f) => f.form,
  enzyme: () => 'enzyme',
  bentonite: () => 'bentonite',
  nutrient: (f) => f.product,
};

/** Why an addition cannot be, in a maker's words. */
function refusalWords(error: CoreError, what: AdditionId): string {
  if (error.code === 'UNREACHABLE') {
    if (what === 'sugar') return `${error.message}. To go lower, add water or blend.`;
    if (what === 'acid') return `${error.message}. To take acid out, use “Acid down”.`;
    if (what === 'carbonate') return `${error.message}. To put acid in, use “Acid up”.`;
  }
  return `${error.message}.`;
}
