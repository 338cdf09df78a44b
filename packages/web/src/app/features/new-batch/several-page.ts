import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { TAPES } from '@trug/contract/plain';
import { attempt } from '@trug/core/base/errors/attempt';
import { correctGravity } from '@trug/core/matter/measure/correct-gravity';
import { gaugeNamed, PLAIN_STEM } from '@trug/core/matter/measure/gauge';
import { LIMITS } from '@trug/core/base/errors/limits';
import { USUAL_YEAST_ID } from '@trug/core/base/reference/yeast-kinds';
import { YEAST_KINDS } from '@trug/core/base/reference/yeast-kinds-data';
import { injectWeightsOf } from '../../shared/kitchen';
import { gridBatches, gridJuices, MOST_IN_A_GRID, type GridBatch } from '@trug/core/book/plan/grid-plan';
import { pitchRate, USUAL_MUST_C } from '@trug/core/ferment/yeast/pitch-rate';
import { liquidFromReadings } from '@trug/core/matter/liquid/liquid-from-readings';
import { countText } from '@trug/core/matter/quantity/count-text';
import { newId } from '../../browser/new-id';
import { GravityField } from '../../shared/field/gravity-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { injectGauges } from '../../shared/gauges';
import { Refusal } from '../../shared/refusal/refusal';
import { batchesFeature } from '../../state/batches.reducer';
import { SaidPipe } from '../../units/said.pipe';
import type { ReadingHints } from '../../units/typed-quantity';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { LogWriter, type Act } from '../../writing/log-writer';
import { ResourceWriter } from '../../writing/resource-writer';

const FIELDS = {
  juices: '',
  instrument: 'hydrometer',
  sample: '',
  yeast1: USUAL_YEAST_ID,
  mass1: '',
  yeast2: '',
  mass2: '',
  yeast3: '',
  mass3: '',
  volume: '',
  capacity: '',
  temp: '',
};
/** Fields of a yeast and of how much of it goes into each jar. */
const PLACES = [
  { yeast: 'yeast1', mass: 'mass1', label: 'Yeast' },
  { yeast: 'yeast2', mass: 'mass2', label: 'Another yeast' },
  { yeast: 'yeast3', mass: 'mass3', label: 'Another yeast' },
] as const;
/** A jar that leaves a fifth for foam. */
const FILLED_SHARE = 0.8;
/** The manner of what is made in the warm of a kitchen. */
const METHOD = 'carton-quick';
/** What a must is taken to be where only the rate of yeast is asked, SG. */
const USUAL_SG = 1.05;

/** Several juices with several yeasts, begun in one go: each pair in a jar of its own, to be read and compared. */
@Component({
  selector: 'trug-several-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, GravityField, QuantityField, SelectField, TextField, Refusal, SaidPipe],
  templateUrl: './several-page.html',
  styleUrl: './several-page.scss',
})
export class SeveralPage {
  private readonly writer = inject(LogWriter);
  private readonly resources = inject(ResourceWriter);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly begun = this.store.selectSignal(batchesFeature.selectTotal);
  protected readonly gauges = injectGauges();
  protected readonly units = inject(Units);
  protected readonly draft = createDraft('several', FIELDS);
  protected readonly refusal = signal<string | null>(null);
  protected readonly yeasts = YEAST_KINDS.map(({ id, name }) => ({ id, name: this.units.say(name) }));
  private readonly weightsOf = injectWeightsOf();
  protected readonly hints = computed((): ReadingHints => ({ weights: this.weightsOf()('yeast', null), bareUnit: 'g' }));
  protected readonly usualC = USUAL_MUST_C;
  protected readonly places = PLACES;
  /** Jars that are in the cupboard already, by the batch they were put there for: a second try puts in no second ones. */
  private readonly jars = new Map<string, string>();

  private readonly lines = computed(() => gridJuices(this.draft.fields().juices));
  protected readonly wrong = computed(() => this.lines().filter((line) => line.why !== null));
  private readonly volumeL = computed(() => numberIn(readQuantity(this.units, this.draft.fields().volume, 'volume')) ?? 0);
  protected readonly capacityL = computed(() => numberIn(readQuantity(this.units, this.draft.fields().capacity, 'volume')) ?? this.volumeL() / FILLED_SHARE);
  private readonly tempC = computed(() => numberIn(readQuantity(this.units, this.draft.fields().temp, 'temperature')) ?? USUAL_MUST_C);
  private readonly chosen = computed(() => {
    const f = this.draft.fields();
    return PLACES.flatMap(({ yeast, mass }) => {
      const yeastId = f[yeast];
      if (yeastId === '') return [];
      const massG = numberIn(readQuantity(this.units, f[mass], 'mass', this.hints())) ?? this.usualG(yeastId);
      return [{ yeastId, massG: Math.min(massG, LIMITS.smallDoseG.max) }];
    });
  });
  private readonly gauge = computed(() => gaugeNamed(this.gauges(), this.draft.fields().instrument) ?? PLAIN_STEM);
  private readonly sampleC = computed(() => numberIn(readQuantity(this.units, this.draft.fields().sample, 'temperature')));
  protected readonly batches = computed((): readonly GridBatch[] | null => {
    const juices = this.lines().flatMap(({ name, sg }) => (sg === null ? [] : [{ name, sg }]));
    const made = attempt(() =>
      gridBatches({ juices, yeasts: this.chosen(), volumeL: this.volumeL(), tempC: this.tempC(), gauge: this.gauge(), sampleC: this.sampleC() }),
    );
    return made.ok ? made.value : null;
  });
  protected readonly still = computed(() => {
    if (this.lines().every((line) => line.sg === null)) return 'Write the juices, one a line.';
    if (this.volumeL() <= 0) return `Say how much juice goes into each, such as ${this.units.volume(1)}.`;
    return `At most ${MOST_IN_A_GRID} jars are begun in one go.`;
  });

  protected readonly count = (jars: number): string => countText(jars, 'jar');

  protected readonly sgOf = ({ filled }: GridBatch): number => correctGravity(filled.gravity, null).sg;

  /** The usual rate for what is in one jar, as a hint. */
  protected usualMass(place: (typeof PLACES)[number]): string {
    const yeastId = this.draft.fields()[place.yeast];
    return yeastId === '' || this.volumeL() <= 0 ? '' : this.units.mass(this.usualG(yeastId));
  }

  private usualG(yeastId: string): number {
    const volumeL = this.volumeL();
    if (volumeL <= 0) return 0;
    const rate = attempt(() =>
      pitchRate({ liquid: liquidFromReadings({ volumeL, sg: USUAL_SG, fruit: 'apple' }), yeastId, tempC: this.tempC(), purpose: 'start' }),
    );
    return rate.ok ? rate.value.value.massG : 0;
  }

  protected async begin(): Promise<void> {
    const batches = this.batches();
    const wrong = this.draft.wrong() ?? (this.wrong().length > 0 ? 'A line of the juices cannot be used yet: it says why beneath them.' : null);
    this.refusal.set(wrong ?? (batches ? null : this.still()));
    if (wrong !== null || !batches) return;
    for (const { name } of batches) {
      if (this.jars.has(name)) continue;
      const { refused, body } = await this.resources.addVessel({ id: newId(), name, kind: 'jar', capacityL: this.capacityL() });
      this.refusal.set(refused);
      if (refused !== null) return;
      this.jars.set(name, body.id);
    }
    const begun = batches.map((batch, i) => ({
      record: { id: newId(), name: batch.name, methodId: METHOD, tape: TAPES[(this.begun() + i) % TAPES.length] ?? 'straw', startedAt: this.writer.now() },
      acts: this.actsOf(batch),
    }));
    const entries = begun.flatMap(({ record, acts }) => acts.map((act) => this.writer.entry(record.id, act)));
    const { refused } = await this.writer.file(
      { batches: begun.map(({ record }) => record), entries },
      `${this.count(begun.length)} have begun.`,
      this.draft.fields(),
    );
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/readings']);
  }

  private actsOf({ name, filled, pitched }: GridBatch): readonly Act[] {
    const vessels = [{ vesselId: this.jars.get(name) ?? '', volumeL: filled.volumeL }];
    return [
      { kind: 'filled', payload: { ...filled, vessels } },
      { kind: 'pitched', payload: pitched },
    ];
  }
}
