import { workedMust } from '@trug/core/book/state/worked-must';
import { ActHead } from '../../shared/act-head/act-head';
import { strengthText } from '../../units/strength-text';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import type { EntryPayloads, Liquid, ReadingQuestion } from '@trug/core';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft, type Draft } from '../../writing/draft';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { GravityField } from '../../shared/field/gravity-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { actMoment } from '@trug/core/book/entry/act-moment';
import { MOMENT_WORDS } from '../../units/moment-words';
import { Units } from '../../units/units';
import { injectGauges } from '../../shared/gauges';
import { DrawnStem } from './drawn-stem';
import { gaugeNamed } from '@trug/core/matter/measure/gauge';
import { previewReading } from '@trug/core/book/plan/preview-reading';
import { NO_READING, type ReadingFields } from './reading-draft';
import { SaidPipe } from '../../units/said.pipe';
import { countText } from '@trug/core/matter/quantity/count-text';
import { holdToContract } from '../../writing/dto-validator';
import { LogWriter } from '../../writing/log-writer';
import { TextField } from '../../shared/field/text-field';
import { DayField } from '../../shared/field/day-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { Refusal } from '../../shared/refusal/refusal';

/** Write down a reading, or correct one: any units, corrected as it is typed, questioned when odd, never lost. */
@Component({
  selector: 'trug-reading-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, SaidPipe, ReactiveFormsModule, RouterLink, NumberField, QuantityField, GravityField, TextField, DayField, DrawnStem, ToggleField, Refusal],
  templateUrl: './reading-page.html',
  styleUrl: './reading-page.scss',
})
export class ReadingPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  readonly entryId = input<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  protected readonly insisted = signal<readonly string[]>([]);
  protected draft: Draft<ReadingFields> = createBatchDraft('reading', NO_READING);
  protected readonly fields = computed(() => this.draft.fields());
  /** The last reading but the one that is corrected. */
  protected readonly lastReading = computed(
    () =>
      this.view()
        ?.state.readings.filter((r) => r.id !== this.entryId())
        .at(-1) ?? null,
  );
  /** Where it should end, once yeast is in. */
  protected readonly endSg = computed(() => (this.view()?.state.pitchedAt ? (this.view()?.verdict?.value.expectedEndSg ?? null) : null));
  protected readonly last = computed(() => {
    const last = this.view()?.state.readings.at(-1);
    return last ? `Last time ${this.units.gravity(last.sg)} on ${this.units.day(last.at, true)}.` : 'The first reading since it was filled.';
  });
  private readonly moment = computed(() => actMoment({ day: this.fields().day, hour: '', now: this.writer.now(), lastEntryAt: null, zone: this.units.zone() }));
  private readonly at = computed(() => {
    const moment = this.moment();
    return (moment.ok ? moment.at : null) ?? this.writer.now();
  });
  /** What it can be read with: the maker's own, and plain ones where there are none. */
  protected readonly gauges = injectGauges();
  protected readonly gauge = computed(() => gaugeNamed(this.gauges(), this.fields().instrument));
  /** What went to yeast, once it has. */
  protected readonly workedMust = computed(() => {
    const view = this.view();
    return view ? workedMust(view.state) : null;
  });
  protected readonly preview = computed(() => {
    const view = this.view();
    const { gravity, sample } = this.fields();
    const gauge = this.gauge();
    if (!view || !gauge) return null;
    const temp = readQuantity(this.units, sample, 'temperature');
    return previewReading(gravity, gauge, {
      state: view.state,
      at: this.at(),
      sampleC: temp?.ok === true ? temp.value.value : null,
      correcting: this.entryId() ?? null,
    });
  });
  protected readonly open = computed(() => this.preview()?.questions.filter((q) => !this.insisted().includes(q.id)) ?? []);
  protected readonly fell = computed(() => {
    const sg = this.preview()?.sg;
    const last = this.lastReading();
    if (sg === null || sg === undefined || !last) return null;
    const points = Math.round((last.sg - sg) * 1000);
    return points === 0 ? 'the same as last time' : points > 0 ? `${countText(points, 'point')} down` : `${countText(-points, 'point')} up`;
  });

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.PAYLOAD_DTOS.reading,
      read: ({ place, ph, ta }) => ({
        placeC: numberIn(readQuantity(this.units, place, 'temperature')),
        ph: numberOf(ph, 'ph'),
        taGPerL: numberOf(ta, 'taGPerL'),
      }),
      typedInto: { placeC: 'place', ph: 'ph', taGPerL: 'ta' },
    });
    this.draft.form.valueChanges.subscribe(() => {
      this.insisted.set([]);
      this.refusal.set(null);
    });
    // The correction starts from what the entry says now, once the entry is known.
    effect(() => {
      const view = this.view();
      const entryId = this.entryId();
      if (view && entryId !== undefined) untracked(() => this.startFrom(entryId));
    });
  }

  protected strength(drink: Liquid): string {
    return strengthText(this.units, drink, this.view()?.state.must ?? null);
  }

  protected meant(question: ReadingQuestion): void {
    if (question.suggestionSg !== null) this.draft.form.controls.gravity.setValue(question.suggestionSg.toFixed(3));
  }

  protected insist(question: ReadingQuestion): void {
    this.insisted.update((ids) => [...ids, question.id]);
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const built = this.payload();
    if (!view || typeof built === 'string') {
      this.refusal.set(typeof built === 'string' ? built : 'This batch is not loaded.');
      return;
    }
    const { note } = this.fields();
    const entryId = this.entryId();
    const act =
      entryId === undefined
        ? { kind: 'reading' as const, payload: built, note, ...(this.fields().day === '' ? {} : { at: this.at() }) }
        : {
            kind: 'corrected' as const,
            payload: { entryId, replacement: { kind: 'reading' as const, at: this.correctedAt(entryId), note, payload: built } },
            note: 'corrected',
          };
    this.refusal.set(await this.writer.write(view, [act], entryId === undefined ? 'Written down.' : 'Corrected. What it said before is kept.', this.draft));
  }

  private correctedAt(entryId: string): string {
    const standing = effectiveEntries(this.view()?.log ?? []).entries.find((e) => e.id === entryId);
    const { day } = this.fields();
    return standing && this.units.dateOf(standing.at) === day ? standing.at : this.at();
  }

  /** The payload, or why there is none yet. */
  private payload(): EntryPayloads['reading'] | string {
    const preview = this.preview();
    const { place, ph, ta, bubbles } = this.fields();
    if (!preview || preview.unreadable) return preview?.unreadable ?? 'Nothing to file yet.';
    const moment = this.moment();
    if (!moment.ok && moment.why !== 'before-log') return MOMENT_WORDS[moment.why];
    if (this.open().length > 0) return 'Answer the question beside the gravity first.';
    const wrong = this.draft.wrong();
    if (wrong !== null) return wrong;
    const placeC = numberIn(readQuantity(this.units, place, 'temperature'));
    const phValue = numberOf(ph, 'ph');
    const taGPerL = numberOf(ta, 'taGPerL');
    if (!preview.raw && phValue === null && taGPerL === null && placeC === null) return 'Write at least a gravity, a pH, an acid or a temperature.';
    return {
      gravity: preview.raw,
      ph: phValue,
      taGPerL,
      placeC,
      insistedOn: preview.questions.map((q) => q.id),
      bubbles: bubbles === 'none' || bubbles === 'some' || bubbles === 'lively' ? bubbles : null,
      smell: null,
    };
  }

  private startFrom(entryId: string): void {
    const entry = effectiveEntries(this.view()?.log ?? []).entries.find((e) => e.id === entryId);
    if (entry?.kind !== 'reading') return;
    const { gravity, ph, taGPerL, placeC, bubbles } = entry.payload;
    const degrees = (tempC: number | null): string => (tempC === null ? '' : this.units.temperature(tempC));
    this.draft.fill({
      gravity: gravity ? (gravity.instrument === 'refractometer' ? `${gravity.reading.toFixed(1)} Bx` : gravity.reading.toFixed(3)) : '',
      instrument: gravity?.instrument ?? 'hydrometer',
      sample: degrees(gravity?.sampleC ?? null),
      place: degrees(placeC),
      ph: ph === null ? '' : String(ph),
      ta: taGPerL === null ? '' : String(taGPerL),
      bubbles: bubbles ?? '',
      note: entry.note,
      day: this.units.dateOf(entry.at),
    });
  }
}
