import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { EntryPayloads } from '@trug/core';
import { actMoment } from '@trug/core/book/entry/act-moment';
import { gaugeNamed, PLAIN_STEM } from '@trug/core/matter/measure/gauge';
import { previewReading, type ReadingPreview } from '@trug/core/book/plan/preview-reading';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { countText } from '@trug/core/matter/quantity/count-text';
import { DayField } from '../../shared/field/day-field';
import { GravityField } from '../../shared/field/gravity-field';
import { numberIn, readQuantity } from '../../shared/field/quantity-field';
import { TypedLine } from '../../shared/field/typed-line';
import { injectGauges } from '../../shared/gauges';
import { Refusal } from '../../shared/refusal/refusal';
import { selectBatchViews, type BatchView } from '../../state/batch-views.selectors';
import { SaidPipe } from '../../units/said.pipe';
import { MOMENT_WORDS } from '../../units/moment-words';
import { strengthText } from '../../units/strength-text';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

const FIELDS = { gauge: '', sample: '', day: '', gravities: '{}' };

/** What was typed beside each batch, by its id, as the draft keeps it. */
function typedIn(kept: string): Readonly<Record<string, string>> {
  try {
    const read: unknown = JSON.parse(kept);
    return typeof read === 'object' && read !== null ? Object.fromEntries(Object.entries(read).filter(([, text]) => typeof text === 'string')) : {};
  } catch {
    return {};
  }
}

/** Gravities of several batches in one table, each held against its own last one, and side by side with the others. */
@Component({
  selector: 'trug-several-readings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, DayField, GravityField, TypedLine, Refusal, SaidPipe],
  templateUrl: './several-readings.html',
  styleUrl: './several-readings.scss',
})
export class SeveralReadings {
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  protected readonly units = inject(Units);
  private readonly all = this.store.selectSignal(selectBatchViews);
  protected readonly draft = createDraft('several-readings', FIELDS);
  protected readonly refusal = signal<string | null>(null);
  protected readonly gauges = injectGauges();
  private readonly gauge = computed(() => gaugeNamed(this.gauges(), this.draft.fields().gauge) ?? PLAIN_STEM);
  private readonly texts = computed(() => typedIn(this.draft.fields().gravities));
  private readonly moment = computed(() =>
    actMoment({ day: this.draft.fields().day, hour: '', now: this.writer.now(), lastEntryAt: null, zone: this.units.zone() }),
  );
  private readonly at = computed(() => {
    const moment = this.moment();
    return (moment.ok ? moment.at : null) ?? this.writer.now();
  });
  /** What stands in vessels and is read: nothing sealed in a keg. */
  private readonly views = computed(() => this.all().filter(({ state }) => state.liquid !== null && state.vessels.length > 0 && state.keg === null));
  private readonly previews = computed(() => new Map(this.views().map((view) => [view.batch.id, this.previewOf(view)])));
  protected readonly rows = computed(() =>
    this.views().map((view) => {
      const { batch, state } = view;
      const preview = this.previews().get(batch.id);
      const [question] = preview?.questions ?? [];
      const last = state.readings.at(-1)?.sg ?? null;
      return {
        id: batch.id,
        name: batch.name,
        tape: batch.tape,
        first: state.must ? this.units.gravity(gravityOf(state.must)) : '',
        last: last === null ? '' : this.units.gravity(last),
        strength: state.liquid && state.pitchedAt ? strengthText(this.units, state.liquid, state.must) : '',
        placeholder: this.units.example('gravity', 1.012),
        text: this.texts()[batch.id] ?? '',
        is: preview?.raw ? this.units.fineGravity(preview.sg ?? 1) : '',
        why: preview?.unreadable ?? question?.text ?? null,
        mayInsist: question?.canInsist === true,
      };
    }),
  );
  private readonly read = computed(() => this.views().filter(({ batch }) => (this.texts()[batch.id] ?? '').trim() !== ''));
  protected readonly told = computed(() => (this.read().length === 0 ? 'Write them down' : `Write down ${countText(this.read().length, 'reading')}`));

  private previewOf({ batch, state }: BatchView): ReadingPreview {
    const sampleC = numberIn(readQuantity(this.units, this.draft.fields().sample, 'temperature'));
    return previewReading(this.texts()[batch.id] ?? '', this.gauge(), { state, at: this.at(), sampleC, correcting: null });
  }

  protected put(batchId: string, text: string): void {
    this.refusal.set(null);
    const texts = { ...this.texts(), [batchId]: text };
    this.draft.set('gravities', JSON.stringify(Object.fromEntries(Object.entries(texts).filter(([, typed]) => typed !== ''))));
  }

  protected async file(): Promise<void> {
    const moment = this.moment();
    const each = this.read().flatMap((view) => {
      const gravity = this.previews().get(view.batch.id)?.raw ?? null;
      const payload: EntryPayloads['reading'] = { gravity, ph: null, taGPerL: null, placeC: null, insistedOn: [], bubbles: null, smell: null };
      const at = this.draft.fields().day === '' ? {} : { at: this.at() };
      return gravity === null ? [] : [{ view, act: { kind: 'reading' as const, payload, ...at } }];
    });
    const open = this.rows().find((row) => row.why !== null);
    const wrong =
      !moment.ok && moment.why !== 'before-log' ? MOMENT_WORDS[moment.why] : open ? `${open.name}: what it says beneath its line comes first.` : null;
    this.refusal.set(wrong ?? (each.length === 0 ? `Write at least one gravity, such as ${this.units.example('gravity', 1.012)}.` : null));
    if (this.refusal() !== null) return;
    this.refusal.set(await this.writer.writeEach(each, `${countText(each.length, 'reading')} written down.`, this.draft));
    if (this.refusal() === null) await this.router.navigate(['/shelf']);
  }
}
