import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { HttpClient } from '@angular/common/http';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { API_PATHS, type ReadingsReply } from '@trug/contract/plain';
import { COLUMN_ROLES, guessColumns, type ColumnRole, type TableGuess } from '@trug/core/book/device/guess-columns';
import { readingsFromTable } from '@trug/core/book/device/readings-from-table';
import { firstValueFrom } from 'rxjs';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft } from '../../writing/draft';
import { Says } from '../../writing/says';
import { Units } from '../../units/units';
import { injectGauges, stemsOf } from '../../shared/gauges';
import { ROLE_NAMES } from './role-names';
import { readingActs } from './reading-acts';
import { countText } from '@trug/core/matter/quantity/count-text';
import { instrumentsFeature } from '../../state/resources.reducer';
import { problemOf } from '../../state/trug-api';
import { LogWriter } from '../../writing/log-writer';
import { ChoiceField } from '../../shared/field/choice-field';
import { controlOver } from '../../shared/field/control-of';
import { FileField } from '../../shared/field/file-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';

/** Rows shown of what was understood, and of what was refused. */
const SHOWN_ROWS = 8;
const SHOWN_REFUSED = 5;
/** One request takes this many. */
const AT_ONCE = 5000;
/** The log takes this many by hand; more is a device's work. */
const MOST_FOR_LOG = 200;

/** Readings out of a table: pasted or from a file, columns guessed, everything shown before anything is written. */
@Component({
  selector: 'trug-import-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, ReactiveFormsModule, RouterLink, ChoiceField, FileField, SelectField, TextField, Refusal],
  templateUrl: './import-page.html',
  styleUrl: './import-page.scss',
})
export class ImportPage {
  private readonly store = inject(Store);
  private readonly http = inject(HttpClient);
  private readonly router = inject(Router);
  private readonly says = inject(Says);
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('import', { text: '', into: 'log', readWith: '' });
  protected readonly rows = signal<readonly (readonly string[])[]>([]);
  /** What the maker set instead of the guess. */
  private readonly chosen = signal<Partial<TableGuess>>({});
  protected readonly refusal = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly roles = COLUMN_ROLES.map((id) => ({ id, name: ROLE_NAMES[id] }));
  private readonly instruments = this.store.selectSignal(instrumentsFeature.selectAll);
  protected readonly devices = computed(() => this.instruments().filter((i) => i.posts));
  protected readonly guess = computed((): TableGuess => ({ ...guessColumns(this.rows()), ...this.chosen() }));
  protected readonly table = computed(() => readingsFromTable(this.rows(), this.guess(), Date.parse(this.writer.now())));
  protected readonly head = computed(() => (this.guess().hasHeader ? (this.rows()[0] ?? []) : []));
  protected readonly body = computed(() => this.rows().slice(this.guess().hasHeader ? 1 : 0, SHOWN_ROWS + 1));
  protected readonly refused = computed(() => this.table().refused.slice(0, SHOWN_REFUSED));
  protected readonly moreRefused = computed(() => Math.max(0, this.table().refused.length - SHOWN_REFUSED));
  protected readonly summary = computed(() => {
    const { readings } = this.table();
    const [first, last] = [readings[0], readings.at(-1)];
    if (!first || !last) return null;
    const day = (ms: number): string => `${this.units.day(new Date(ms).toISOString())} ${this.units.dateOf(new Date(ms).toISOString()).slice(0, 4)}`;
    const sgs = readings.flatMap((r) => r.sg ?? []);
    const gravity = sgs.length === 0 ? '' : `, gravity from ${this.units.gravity(sgs[0] ?? 1)} to ${this.units.gravity(sgs.at(-1) ?? 1)}`;
    return `${countText(readings.length, 'reading')} from ${day(first.atMs)} to ${day(last.atMs)}${gravity}.`;
  });
  /** Hydrometers the gravities may stand uncorrected by. */
  private readonly allGauges = injectGauges();
  private readonly gauges = computed(() => stemsOf(this.allGauges()));
  protected readonly readWith = computed(() =>
    this.gauges().map((g) => ({ id: g.id, name: `as the ${g.name.toLowerCase()} showed them, each at the temperature beside it` })),
  );
  protected readonly asksReadWith = computed(() => this.draft.fields().into === 'log' && this.forLog().some((r) => r.sg !== null && r.tempC !== null));
  protected readonly forLog = computed(() => this.table().readings.filter((r) => r.sg !== null || r.ph !== null));

  /** What each column holds, as guessed or as set by hand. */
  protected readonly roleControls = computed(() =>
    this.guess().roles.map((role, column) => {
      const control = new FormControl<string>(role, { nonNullable: true });
      control.valueChanges.subscribe((set) => this.setRole(column, COLUMN_ROLES.find((r) => r === set) ?? 'ignore'));
      return control;
    }),
  );
  protected readonly order = controlOver<string>(
    '',
    computed(() => this.guess().dateOrder),
    (order) => this.setOrder(order === 'month-first' ? 'month-first' : 'day-first'),
  );
  protected readonly intos = computed(() => [
    { id: 'log', name: `my own readings, in the log (${this.forLog().length})` },
    ...this.devices().map(({ id, name }) => ({ id, name: `what ${name} sent (${this.table().readings.length})` })),
  ]);

  constructor() {
    if (this.draft.fields().text !== '') void this.parse(this.draft.fields().text);
    this.draft.form.controls.text.valueChanges.subscribe((text) => {
      this.chosen.set({});
      this.refusal.set(null);
      void this.parse(text);
    });
  }

  protected async picked(file: File): Promise<void> {
    this.draft.form.controls.text.setValue(await file.text());
  }

  private setRole(column: number, role: ColumnRole): void {
    const roles = this.guess().roles.map((was, i) => (i === column ? role : was === role && role !== 'ignore' ? 'ignore' : was));
    this.chosen.update((now) => ({ ...now, roles }));
  }

  private setOrder(order: TableGuess['dateOrder']): void {
    this.chosen.update((now) => ({ ...now, dateOrder: order, dateOrderSure: true }));
  }

  protected async file(): Promise<void> {
    if (this.table().readings.length === 0) {
      this.refusal.set('There is no reading in it yet. Paste rows with a date and at least one figure.');
      return;
    }
    this.busy.set(true);
    const { into } = this.draft.fields();
    const refused = into === 'log' ? await this.intoLog() : await this.intoDevice(into);
    this.busy.set(false);
    this.refusal.set(refused);
    if (refused === null) this.draft.forget();
  }

  private async parse(text: string): Promise<void> {
    const { parse } = (await import('papaparse')).default;
    this.rows.set(parse<string[]>(text.trim(), { skipEmptyLines: true }).data);
  }

  private async intoLog(): Promise<string | null> {
    const view = this.view();
    const readings = this.forLog();
    if (!view) return 'This batch is not loaded.';
    if (readings.length > MOST_FOR_LOG) {
      return `${readings.length} readings are too many for the log, which is for what you read yourself: ${MOST_FOR_LOG} at most. Put them down as a device’s readings.`;
    }
    if (readings.length === 0) return 'The log takes gravity and pH, and there is neither in this table.';
    const gauge = this.asksReadWith() ? (this.gauges().find((g) => g.id === this.draft.fields().readWith) ?? null) : null;
    return this.writer.write(view, readingActs(readings, gauge), `${countText(readings.length, 'reading')} written down.`);
  }

  private async intoDevice(deviceId: string): Promise<string | null> {
    const readings = this.table().readings.map(({ atMs, sg, tempC, ph, massG }) => ({
      at: new Date(atMs).toISOString(),
      ...(sg === null ? {} : { sg }),
      ...(tempC === null ? {} : { tempC }),
      ...(ph === null ? {} : { ph }),
      ...(massG === null ? {} : { massG }),
    }));
    let stored = 0;
    try {
      for (let i = 0; i < readings.length; i += AT_ONCE) {
        const part = { batchId: this.id(), readings: readings.slice(i, i + AT_ONCE) };
        stored += (await firstValueFrom(this.http.post<ReadingsReply>(`${API_PATHS.devices}/${deviceId}/readings`, part))).stored;
      }
    } catch (error) {
      return `${problemOf(error).detail}${stored > 0 ? ` ${stored} were stored before that.` : ''}`;
    }
    this.says.note(`${countText(stored, 'reading')} written down${stored < readings.length ? `; ${readings.length - stored} were there already` : ''}.`);
    await this.router.navigate(['/batch', this.id()]);
    return null;
  }
}
