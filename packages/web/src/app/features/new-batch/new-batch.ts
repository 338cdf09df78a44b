import { Router, RouterLink } from '@angular/router';
import { Word } from '../../shared/word/word';
import { Outbox } from '../../writing/outbox';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import { TAPES, type VesselDto } from '@trug/contract/plain';
import type { Fruit, RawGravity, SulfiteForm } from '@trug/core';
import { caution } from '@trug/core/base/cautions/catalogue';
import { METHODS } from '@trug/core/book/plan/method';
import { dayText } from '@trug/core/matter/quantity/days';
import { selectOwnSugars } from '../../state/own-things.selectors';
import { FERMENTABLES } from '@trug/core/base/reference/fermentables-data';
import { USUAL_YEAST_ID, yeastById } from '@trug/core/base/reference/yeast-kinds';
import { YEAST_KINDS } from '@trug/core/base/reference/yeast-kinds-data';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { newId } from '../../browser/new-id';
import { AddVessel } from '../../shared/add-vessel/add-vessel';
import { NextTimeNotes } from '../../shared/next-time/next-time';
import { CautionList } from '../../shared/caution/caution-list';
import { batchDraftKey, createDraft, leaveDraft, PITCH_DRAFT } from '../../writing/draft';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { GravityField, readGravity } from '../../shared/field/gravity-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { selectFreeVessels } from '../../state/free-vessels';
import { Units } from '../../units/units';
import { Vessel } from '../../shared/vessel/vessel';
import { Working } from '../../shared/working/working';
import { vesselChoices } from '../../shared/vessel/vessel-choices';
import { cartonPlan, type CartonPlan } from '@trug/core/book/plan/carton-plan';
import { SaidPipe } from '../../units/said.pipe';
import { injectGauges } from '../../shared/gauges';
import { cartonPlusMinus } from '@trug/core/matter/measure/correct-gravity';
import { smallestWithFoamRoom } from '@trug/core/finish/rack/fill-evenly';
import { batchesFeature } from '../../state/batches.reducer';
import { holdToContract } from '../../writing/dto-validator';
import { type Act, LogWriter } from '../../writing/log-writer';
import { TextField } from '../../shared/field/text-field';
import { SelectField } from '../../shared/field/select-field';
import { ChoiceField } from '../../shared/field/choice-field';
import { Refusal } from '../../shared/refusal/refusal';
import { SULFITE_FORMS } from '../../shared/sulfite-forms';

const NEW_BATCH = {
  name: '',
  fruit: 'apple',
  volume: '',
  cartonSugar: '',
  instrument: 'hydrometer',
  sg: '',
  sample: '',
  ph: '',
  preservative: 'none',
  vessel: '',
  abv: '',
  sugar: 'sucrose',
  yeast: USUAL_YEAST_ID,
  temp: '',
  clean: 'none',
  form: 'tablet',
  method: 'carton-quick',
  // The smallest kind that holds it, until the maker chooses.
};
/** The path's stops that a plan names with a day. */
const DATED: Readonly<Record<string, string>> = { pitch: 'Yeast goes in', rack: 'Rack it', bottle: 'Bottle it', drink: 'First glass' };

const CLEAN_STARTS = [
  { id: 'none', name: 'Straight to yeast', note: 'Heat-treated cartons are clean already. The yeast goes in now.' },
  { id: 'sulfite', name: 'Sulfite first, then wait a day', note: 'Dosed by pH: the same dose is ten times weaker at pH 3.8 than at 2.8.' },
  { id: 'later', name: 'Juice first, yeast later', note: 'It is to be warmed, cleared, measured or sugared before. The shelf keeps asking for its yeast.' },
];

/** Less sugar than this is none: no kitchen scale tells it. */
const LEAST_SUGAR_G = 0.5;

/** New batch from shop juice: what the carton says, the vessel, the strength, the yeast and the clean start. */
@Component({
  selector: 'trug-new-batch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    NextTimeNotes,
    RouterLink,
    AddVessel,
    Word,
    SaidPipe,
    ReactiveFormsModule,
    NumberField,
    QuantityField,
    GravityField,
    CautionList,
    Working,
    Vessel,
    TextField,
    SelectField,
    ChoiceField,
    Refusal,
  ],
  templateUrl: './new-batch.html',
  styleUrl: './new-batch.scss',
})
export class NewBatch {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  protected readonly gauges = injectGauges();
  private readonly count = this.store.selectSignal(batchesFeature.selectTotal);
  protected readonly sending = inject(Outbox).sending;
  private readonly router = inject(Router);
  protected readonly free = this.store.selectSignal(selectFreeVessels);
  protected readonly draft = createDraft('new-batch', NEW_BATCH);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly yeasts = YEAST_KINDS;
  protected readonly sugars = FERMENTABLES.filter((f) => f.kind === 'fermentable');
  protected readonly methods = METHODS;
  protected readonly cleanStarts = CLEAN_STARTS;
  protected readonly preserved = caution('sorbate-benzoate');
  protected readonly refusal = signal<string | null>(null);
  protected readonly sulfiteForms = SULFITE_FORMS;
  protected readonly usualName = computed(() => `Carton No. ${this.count() + 1}`);
  protected readonly yeast = computed(() => yeastById(this.fields().yeast));
  protected readonly volumeL = computed(() => this.read(this.fields().volume, 'volume'));
  protected readonly freeChoices = computed(() => vesselChoices(this.units, this.free()));
  private readonly ownSugars = this.store.selectSignal(selectOwnSugars);
  protected readonly sugarChoices = computed(() => [...this.sugars.map(({ id, name }) => ({ id, name: this.units.say(name) })), ...this.ownSugars()]);
  protected readonly yeastHint = computed(() => {
    const { tempC, toleranceAbv } = this.yeast();
    return `Likes ${this.units.temperature(tempC[1])} to ${this.units.temperature(tempC[2])}, stands ${toleranceAbv[0]}–${toleranceAbv[1]} %.`;
  });
  protected readonly tempC = computed(() => this.read(this.fields().temp, 'temperature') ?? this.yeast().tempC[1] + 2);
  protected readonly vessel = computed(() => this.free().find((v) => v.id === this.fields().vessel) ?? null);
  protected readonly look = computed(() => ({ fruit: this.fields().fruit as Fruit, haze: 0.5, sedimentMm: 0, working: false }));
  protected readonly outcome = computed(() => {
    const f = this.fields();
    return cartonPlan({
      fruit: f.fruit as Fruit,
      volumeL: this.volumeL(),
      sugarGPer100Ml: numberOf(f.cartonSugar, 'sugarGPer100Ml'),
      read: this.reading(),
      ph: numberOf(f.ph, 'ph'),
      preservative: f.preservative === 'sulfite' || f.preservative === 'sorbate-benzoate' ? f.preservative : 'none',
      targetAbv: numberOf(f.abv, 'abv'),
      fermentableId: f.sugar,
      yeastId: f.yeast,
      tempC: this.tempC(),
      cleanStart: f.clean === 'sulfite' ? 'sulfite' : 'none',
      sulfiteForm: f.form as SulfiteForm,
      capacityL: this.vessel()?.capacityL ?? null,
      methodId: f.method,
      startAt: this.writer.now(),
      zone: this.units.zone(),
    });
  });
  protected readonly plan = computed((): CartonPlan | null => {
    const outcome = this.outcome();
    return outcome.kind === 'plan' ? outcome.plan : null;
  });
  /** What the plan takes the juice to have. */
  protected readonly juiceSg = computed(() => {
    const plan = this.plan();
    return plan ? gravityOf(plan.juice) : 1;
  });
  protected readonly says = computed(() => {
    const outcome = this.outcome();
    return outcome.kind === 'refused' ? outcome.why : outcome.kind === 'untold' ? `Still to tell: ${outcome.what}.` : null;
  });
  protected readonly dates = computed(() =>
    (this.plan()?.dates ?? []).flatMap((stop) => {
      const name = DATED[stop.stage];
      return name === undefined ? [] : [{ name, day: dayText(stop.on, true) }];
    }),
  );

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.NewBatchDto,
      read: ({ name }) => (name.trim() === '' ? {} : { name: name.trim() }),
      typedInto: { name: 'name' },
    });
    // The smallest free vessel that holds it with room for foam is the likely one.
    effect(() => {
      const volumeL = this.volumeL();
      if (this.fields().vessel !== '' || volumeL === null) return;
      const fits = smallestWithFoamRoom(
        volumeL,
        this.free().filter((v) => v.clean),
      );
      if (fits) this.draft.set('vessel', fits.id);
    });
  }

  /** A carton may state its sugar a fifth too high or too low, until it is read off glass. */
  protected cartonDoubt(sg: number): string {
    return `${this.units.gravityDoubt(sg, cartonPlusMinus(sg))}, as cartons go: read it to know`;
  }

  protected async begin(): Promise<void> {
    const plan = this.plan();
    const vessel = this.vessel();
    const why = this.whyNot(plan, vessel);
    this.refusal.set(why);
    if (why !== null || !plan || !vessel) return;
    const batchId = newId();
    const name = this.fields().name.trim() || this.usualName();
    const entries = this.acts(plan, vessel.id).map((act) => this.writer.entry(batchId, act));
    const tape = TAPES[this.count() % TAPES.length] ?? 'straw';
    const batch = { id: batchId, name, methodId: this.fields().method, tape, startedAt: this.writer.now() };
    const { yeast } = this.fields();
    const { refused, body } = await this.writer.file({ batches: [batch], entries }, `${name} has begun.`, this.fields());
    this.refusal.set(refused);
    if (refused !== null) return;
    const id = body.batches[0]?.id ?? batchId;
    // The yeast chosen here waits in the pitch form, with sulfite until that has had its day.
    if (this.waitsForYeast(plan)) leaveDraft(batchDraftKey(PITCH_DRAFT, id), { yeastId: yeast, temp: '' });
    this.draft.forget();
    await this.router.navigate(['/batch', id]);
  }

  private waitsForYeast(plan: CartonPlan): boolean {
    return plan.sulfite !== null || this.fields().clean === 'later';
  }

  /** What still stands in the way of beginning; null when nothing does. */
  private whyNot(plan: CartonPlan | null, vessel: VesselDto | null): string | null {
    const wrong = this.draft.wrong();
    if (wrong !== null) return wrong;
    if (!plan) return this.says();
    if (!vessel) return 'Choose a vessel for it, or add one.';
    return plan.room === 'will-not-fit'
      ? `${this.units.volume(plan.must.volumeL)} do not fit into ${vessel.name}. Choose a bigger vessel or start with less.`
      : null;
  }

  private acts(plan: CartonPlan, vesselId: string): readonly Act[] {
    const f = this.fields();
    const fill: Act = {
      kind: 'filled',
      payload: {
        source: f.fruit === 'pear' ? 'shop pear juice' : 'shop apple juice',
        fruit: f.fruit as Fruit,
        volumeL: plan.juice.volumeL,
        gravity: plan.gravity,
        ph: numberOf(f.ph, 'ph'),
        taGPerL: null,
        tanninGPerL: null,
        yanMgPerL: null,
        vessels: [{ vesselId, volumeL: plan.juice.volumeL }],
        tempC: this.tempC(),
      },
      note: f.preservative === 'sulfite' ? 'The carton says it holds sulfite.' : '',
    };
    const sugar: readonly Act[] =
      plan.sugar && plan.sugar.massG >= LEAST_SUGAR_G
        ? [{ kind: 'addition', payload: { what: 'fermentable', fermentableId: f.sugar, massG: plan.sugar.massG } }]
        : [];
    const sulfite: readonly Act[] = plan.sulfite
      ? [{ kind: 'addition', payload: { what: 'sulfite', so2MgPerL: plan.sulfite.so2MgPerL }, note: plan.sulfite.amount }]
      : [];
    if (this.waitsForYeast(plan)) return [fill, ...sugar, ...sulfite];
    return [fill, ...sugar, { kind: 'pitched', payload: { yeastId: f.yeast, massG: plan.pitchG, method: plan.pitchMethod, juiceC: this.tempC() } }];
  }

  /** What was read of the juice; null where nothing was. */
  private reading(): RawGravity | null {
    const { sg, instrument, sample } = this.fields();
    return readGravity(this.units, this.gauges(), { text: sg, by: instrument, sample });
  }

  private read(text: string, dimension: 'volume' | 'temperature'): number | null {
    return numberIn(readQuantity(this.units, text, dimension));
  }
}
