import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { caution } from '@trug/core/base/cautions/catalogue';
import { attempt } from '@trug/core/base/errors/attempt';
import { hottestOf, TOO_LATE } from '@trug/core/book/kinds/heated';
import { awaitsHeat, heatBy } from '@trug/core/book/state/crate-heat';
import { lotOf, openedGravity } from '@trug/core/book/state/heat-way';
import { heatSteps, readHeatTable } from '@trug/core/finish/bottle/heat-profile';
import { ENOUGH_UNITS, minutesWanting, pasteurisationUnits, type HeatStep } from '@trug/core/finish/bottle/heat-units';
import { tryHotLot, USUAL_BATH_C } from '@trug/core/finish/bottle/hot-lot';
import { coolDown, coolingText } from '@trug/core/juice/warmth/cool-down';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList, unacknowledged } from '../../shared/caution/caution-list';
import { ChoiceField } from '../../shared/field/choice-field';
import { FileField } from '../../shared/field/file-field';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { GravityField, readGravity } from '../../shared/field/gravity-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Working } from '../../shared/working/working';
import { injectGauges, stemsOf } from '../../shared/gauges';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';
import { BathDrawn } from './bath-drawn';

const WAYS = [
  { id: 'held', name: 'held at one heat', note: 'By a thermometer in a control bottle filled with water, in the coldest corner.' },
  { id: 'table', name: 'from a logger', note: 'Its rows, each a time and the heat in the middle of that bottle.' },
] as const;
/** A room that bottles cool in. */
const ROOM_C = 18;
const HAND_WARM_C = 40;

/** Filled bottles through a bath: how long, what presses on them meanwhile, and whether it was enough. */
@Component({
  selector: 'trug-heat-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ActHead,
    BathDrawn,
    CautionList,
    ChoiceField,
    FileField,
    GravityField,
    NumberField,
    QuantityField,
    ReactiveFormsModule,
    Refusal,
    RouterLink,
    SaidPipe,
    TextField,
    Working,
  ],
  templateUrl: './heat-page.html',
  styleUrl: './heat-page.scss',
})
export class HeatPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('heat', { crate: '', way: 'held', core: '', minutes: '', table: '', opened: '', openedAt: '' });
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly typed = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly ways = WAYS;
  protected readonly usualC = USUAL_BATH_C;
  protected readonly enough = ENOUGH_UNITS;
  protected readonly tooLate = TOO_LATE;
  protected readonly dangers = [caution('hot-bottles')];
  private readonly rows = signal<readonly (readonly string[])[]>([]);
  private readonly waiting = computed(() => (this.view()?.state.crates ?? []).filter((c) => awaitsHeat(c) && c.lots.some((lot) => lot.left > 0)).reverse());
  protected readonly crates = computed(() =>
    this.waiting().map((crate) => ({ id: crate.id, name: `${crate.name}, ${this.units.day(crate.bottledAt)}, ${crate.capColour} caps` })),
  );
  protected readonly crate = computed(() => this.waiting().find((crate) => crate.id === this.fields().crate) ?? this.waiting()[0] ?? null);
  protected readonly isTable = computed(() => this.fields().way === 'table');
  protected readonly isLate = computed(() => {
    const crate = this.crate();
    return crate !== null && this.writer.now() > heatBy(crate);
  });
  private readonly gauges = injectGauges();
  protected readonly stems = computed(() => stemsOf(this.gauges()));
  private readonly opened = computed(() => {
    const { opened, openedAt } = this.fields();
    const read = readGravity(this.units, this.stems(), { text: opened, by: '', sample: openedAt });
    return read && attempt(() => openedGravity(read));
  });
  private readonly openedSg = computed(() => {
    const opened = this.opened();
    return opened?.ok === true ? opened.value : null;
  });
  protected readonly openedProblem = computed(() => {
    const opened = this.opened();
    return opened?.ok === false ? this.units.say(`${opened.error.message}.`) : null;
  });
  private readonly coreC = computed(() => numberIn(readQuantity(this.units, this.fields().core, 'temperature')) ?? USUAL_BATH_C);
  protected readonly inFahrenheit = computed(() => this.units.preferences().temperature === 'degF');
  /** What a logger wrote, or why it cannot be read; null before it wrote anything. */
  protected readonly logged = computed(() => (this.rows().length === 0 ? null : attempt(() => readHeatTable(this.rows(), this.inFahrenheit()))));
  protected readonly tableProblem = computed(() => {
    const logged = this.logged();
    return logged?.ok === false ? this.units.say(`${logged.error.message}.`) : null;
  });
  protected readonly readings = computed(() => {
    const logged = this.logged();
    return this.isTable() && logged?.ok === true ? logged.value : [];
  });
  private readonly minutes = computed(() => numberOf(this.fields().minutes, 'heatedMin'));
  /** What was done, as far as it is said. */
  private readonly steps = computed((): readonly HeatStep[] => {
    if (this.isTable()) return heatSteps(this.readings());
    const minutes = this.minutes();
    return minutes === null ? [] : [{ minutes, coreC: this.coreC() }];
  });
  private readonly hottestC = computed(() => (this.isTable() && this.steps().length > 0 ? hottestOf(this.steps()) : this.coreC()));
  protected readonly lot = computed(() => {
    const crate = this.crate();
    return crate ? tryHotLot(lotOf(crate, this.hottestC(), this.openedSg())) : null;
  });
  protected readonly hot = computed(() => {
    const lot = this.lot();
    return lot?.ok === true ? lot.value : null;
  });
  protected readonly problem = computed(() => {
    const lot = this.lot();
    return lot?.ok === false ? this.units.say(`${lot.error.message}.`) : null;
  });
  protected readonly unitsDone = computed(() => (this.crate()?.heat?.units ?? 0) + pasteurisationUnits(this.steps()));
  protected readonly minutesWanted = computed(() => minutesWanting(this.crate()?.heat?.units ?? 0, this.coreC()));
  protected readonly says = computed(() => {
    const done = Math.floor(this.unitsDone());
    if (this.steps().length === 0) return `${ENOUGH_UNITS} units keep a sweet cider: a unit is a minute at ${this.units.temperature(60)}.`;
    if (done >= ENOUGH_UNITS) return `${done} units of ${ENOUGH_UNITS}: enough, where that was the coldest bottle.`;
    const more = Math.ceil(minutesWanting(this.unitsDone(), this.coreC()));
    return `${done} units of ${ENOUGH_UNITS}: ${more} minutes more at ${this.units.temperature(this.coreC())}.`;
  });
  protected readonly cooling = computed(() => {
    const worked = attempt(() => coolDown({ volumeL: 0.5, isC: this.hottestC(), wantedC: HAND_WARM_C, aroundC: ROOM_C, way: 'air' }));
    return worked.ok ? coolingText(worked.value.value.hours) : null;
  });

  constructor() {
    if (this.fields().table !== '') void this.parse(this.fields().table);
    this.draft.form.controls.table.valueChanges.subscribe((text) => void this.parse(text));
  }

  protected async picked(file: File): Promise<void> {
    this.draft.form.controls.table.setValue(await file.text());
  }

  private async parse(text: string): Promise<void> {
    const { parse } = (await import('papaparse')).default;
    this.rows.set(parse<string[]>(text.trim(), { skipEmptyLines: true, delimitersToGuess: [';', '\t', ',', '|', ' '] }).data);
  }

  protected async file(): Promise<void> {
    const [view, crate, steps] = [this.view(), this.crate(), this.steps()];
    const wrong = this.draft.wrong() ?? (this.isTable() ? this.tableProblem() : null);
    if (!view || !crate || steps.length === 0 || wrong !== null) {
      this.refusal.set(wrong ?? (this.isTable() ? 'Paste what the logger wrote, or take its file.' : 'Say how many minutes it was held.'));
      return;
    }
    const refusal = this.problem() ?? unacknowledged(this.dangers, this.typed());
    if (refusal !== null) {
      this.refusal.set(refusal);
      return;
    }
    const payload = { crateId: crate.id, steps: [...steps], openedSg: this.openedSg(), acknowledged: this.dangers.map((c) => c.id) };
    const said = this.unitsDone() >= ENOUGH_UNITS ? 'Heated through.' : 'Heated, and not yet enough.';
    this.refusal.set(await this.writer.write(view, [{ kind: 'heated', payload }], said, this.draft));
  }
}
