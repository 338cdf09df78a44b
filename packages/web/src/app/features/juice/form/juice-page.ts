import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Word } from '../../../shared/word/word';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { StoredJuice } from '@trug/contract/plain';
import type { Caution, Step } from '@trug/core';
import { caution } from '@trug/core/base/cautions/catalogue';
import { attempt } from '@trug/core/base/errors/attempt';
import { isKindMeasured, juiceInHand } from '@trug/core/juice/fruit/juice-in-hand';
import { CLASS_WORDS, longAshtonClass } from '@trug/core/juice/fruit/long-ashton-class';
import { correctHydrometer } from '@trug/core/matter/measure/correct-hydrometer';
import { FRUIT_LIBRARY } from '@trug/core/base/reference/fruit-library-data';
import { figure } from '@trug/core/base/worked/figures';
import { CautionList } from '../../../shared/caution/caution-list';
import { createBatchDraft } from '../../../writing/draft';
import { NumberField } from '../../../shared/field/number-field';
import { GravityField, readGravity } from '../../../shared/field/gravity-field';
import { numberIn, QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { newId } from '../../../browser/new-id';
import { TAPES } from '@trug/contract/plain';
import { Units } from '../../../units/units';
import { Working } from '../../../shared/working/working';
import { selectHeldJuices } from '../juices-in-hand';
import { CARTON, fieldsOf, fruitOf, JUICE_FIELDS, originOf, readJuice, untouched } from './juice-draft';
import { injectGauges } from '../../../shared/gauges';
import { juicesFeature } from '../../../state/resources.reducer';
import { holdToContract } from '../../../writing/dto-validator';
import { LogWriter } from '../../../writing/log-writer';
import { ResourceWriter } from '../../../writing/resource-writer';
import { TextField } from '../../../shared/field/text-field';
import { SelectField } from '../../../shared/field/select-field';
import { OwnFruitForm } from '../../../shared/own-fruit/own-fruit';
import { selectOwnFruits } from '../../../state/own-things.selectors';
import { Refusal } from '../../../shared/refusal/refusal';

const ORIGINS = [
  { id: 'pressed', name: 'my own press' },
  { id: 'bought', name: 'a carton or bottle' },
  { id: 'mill', name: 'a mill, fresh' },
  { id: 'concentrate', name: 'concentrate made up with water' },
  { id: 'steeped', name: 'fruit steeped in water' },
] as const;

/** A juice in hand: what it is, how much, and what was measured of it. What was not is shown as typical, with its spread. */
@Component({
  selector: 'trug-juice-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OwnFruitForm,
    Word,
    ReactiveFormsModule,
    RouterLink,
    NumberField,
    QuantityField,
    GravityField,
    Working,
    CautionList,
    TextField,
    SelectField,
    Refusal,
  ],
  templateUrl: './juice-page.html',
  styleUrl: './juice-page.scss',
})
export class JuicePage {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly resources = inject(ResourceWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  /** The juice to change; none for a new one. */
  readonly id = input('');
  private readonly juices = this.store.selectSignal(juicesFeature.selectAll);
  private readonly held = this.store.selectSignal(selectHeldJuices);
  protected readonly origins = ORIGINS;
  private readonly ownFruits = this.store.selectSignal(selectOwnFruits);
  protected readonly library = computed(() => [...this.ownFruits(), ...FRUIT_LIBRARY]);
  protected readonly acids = ['malic', 'tartaric', 'citric', 'sulfuric', 'lactic'].map((id) => ({ id, name: `${id} acid` }));
  protected readonly draft = createBatchDraft('juice', JUICE_FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly existing = computed(() => this.juices().find((j) => j.id === this.id()) ?? null);
  private readonly pouredL = computed(() => {
    const held = this.held().find((h) => h.juice.id === this.id());
    return held ? held.juice.volumeL - held.juice.goneL - held.hand.leftL : 0;
  });
  private readonly readVolume = computed(() => readQuantity(this.units, this.fields().volume, 'volume'));
  private readonly readGone = computed(() => readQuantity(this.units, this.fields().gone, 'volume'));
  protected readonly gauges = injectGauges();
  protected readonly carton = CARTON;
  protected readonly others = [{ id: CARTON, name: 'the carton’s sugar' }];
  protected readonly read = computed(() =>
    readJuice(this.fields(), {
      gravity: (text, by, sample) => readGravity(this.units, this.gauges(), { text, by, sample }),
      measureL: this.units.measure().valueL,
    }),
  );
  protected readonly problems = computed(() => this.read().problems);
  /** The form as a stored juice fills it. */
  private readonly initial = computed(() => {
    const juice = this.existing();
    return juice
      ? fieldsOf(
          juice,
          (v) => this.units.volume(v),
          (c) => this.units.temperature(c),
          this.units.measure().valueL,
        )
      : null;
  });
  private readonly card = computed((): StoredJuice => {
    const f = this.fields();
    const there = this.existing();
    const kept = (...names: Parameters<typeof untouched>[2]): StoredJuice | null => (untouched(f, this.initial(), names) ? there : null);
    const read = this.readVolume();
    const gone = this.readGone();
    const { gravity, ph, taGPerL, tanninGPerL, yanMgPerL, costPerL } = this.read().readings;
    return {
      id: there?.id ?? '',
      // As it was when the form was filled: what another window changed since is not overwritten unseen.
      version: there ? Number(f.version || there.version) : 0,
      name: f.name.trim(),
      tape: there?.tape ?? TAPES[this.juices().length % TAPES.length] ?? 'straw',
      origin: originOf(f.origin),
      fruit: fruitOf(f),
      fruitId: f.fruitId === '' ? null : f.fruitId,
      madeAt: there?.madeAt ?? '',
      volumeL: kept('volume')?.volumeL ?? (read?.ok === true ? read.value.value : 0),
      gravity: kept('instrument', 'gravity', 'sample')?.gravity ?? gravity,
      ph,
      taGPerL: kept('taBy', 'ta', 'taAs')?.taGPerL ?? taGPerL,
      tanninGPerL,
      yanMgPerL,
      costPerL: kept('cost')?.costPerL ?? costPerL,
      preserved: f.preservative === 'sorbate-benzoate',
      vitaminC: f.vitaminC === 'yes',
      fromConcentrate: f.fromConcentrate === 'yes' ? true : undefined,
      pressing: there?.pressing ?? null,
      steeping: this.strained(there?.steeping ?? null),
      goneL: kept('gone')?.goneL ?? (gone?.ok === true ? gone.value.value : 0),
      note: f.note,
    };
  });
  /** What is known of it, as typed so far. */
  protected readonly hand = computed(() => {
    const hand = attempt(() => juiceInHand({ ...this.card(), volumeL: Math.max(1, this.card().volumeL), goneL: 0 }, 0));
    return hand.ok ? hand.value : null;
  });
  protected readonly known = computed(() => {
    const f = this.hand()?.figures;
    if (!f) return [];
    return [
      { name: 'Gravity', value: this.units.gravity(f.sg.value), plusMinus: this.units.gravityDoubt(f.sg.value, f.sg.plusMinus), unit: '', source: f.sg.source },
      { name: 'Acid', value: figure(f.taGPerL.value, 1), plusMinus: figure(f.taGPerL.plusMinus, 1), unit: 'g/L as malic', source: f.taGPerL.source },
      { name: 'pH', value: figure(f.ph.value, 2), plusMinus: figure(f.ph.plusMinus, 2), unit: '', source: f.ph.source },
      { name: 'Tannin', value: figure(f.tanninGPerL.value, 1), plusMinus: figure(f.tanninGPerL.plusMinus, 1), unit: 'g/L', source: f.tanninGPerL.source },
    ];
  });
  protected readonly classWords = computed(() => {
    const f = this.hand()?.figures;
    if (!f) return null;
    const words = CLASS_WORDS[longAshtonClass({ taGPerL: f.taGPerL.value, tanninGPerL: f.tanninGPerL.value })];
    return isKindMeasured(f) ? words : `${words} That goes by what is usual: acid and tannin measured would tell.`;
  });
  protected readonly steps = computed((): readonly Step[] => {
    const { gravity, taWorking } = this.read().readings;
    const heat =
      gravity?.instrument === 'hydrometer' && gravity.sampleC !== null
        ? correctHydrometer({ reading: gravity.reading, sampleC: gravity.sampleC, calibratedAtC: gravity.calibratedAtC, offset: gravity.offsetSg }).steps
        : [];
    return [...heat, ...(taWorking?.steps ?? [])];
  });
  protected readonly cautions = computed((): readonly Caution[] => {
    const f = this.fields();
    const ph = this.hand()?.figures.ph.value ?? 3.5;
    return [
      ...(f.preservative === 'sorbate-benzoate' ? [caution('sorbate-benzoate')] : []),
      ...(f.origin === 'pressed' || f.origin === 'mill' ? [caution('raw-juice')] : []),
      ...(ph > 3.8 ? [caution('ph-high')] : []),
    ];
  });

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.JuiceDto,
      read: ({ name, volume, note }) => ({ name: name.trim(), volumeL: numberIn(readQuantity(this.units, volume, 'volume')), note }),
      typedInto: { name: 'name', volumeL: 'volume', note: 'note' },
    });
    // A stored juice fills the form; what is typed afterwards is the maker's.
    effect(() => {
      const initial = this.initial();
      if (initial !== null) untracked(() => this.draft.fill(initial));
    });
  }

  /** A steeped must is as old as its straining, not as the day its fruit was chopped. */
  private strainedNow(): boolean {
    return this.existing()?.steeping?.strainedAt === null && this.card().steeping?.strainedAt !== null && this.card().steeping !== null;
  }

  /** Written down with its litres, a steeping has been strained. */
  private strained(steeping: StoredJuice['steeping']): StoredJuice['steeping'] {
    return steeping && steeping.strainedAt === null && this.readVolume()?.ok === true ? { ...steeping, strainedAt: this.writer.now() } : steeping;
  }

  protected async file(): Promise<void> {
    const { name, volumeL, goneL } = this.card();
    const wrong = this.draft.wrong();
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    if (name === '') {
      this.refusal.set('Give it a name, as you would write it on tape.');
      return;
    }
    if (this.readVolume()?.ok !== true || volumeL <= 0) {
      this.refusal.set('Write how much there is, such as 17.5 L.');
      return;
    }
    if (goneL + this.pouredL() > volumeL + 0.05) {
      this.refusal.set(`${this.units.volume(this.pouredL())} have been poured already, so not that much can be gone.`);
      return;
    }
    const fresh = this.existing() === null;
    const { refused } = await this.resources.save(
      {
        of: 'juices',
        resource: { ...this.card(), ...(fresh ? { id: newId(), madeAt: this.writer.now() } : this.strainedNow() ? { madeAt: this.writer.now() } : {}) },
      },
      'The juice is kept.',
      this.draft.fields(),
    );
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/juice']);
  }
}
