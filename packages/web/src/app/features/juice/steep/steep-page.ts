import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import type { Need } from '@trug/core';
import { selectOwnFruits, selectOwnSugars } from '../../../state/own-things.selectors';
import { FERMENTABLES } from '@trug/core/base/reference/fermentables-data';
import { fermentableById } from '@trug/core/base/reference/fermentables';
import { WIDE_OPEN } from '@trug/core/finish/rack/wide-open';
import { smallestWithFoamRoom } from '@trug/core/finish/rack/fill-evenly';
import { AddVessel } from '../../../shared/add-vessel/add-vessel';
import { SupplyTake } from '../../../shared/supply-take/supply-take';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { attempt } from '@trug/core/base/errors/attempt';
import { steepPlan } from '@trug/core/juice/fruit/steep-plan';
import { phOf, taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { dryAbvOf, gravityOf } from '@trug/core/matter/liquid/views';
import { fruitById, ORCHARD_FRUIT } from '@trug/core/base/reference/fruit-library';
import { figure } from '@trug/core/base/worked/figures';
import { CautionList } from '../../../shared/caution/caution-list';
import { createDraft } from '../../../writing/draft';
import { NumberField, numberOf } from '../../../shared/field/number-field';
import { numberIn, QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { newId } from '../../../browser/new-id';
import { TAPES } from '@trug/contract/plain';
import type { ReadingHints } from '../../../units/typed-quantity';
import { Units } from '../../../units/units';
import { Working } from '../../../shared/working/working';
import { vesselChoices } from '../../../shared/vessel/vessel-choices';
import { SaidPipe } from '../../../units/said.pipe';
import { kitchenWeights } from '@trug/core/book/cupboard/kitchen-weights';
import { injectWeightsOf } from '../../../shared/kitchen';
import { batchesFeature } from '../../../state/batches.reducer';
import { selectFreeVessels } from '../../../state/free-vessels';
import { LogWriter } from '../../../writing/log-writer';
import { SelectField } from '../../../shared/field/select-field';
import { TextField } from '../../../shared/field/text-field';
import { OwnFruitForm } from '../../../shared/own-fruit/own-fruit';
import { Refusal } from '../../../shared/refusal/refusal';

const FIELDS = {
  name: '',
  volume: '',
  fruit: '',
  fruitId: '',
  sg: '1.070',
  ta: '5',
  acid: '',
  tea: '0',
  dried: '',
  manner: 'cold',
  held: 'bag',
  days: '',
  sugarKind: 'brown-sugar-dark',
  sugar: '',
  temp: '',
  vessel: '',
};
const SUGARS = FERMENTABLES.filter((f) => f.kind === 'fermentable' && f.id !== 'sucrose');

/** What is steeped is made in the warm as cartons are, unless the maker says otherwise when it is pitched. */
const METHOD = 'carton-quick';

/** g of citric acid that a lemon brings. */
const LEMON_G = kitchenWeights('acid', 'citric').gramsPerLemon ?? NaN;

/** On the pulp: chopped fruit in water instead of the press, scaled to the volume wanted, a batch from its first day. */
@Component({
  selector: 'trug-steep-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OwnFruitForm,
    AddVessel,
    SupplyTake,
    SaidPipe,
    ReactiveFormsModule,
    RouterLink,
    NumberField,
    QuantityField,
    Working,
    CautionList,
    SelectField,
    TextField,
    Refusal,
  ],
  templateUrl: './steep-page.html',
  styleUrl: './steep-page.scss',
})
export class SteepPage {
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly count = this.store.selectSignal(batchesFeature.selectTotal);
  protected readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly keptSugars = this.store.selectSignal(selectOwnSugars);
  protected readonly sugars = computed(() => [...SUGARS.map(({ id, name }) => ({ id, name: this.units.say(name) })), ...this.keptSugars()]);
  protected readonly units = inject(Units);
  protected readonly draft = createDraft('steep', FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  private readonly ownFruits = this.store.selectSignal(selectOwnFruits);
  protected readonly fruits = computed(() => [...this.ownFruits(), ...ORCHARD_FRUIT]);
  protected readonly refusal = signal<string | null>(null);
  protected readonly heavy: ReadingHints = { heavy: true };
  private readonly volumeL = computed(() => this.read(this.fields().volume, 'volume'));
  private readonly fruitG = computed(() => this.read(this.fields().fruit, 'mass', this.heavy));
  private readonly weightsOf = injectWeightsOf();
  protected readonly acidHints = computed((): ReadingHints => ({ weights: this.weightsOf()('acid', 'citric') }));
  protected readonly sugarHints = computed((): ReadingHints => ({ weights: this.weightsOf()('sugar', this.fields().sugarKind) }));
  private readonly ownSugars = computed(() => {
    const massG = this.read(this.fields().sugar, 'mass', this.sugarHints()) ?? 0;
    return massG > 0 ? [{ fermentableId: this.fields().sugarKind, massG }] : [];
  });
  protected readonly vessel = computed(() => {
    const bucketL = this.plan()?.value.bucketL ?? 0;
    const free = this.free();
    return (
      free.find((v) => v.id === this.fields().vessel) ??
      smallestWithFoamRoom(
        bucketL,
        free.filter((v) => v.clean && WIDE_OPEN.has(v.kind)),
      ) ??
      null
    );
  });
  protected readonly vesselChoices = computed(() => vesselChoices(this.units, this.free()));
  protected readonly bucket = computed(() => {
    const plan = this.plan()?.value;
    return plan ? `With its pulp it takes about ${this.units.volumeAbout(plan.bucketL)} of room: leave some for foam, and for stirring.` : '';
  });
  /** Why the bucket that is chosen cannot hold it; null when it can. */
  protected readonly tooFull = computed(() => {
    const [plan, vessel] = [this.plan()?.value, this.vessel()];
    return plan && vessel && plan.bucketL > vessel.capacityL
      ? `${vessel.name} holds ${this.units.volume(vessel.capacityL)}, and with its pulp this takes ${this.units.volumeAbout(plan.bucketL)}. Choose a larger one, or make less.`
      : null;
  });
  protected readonly days = computed(() => numberOf(this.fields().days, 'steepDays') ?? this.plan()?.value.days ?? 5);
  protected readonly usualName = computed(() => {
    const { fruitId } = this.fields();
    return `${fruitId === '' ? 'Garden mix' : fruitById(fruitId).name}, steeped`.slice(0, 60);
  });
  private readonly take = viewChild(SupplyTake);
  protected readonly needs = computed((): readonly Need[] => {
    const sugarG = this.plan()?.value.sugarG ?? 0;
    const white = sugarG > 0 ? [{ fermentableId: 'sucrose', massG: sugarG }] : [];
    return [...white, ...this.ownSugars()].map(({ fermentableId, massG }) => ({ kind: 'sugar', refId: fermentableId, amount: massG, unit: 'g' }));
  });
  protected readonly outcome = computed(() => {
    const [volumeL, fruitG, targetSg] = [this.volumeL(), this.fruitG(), this.read(this.fields().sg, 'gravity')];
    if (volumeL === null || fruitG === null) return null;
    const f = this.fields();
    return attempt(() =>
      steepPlan({
        volumeL,
        fruitKg: fruitG / 1000,
        fruitId: f.fruitId === '' ? null : f.fruitId,
        targetSg,
        targetTaGPerL: numberOf(f.ta, 'taGPerL'),
        ownAcidG: this.read(f.acid, 'mass', this.acidHints()) ?? 0,
        otherSugars: this.ownSugars(),
        loose: f.held === 'loose',
        teaCups: numberOf(f.tea, 'cups') ?? 0,
        driedFruitG: this.read(f.dried, 'mass') ?? 0,
        hot: f.manner === 'hot',
      }),
    );
  });
  protected readonly plan = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok === true ? outcome.value : null;
  });
  protected readonly says = computed(() => {
    const outcome = this.outcome();
    if (outcome === null) return 'Still to tell: how much, and the fruit.';
    return outcome.ok ? null : `${outcome.error.message}.`;
  });
  protected readonly lines = computed(() => {
    const plan = this.plan()?.value;
    if (!plan) return [];
    const f = this.fields();
    return [
      { what: 'Fruit, chopped', amount: this.units.mass(this.fruitG() ?? 0) },
      { what: 'Water', amount: this.units.volumeAbout(plan.waterL) },
      ...(plan.sugarG > 0 ? [{ what: 'White sugar', amount: this.units.mass(plan.sugarG) }] : []),
      ...this.ownSugars().map(({ fermentableId, massG }) => ({ what: fermentableById(fermentableId).name, amount: this.units.mass(massG) })),
      ...(plan.acidG >= 0.1
        ? [{ what: 'Citric acid, or the juice of lemons', amount: `${this.units.mass(plan.acidG)}, about ${figure(plan.acidG / LEMON_G, 0)} lemons` }]
        : []),
      ...((numberOf(f.tea, 'cups') ?? 0) > 0 ? [{ what: 'Strong tea', amount: `${f.tea} cups` }] : []),
      ...(f.dried.trim() === '' ? [] : [{ what: 'Raisins, chopped', amount: this.units.mass(this.read(f.dried, 'mass') ?? 0) }]),
    ];
  });
  protected readonly expected = computed(() => {
    const liquid = this.plan()?.value.liquid;
    return liquid
      ? `About ${this.units.gravity(gravityOf(liquid))}, acid ${figure(taOf(liquid), 1)} g/L, pH ${figure(phOf(liquid), 2)}, tannin ${figure(liquid.tanninGPerL, 1)} g/L: about ${figure(dryAbvOf(liquid), 1)} % if left dry. Measure it when it is strained.`
      : '';
  });

  private read(text: string, dimension: 'volume' | 'mass' | 'gravity' | 'temperature', hints: ReadingHints = {}): number | null {
    return numberIn(readQuantity(this.units, text, dimension, hints));
  }

  protected async file(): Promise<void> {
    const plan = this.plan()?.value;
    const fruitG = this.fruitG();
    const vessel = this.vessel();
    const wrong = this.draft.wrong() ?? (plan ? (vessel ? this.tooFull() : 'Choose a bucket for it, or add one.') : this.says());
    if (wrong !== null || !plan || fruitG === null || !vessel) {
      this.refusal.set(wrong);
      return;
    }
    const f = this.fields();
    const fruitId = f.fruitId === '' ? null : f.fruitId;
    const name = f.name.trim() || this.usualName();
    const batch = { id: newId(), name, methodId: METHOD, tape: TAPES[this.count() % TAPES.length] ?? 'straw', startedAt: this.writer.now() };
    const payload = {
      fruitKg: fruitG / 1000,
      fruitId,
      source: fruitId === null ? 'fruit of the garden' : fruitById(fruitId).name,
      liquid: plan.liquid,
      hot: f.manner === 'hot',
      loose: f.held === 'loose',
      waterL: plan.waterL,
      sugars: [...(plan.sugarG > 0 ? [{ fermentableId: 'sucrose', massG: plan.sugarG }] : []), ...this.ownSugars()],
      acidG: plan.acidG,
      teaCups: numberOf(f.tea, 'cups') ?? 0,
      driedFruitG: this.read(f.dried, 'mass') ?? 0,
      days: this.days(),
      vessels: [{ vesselId: vessel.id, volumeL: plan.bucketL }],
      tempC: this.read(f.temp, 'temperature'),
      supplies: this.take()?.uses(),
    };
    const { refused, body } = await this.writer.file(
      { batches: [batch], entries: [this.writer.entry(batch.id, { kind: 'steeped', payload })] },
      `${name} is on its pulp.`,
      f,
    );
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/batch', body.batches[0]?.id ?? batch.id]);
  }
}
