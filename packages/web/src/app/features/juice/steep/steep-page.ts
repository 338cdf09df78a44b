import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { attempt } from '@trug/core/base/errors/attempt';
import { steepPlan } from '@trug/core/juice/fruit/steep-plan';
import { phOf, taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { dryAbvOf, gravityOf } from '@trug/core/matter/liquid/views';
import { fruitById } from '@trug/core/base/reference/fruit-library';
import { FRUIT_LIBRARY } from '@trug/core/base/reference/fruit-library-data';
import { figure } from '@trug/core/base/worked/figures';
import { CautionList } from '../../../shared/caution/caution-list';
import { createDraft } from '../../../writing/draft';
import { NumberField, numberOf } from '../../../shared/field/number-field';
import { QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { newId } from '../../../browser/new-id';
import { TAPES } from '@trug/contract/plain';
import type { ReadingHints } from '../../../units/typed-quantity';
import { Units } from '../../../units/units';
import { Working } from '../../../shared/working/working';
import { NEW_JUICE } from '../new-juice';
import { SaidPipe } from '../../../units/said.pipe';
import { kitchenWeights } from '@trug/core/book/cupboard/kitchen-weights';
import { juicesFeature } from '../../../state/resources.reducer';
import { LogWriter } from '../../../writing/log-writer';
import { SelectField } from '../../../shared/field/select-field';
import { TextField } from '../../../shared/field/text-field';
import { Refusal } from '../../../shared/refusal/refusal';

const FIELDS = { name: '', volume: '', fruit: '', fruitId: '', sg: '1.070', ta: '5', tea: '0', dried: '', manner: 'cold' };
const STEEP_FRUIT = FRUIT_LIBRARY.filter((k) => k.group !== 'bought' && k.group !== 'concentrate');

/** g of citric acid that a lemon brings. */
const LEMON_G = kitchenWeights('acid', 'citric').gramsPerLemon ?? NaN;

/** Steep: chopped fruit in water instead of the press, scaled to the volume wanted. */
@Component({
  selector: 'trug-steep-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, RouterLink, NumberField, QuantityField, Working, CautionList, SelectField, TextField, Refusal],
  templateUrl: './steep-page.html',
  styleUrl: './steep-page.scss',
})
export class SteepPage {
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  private readonly juices = inject(Store).selectSignal(juicesFeature.selectAll);
  protected readonly units = inject(Units);
  protected readonly draft = createDraft('steep', FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly fruits = STEEP_FRUIT;
  protected readonly refusal = signal<string | null>(null);
  protected readonly heavy: ReadingHints = { heavy: true };
  private readonly volumeL = computed(() => this.read(this.fields().volume, 'volume'));
  private readonly fruitG = computed(() => this.read(this.fields().fruit, 'mass', this.heavy));
  protected readonly outcome = computed(() => {
    const [volumeL, fruitG, targetSg] = [this.volumeL(), this.fruitG(), this.read(this.fields().sg, 'gravity')];
    if (volumeL === null || fruitG === null || targetSg === null) return null;
    const f = this.fields();
    return attempt(() =>
      steepPlan({
        volumeL,
        fruitKg: fruitG / 1000,
        fruitId: f.fruitId === '' ? null : f.fruitId,
        targetSg,
        targetTaGPerL: numberOf(f.ta, 'taGPerL'),
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
    if (outcome === null) return 'Still to tell: how much, the fruit, and the gravity.';
    return outcome.ok ? null : `${outcome.error.message}.`;
  });
  protected readonly lines = computed(() => {
    const plan = this.plan()?.value;
    if (!plan) return [];
    const f = this.fields();
    return [
      { what: 'Fruit, chopped', amount: this.units.mass(this.fruitG() ?? 0) },
      { what: 'Water', amount: this.units.volumeAbout(plan.waterL) },
      { what: 'White sugar', amount: this.units.mass(plan.sugarG) },
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

  private read(text: string, dimension: 'volume' | 'mass' | 'gravity', hints: ReadingHints = {}): number | null {
    const read = readQuantity(this.units, text, dimension, hints);
    return read?.ok === true ? read.value.value : null;
  }

  protected async file(): Promise<void> {
    const plan = this.plan()?.value;
    const fruitG = this.fruitG();
    const wrong = this.draft.wrong();
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    if (!plan || fruitG === null) {
      this.refusal.set(this.says());
      return;
    }
    const f = this.fields();
    const at = this.writer.now();
    const fruitId = f.fruitId === '' ? null : f.fruitId;
    const { refused } = await this.writer.save(
      {
        of: 'juices',
        resource: {
          ...NEW_JUICE,
          id: newId(),
          name: f.name.trim() || `Steeped ${fruitId === null ? 'garden mix' : fruitById(fruitId).name}`.slice(0, 60),
          tape: TAPES[this.juices().length % TAPES.length] ?? 'straw',
          origin: 'steeped',
          fruit: plan.liquid.fruit,
          fruitId,
          madeAt: at,
          steeping: {
            startedAt: at,
            days: plan.days,
            hot: f.manner === 'hot',
            fruitKg: fruitG / 1000,
            waterL: plan.waterL,
            sugarG: plan.sugarG,
            acidG: plan.acidG,
            teaCups: numberOf(f.tea, 'cups') ?? 0,
            driedFruitG: this.read(f.dried, 'mass') ?? 0,
            stirredAt: [],
            strainedAt: null,
          },
        },
      },
      'Steeping is written down.',
      f,
    );
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/juice']);
  }
}
