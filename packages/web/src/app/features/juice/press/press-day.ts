import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { StoredJuice } from '@trug/contract/plain';
import { caution } from '@trug/core/base/cautions/catalogue';
import { attempt } from '@trug/core/base/errors/attempt';
import { CONDITIONS, RIPENESS, type FruitLot, type Pressing, type PressRun } from '@trug/core/juice/fruit/juice';
import { PRESSES } from '@trug/core/juice/fruit/presses';
import { pressSums, yieldFromFruit, fruitForVolume } from '@trug/core/juice/fruit/yield';
import { fruitById, ORCHARD_FRUIT } from '@trug/core/base/reference/fruit-library';
import { figure } from '@trug/core/base/worked/figures';
import { CautionList } from '../../../shared/caution/caution-list';
import { createBatchDraft } from '../../../writing/draft';
import { QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { parsed } from '../../../browser/stored';
import { newId } from '../../../browser/new-id';
import { TAPES } from '@trug/contract/plain';
import type { ReadingHints } from '../../../units/typed-quantity';
import { Units } from '../../../units/units';
import { Working } from '../../../shared/working/working';
import { selectPastPresses } from '../juices-in-hand';
import { NEW_JUICE } from '../new-juice';
import { SaidPipe } from '../../../units/said.pipe';
import { juicesFeature } from '../../../state/resources.reducer';
import { LogWriter } from '../../../writing/log-writer';
import { ResourceWriter } from '../../../writing/resource-writer';
import { TextField } from '../../../shared/field/text-field';
import { SelectField } from '../../../shared/field/select-field';
import { OwnFruitForm } from '../../../shared/own-fruit/own-fruit';
import { Refusal } from '../../../shared/refusal/refusal';
import { selectOwnFruits } from '../../../state/own-things.selectors';
import { PressDrawn } from './press-drawn';

const FIELDS = {
  name: '',
  press: 'hand-mill-basket',
  fruitId: '',
  mass: '',
  ripeness: 'ripe',
  condition: 'sound',
  run: '',
  into: '',
  wanted: '',
  sheet: '',
  version: '',
};
const RIPENESS_WORDS = { unripe: 'not ripe', ripe: 'ripe', mellow: 'mellowed', over: 'over-ripe' } as const;
const CONDITION_WORDS = { sound: 'sound', bruised: 'some bruises', 'some-rot': 'some rot cut out' } as const;

/** The press-day sheet: kilos in, litres out by run, and the yield as it grows. Big buttons, for wet hands. */
@Component({
  selector: 'trug-press-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, RouterLink, OwnFruitForm, PressDrawn, QuantityField, Working, CautionList, TextField, SelectField, Refusal],
  templateUrl: './press-day.html',
  styleUrl: './press-day.scss',
})
export class PressDay {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly resources = inject(ResourceWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  readonly id = input('');
  private readonly juices = this.store.selectSignal(juicesFeature.selectAll);
  private readonly past = this.store.selectSignal(selectPastPresses);
  protected readonly draft = createBatchDraft('press-day', FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly heavy: ReadingHints = { heavy: true };
  protected readonly presses = PRESSES;
  private readonly ownFruits = this.store.selectSignal(selectOwnFruits);
  protected readonly fruits = computed(() => [...this.ownFruits(), ...ORCHARD_FRUIT]);
  protected readonly ripeness = RIPENESS.map((id) => ({ id, name: RIPENESS_WORDS[id] }));
  protected readonly conditions = CONDITIONS.map((id) => ({ id, name: CONDITION_WORDS[id] }));
  protected readonly ripenessWords = RIPENESS_WORDS;
  protected readonly conditionWords = CONDITION_WORDS;
  protected readonly refusal = signal<string | null>(null);
  protected readonly existing = computed(() => this.juices().find((j) => j.id === this.id()) ?? null);
  /** Fruit and runs so far, kept in the draft until they are filed. */
  private readonly sheet = computed((): Pick<Pressing, 'lots' | 'runs'> => readSheet(this.fields().sheet));
  protected readonly pressing = computed((): Pressing => ({ pressId: this.fields().press, ...this.sheet() }));
  private readonly history = computed(() => this.past().filter((p) => p.juiceId !== this.id()));
  protected readonly sums = computed(() => pressSums(this.pressing(), this.history()));
  protected readonly expected = computed(() => {
    const { massKg } = this.sums();
    if (massKg < 0.1) return null;
    const expected = attempt(() => yieldFromFruit({ massKg, pressId: this.fields().press, history: this.history() }));
    return expected.ok ? expected.value : null;
  });
  protected readonly needed = computed(() => {
    const read = readQuantity(this.units, this.fields().wanted, 'volume');
    if (read?.ok !== true) return null;
    const needed = attempt(() => fruitForVolume({ volumeL: read.value.value, pressId: this.fields().press, history: this.history() }));
    return needed.ok ? `About ${figure(needed.value.value.value, 0)} kg; ${figure(needed.value.value.high, 0)} kg to be nearly sure.` : null;
  });
  protected readonly cautions = computed(() => [
    caution('mill-press'),
    caution('pips'),
    ...(this.sheet().lots.some((l) => l.condition === 'some-rot') || this.fields().condition === 'some-rot' ? [caution('rot')] : []),
  ]);
  protected readonly usualName = computed(() => {
    const kinds = [...new Set(this.sheet().lots.map((l) => this.fruitName(l.fruitId)))];
    return kinds.length === 0 ? 'Garden mix' : kinds.slice(0, 2).join(' and ');
  });

  constructor() {
    effect(() => {
      const juice = this.existing();
      if (!juice?.pressing) return;
      const { pressing, name } = juice;
      const sheet = JSON.stringify({ lots: pressing.lots, runs: pressing.runs });
      untracked(() => this.draft.fill({ ...FIELDS, name, press: pressing.pressId, sheet, version: String(juice.version) }));
    });
  }

  protected fruitName(fruitId: string | null): string {
    return fruitId === null ? 'Garden mix' : fruitById(fruitId).name;
  }

  protected addFruit(): void {
    const read = readQuantity(this.units, this.fields().mass, 'mass', this.heavy);
    const massKg = read?.ok === true ? read.value.value / 1000 : 0;
    if (!(massKg >= 0.1 && massKg <= 2000)) {
      this.refusal.set('Write the weight of the fruit, such as 31 kg.');
      return;
    }
    const f = this.fields();
    const lot: FruitLot = {
      fruitId: f.fruitId === '' ? null : f.fruitId,
      massKg,
      ripeness: f.ripeness as FruitLot['ripeness'],
      condition: f.condition as FruitLot['condition'],
    };
    this.keep({ ...this.sheet(), lots: [...this.sheet().lots, lot] });
    this.draft.set('mass', '');
  }

  protected addRun(): void {
    const read = readQuantity(this.units, this.fields().run, 'volume');
    const volumeL = read?.ok === true ? read.value.value : 0;
    if (!(volumeL >= 0.05 && volumeL <= 500)) {
      this.refusal.set('Write how much ran off, such as 4.5 L.');
      return;
    }
    const run: PressRun = { at: this.writer.now(), volumeL, into: this.fields().into.trim() || `jug ${this.sheet().runs.length + 1}` };
    this.keep({ ...this.sheet(), runs: [...this.sheet().runs, run] });
    this.draft.fields.update((f) => ({ ...f, run: '', into: '' }));
  }

  protected dropLot(index: number): void {
    this.keep({ ...this.sheet(), lots: this.sheet().lots.filter((_, i) => i !== index) });
  }

  protected dropRun(index: number): void {
    this.keep({ ...this.sheet(), runs: this.sheet().runs.filter((_, i) => i !== index) });
  }

  private keep(sheet: Pick<Pressing, 'lots' | 'runs'>): void {
    this.refusal.set(null);
    this.draft.set('sheet', JSON.stringify(sheet));
  }

  protected print(): void {
    window.print();
  }

  protected async file(): Promise<void> {
    const { lots } = this.sheet();
    const wrong = this.draft.wrong() ?? (lots.length === 0 ? 'Weigh some fruit in first.' : null);
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    const there = this.existing();
    const main = [...lots].sort((a, b) => b.massKg - a.massKg)[0];
    const juice: StoredJuice = {
      ...(there ?? { ...NEW_JUICE, tape: TAPES[this.juices().length % TAPES.length] ?? 'straw', origin: 'pressed' as const, madeAt: this.writer.now() }),
      id: there?.id ?? newId(),
      // What the sheet was filled from: a change of another window since is shown, and not written over.
      version: there ? Number(this.fields().version || there.version) : 0,
      name: this.fields().name.trim() || this.usualName(),
      fruitId: main?.fruitId ?? null,
      fruit: main?.fruitId ? fruitById(main.fruitId).fruit : 'apple',
      volumeL: this.sums().volumeL,
      pressing: this.pressing(),
    };
    const { refused, body } = await this.resources.save({ of: 'juices', resource: juice }, 'The press sheet is kept.', this.fields());
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(this.sums().volumeL > 0 ? ['/juice', body.resource.id] : ['/juice']);
  }
}

function readSheet(text: string): Pick<Pressing, 'lots' | 'runs'> {
  const sheet = parsed(text);
  const list = (name: 'lots' | 'runs'): unknown =>
    typeof sheet === 'object' && sheet !== null ? Object.entries(sheet).find(([key]) => key === name)?.[1] : undefined;
  const [lots, runs] = [list('lots'), list('runs')];
  // The sheet was written by this page; half of one is none.
  return Array.isArray(lots) && Array.isArray(runs) ? ({ lots, runs } as Pick<Pressing, 'lots' | 'runs'>) : { lots: [], runs: [] };
}
