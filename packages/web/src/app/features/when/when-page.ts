import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Entry } from '@trug/core';
import { caution } from '@trug/core/base/cautions/catalogue';
import { amountsOf, withAmounts, type EntryAmount } from '@trug/core/book/entry/entry-amounts';
import { contentOf } from '@trug/core/book/entry/take-back';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import type { EntryPayloads, Replacement } from '@trug/core/book/entry/entry';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { whatFollows } from '@trug/core/book/log/what-follows';
import { parseHour } from '@trug/core/matter/quantity/hour';
import { momentIn } from '@trug/core/matter/quantity/zone';
import { ActHead } from '../../shared/act-head/act-head';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { CautionList } from '../../shared/caution/caution-list';
import { injectBatchView } from '../../state/batch-of-page';
import { settingsFeature } from '../../state/settings.reducer';
import { vesselsFeature } from '../../state/vessels.reducer';
import { MOMENT_WORDS } from '../../units/moment-words';
import { Units } from '../../units/units';
import { DateField } from '../../shared/field/date-field';
import { NO_DAY } from '../../shared/field/no-day';
import { NumberField } from '../../shared/field/number-field';
import { QuantityField } from '../../shared/field/quantity-field';
import { TextField } from '../../shared/field/text-field';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';
import { fieldOf, readAmount, saidAmount } from './amount-field';
import { followRows, turnWords } from './follows-words';

const text = (): FormControl<string> => new FormControl('', { nonNullable: true });

/** An entry put right: its day and hour, the amounts it states and its note, or struck out, with what follows from it before it is filed. */
@Component({
  selector: 'trug-when-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, BeforeAfter, CautionList, ReactiveFormsModule, RouterLink, DateField, MatCheckbox, NumberField, QuantityField, TextField, Refusal],
  templateUrl: './when-page.html',
  styleUrl: './when-page.scss',
})
export class WhenPage {
  private readonly writer = inject(LogWriter);
  private readonly store = inject(Store);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  private readonly settings = this.store.selectSignal(settingsFeature.selectSettings);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  readonly entryId = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  /** The entry as it stands. */
  protected readonly entry = computed(() => effectiveEntries(this.view()?.log ?? []).entries.find((e) => e.id === this.entryId()) ?? null);
  private readonly wasCorrected = computed(() => effectiveEntries(this.view()?.log ?? []).corrections.has(this.entryId()));
  /** What takes an entry's place begins as what it says. */
  private readonly stands = computed((): Replacement | null => {
    const entry = this.entry();
    return entry && contentOf(entry);
  });
  protected readonly form = new FormGroup({ day: text(), hour: text(), note: text(), amounts: new FormRecord<FormControl<string>>({}) });
  protected readonly struck = signal(false);
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.getRawValue() });
  /** The amounts it states; an empty field leaves one as it is. */
  protected readonly amounts = computed(() => {
    const stands = this.stands();
    return stands
      ? amountsOf(stands).map((amount) => ({ ...amount, ...fieldOf(amount.measure), label: this.labelOf(amount), was: saidAmount(amount, this.units) }))
      : [];
  });
  /** The correction as the form has it; null while something in it cannot be used, and while it would change nothing. */
  private readonly correction = computed((): EntryPayloads['corrected'] | null => {
    this.typed();
    const stands = this.stands();
    if (!stands) return null;
    if (this.struck()) return { entryId: this.entryId(), replacement: null };
    const read = this.replacement(stands);
    return typeof read === 'string' || read === stands ? null : { entryId: this.entryId(), replacement: read };
  });
  protected readonly follows = computed(() => {
    const [view, correction] = [this.view(), this.correction()];
    if (!view || !correction) return null;
    return whatFollows(view, correction, this.writer.now(), { school: this.settings().strengthSchool });
  });
  protected readonly rows = computed(() => {
    const follows = this.follows();
    return follows ? followRows(follows, this.units) : [];
  });
  protected readonly turns = computed(() => turnWords(this.follows()?.turns ?? [], this.view()?.log ?? [], this.units));
  /** Bottles that hold more gas than the log thought when they were filled. */
  protected readonly cautions = computed(() =>
    this.follows()?.turns.some((t) => t.is === 'fizz' && t.toVolumes > t.fromVolumes) === true ? [caution('burst-glass')] : [],
  );

  constructor() {
    effect(() => {
      const stands = this.stands();
      if (stands) untracked(() => this.startFrom(stands));
    });
  }

  protected words(entry: Entry): string {
    const { lead, rest } = describeEntry(entry, this.units.preferences());
    return `${lead} ${rest}`.trim();
  }

  protected async file(): Promise<void> {
    const [view, stands] = [this.view(), this.stands()];
    if (!view || !stands) return;
    const right = this.struck() ? null : this.replacement(stands);
    if (typeof right === 'string') {
      this.refusal.set(right);
      return;
    }
    // What is so already may have been filed before, its answer lost: it goes out as it did then, and is known.
    if (right === stands && !this.form.dirty && !this.wasCorrected()) {
      this.refusal.set('Nothing is different yet. Change its day, an amount or the note, or say that it never happened.');
      return;
    }
    const payload = { entryId: this.entryId(), replacement: right } satisfies EntryPayloads['corrected'];
    const said = this.struck() ? 'Struck out. It stays in the log.' : 'Put right. What it said before is kept.';
    this.refusal.set(await this.writer.write(view, [{ kind: 'corrected', payload, note: this.struck() ? 'struck out' : 'put right' }], said));
  }

  /** What takes the entry's place, itself where nothing is another; or why something typed cannot be used. */
  private replacement(stands: Replacement): Replacement | string {
    const { day, hour, note, amounts } = this.form.getRawValue();
    const clock = parseHour(hour);
    if (day === '' || day === NO_DAY) return MOMENT_WORDS['no-day'];
    if (clock === null) return MOMENT_WORDS['no-hour'];
    const values = new Map<string, number>();
    for (const amount of this.amounts()) {
      const read = readAmount(amount, amounts[amount.key] ?? '', this.units);
      if (typeof read === 'string') return read;
      if (read !== null) values.set(amount.key, read);
    }
    const isSameHour = day === this.units.dateOf(stands.at) && hour === this.units.hour(stands.at);
    const amended = withAmounts(stands, values);
    const at = isSameHour ? stands.at : momentIn(day, clock, this.units.zone());
    return amended === stands && at === stands.at && note === stands.note ? stands : { ...amended, at, note };
  }

  private labelOf({ label, measure, vesselId }: EntryAmount): string {
    const vessel = vesselId === undefined ? undefined : this.vessels().get(vesselId);
    return this.units.say(vessel ? `In ${vessel.name}` : measure === 'mg/L' ? `${label}, mg/L` : label);
  }

  /** The maker's own day and hour; an untouched form follows what another window puts right. */
  private startFrom(stands: Replacement): void {
    if (this.form.dirty) return;
    for (const { key } of amountsOf(stands)) this.form.controls.amounts.setControl(key, text());
    this.form.patchValue({ day: this.units.dateOf(stands.at), hour: this.units.hour(stands.at), note: stands.note });
  }
}
