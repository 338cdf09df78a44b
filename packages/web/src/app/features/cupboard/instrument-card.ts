import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { API_PATHS, type InstrumentDto, type RunningStandIn } from '@trug/contract/plain';
import { checkInstrument, INSTRUMENT_CHECKS } from '@trug/core/book/device/instrument-check';
import { plainNumber } from '../../shared/field/plain-number';
import { TextField } from '../../shared/field/text-field';
import { Units } from '../../units/units';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { DeviceApi } from './device-api';
import { Rename } from './rename';
import { checkedText, INSTRUMENTS, offsetText } from './instrument-words';
import { SaidPipe } from '../../units/said.pipe';
import { appFeature } from '../../state/app.reducer';
import { ResourceWriter } from '../../writing/resource-writer';
import { controlOver } from '../../shared/field/control-of';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

/** How fast a stand-in may play, and how often it measures. */
const PACES = [
  { id: '0.5', name: 'half a day each second' },
  { id: '2', name: 'two days each second' },
  { id: '10', name: 'ten days each second' },
] as const;
const EVERY_MINUTES = 15;
const LOOK_AGAIN_MS = 1000;
/** A plain water check is done at the temperature of the room. */
const ROOM_C = 20;

/** One instrument: what it reads off by, its check, and where it stands when it sends readings by itself. */
@Component({
  selector: 'trug-instrument-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, RouterLink, TextField, SelectField, Rename, Refusal],
  templateUrl: './instrument-card.html',
  styleUrl: './instrument-card.scss',
})
export class InstrumentCard {
  private readonly store = inject(Store);
  private readonly writer = inject(ResourceWriter);
  private readonly api = inject(DeviceApi);
  private readonly units = inject(Units);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly views = this.store.selectSignal(selectBatchViews);
  readonly card = input.required<InstrumentDto>();
  protected readonly paces = PACES;
  protected readonly pace = new FormControl<string>(PACES[1].id, { nonNullable: true });
  protected readonly checkForm = new FormGroup({ shown: new FormControl('', { nonNullable: true }) });
  /** Where it is said to stand and not yet written down; null while nothing else is said. */
  protected readonly asked = signal<string | null>(null);
  protected readonly standsIn = controlOver<string>(
    '',
    computed(() => this.asked() ?? this.card().batchId ?? ''),
    (batchId) => this.asked.set(batchId === (this.card().batchId ?? '') ? null : batchId),
  );
  protected readonly checking = signal(false);
  protected readonly changing = signal(false);
  protected readonly forgetting = signal(false);
  protected readonly said = signal<string | null>(null);
  protected readonly refusal = signal<string | null>(null);
  protected readonly run = signal<RunningStandIn | null>(null);
  private timer: ReturnType<typeof setTimeout> | undefined;
  protected readonly facts = computed(() => {
    const card = this.card();
    const { against, decimals, truth, unit } = INSTRUMENT_CHECKS[card.kind];
    return {
      kind: INSTRUMENTS.find((k) => k.id === card.kind)?.name ?? '',
      offset: offsetText(card),
      checked: checkedText(card, this.units.dateOf(this.now())),
      trueAt: card.kind === 'hydrometer' ? `true at ${this.units.temperature(card.calibratedAtC)}` : '',
      question: `In ${against}${unit === 'SG' ? ` at ${this.units.temperature(ROOM_C)}` : ''} it shows`,
      hint: truth.toFixed(decimals),
    };
  });
  protected readonly address = computed(() => `POST ${location.origin}${API_PATHS.devices}/${this.card().id}/readings`);
  /** Batches it can stand in: those with something in a vessel. */
  protected readonly batches = computed(() =>
    this.views().flatMap(({ batch, state }) => (state.liquid !== null && state.keg === null ? [{ id: batch.id, name: batch.name }] : [])),
  );
  protected readonly reached = computed(() => {
    const run = this.run();
    return run ? (run.trouble ?? `has played to ${this.units.day(run.reached)}`) : null;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
    // What runs is asked once the card is known.
    setTimeout(() => this.card().posts && void this.look());
  }

  protected async check(): Promise<void> {
    const card = this.card();
    const shown = plainNumber(this.checkForm.getRawValue().shown);
    const found = checkInstrument(card.kind, shown ?? NaN, { calibratedAtC: card.calibratedAtC, sampleC: ROOM_C });
    this.said.set(found.text);
    if (!found.ok) return;
    await this.save({ offset: found.offset, checkedOn: this.units.dateOf(this.now()) });
    this.checking.set(false);
    this.checkForm.reset();
  }

  protected async rename(name: string): Promise<void> {
    await this.save({ name });
    this.changing.set(false);
  }

  protected retire(): Promise<void> {
    return this.save({ retiredOn: this.units.dateOf(this.now()) });
  }

  protected async standIn(): Promise<void> {
    const batchId = this.asked();
    await this.save({ batchId: batchId === '' ? null : batchId });
    this.asked.set(null);
  }

  protected async start(): Promise<void> {
    this.refusal.set(await this.api.start(this.card().id, Number(this.pace.value), EVERY_MINUTES));
    await this.look();
  }

  protected async stop(): Promise<void> {
    await this.api.stop(this.card().id);
    await this.look();
  }

  /** Asked twice, since it cannot be undone. */
  protected async forget(): Promise<void> {
    const { id, batchId } = this.card();
    if (batchId === null) return;
    if (!this.forgetting()) {
      this.forgetting.set(true);
      return;
    }
    this.forgetting.set(false);
    await this.stop();
    const refused = await this.api.forget(id, batchId);
    this.refusal.set(refused);
    if (refused === null) this.said.set('What it sent about this batch is taken out. The log is as it was.');
  }

  private async save(changes: Partial<Pick<InstrumentDto, 'name' | 'offset' | 'checkedOn' | 'batchId' | 'retiredOn'>>): Promise<void> {
    const resource = Object.assign({}, this.card(), changes);
    const said = changes.retiredOn ? `${resource.name} is put away for good.` : `${resource.name} is kept as it is now.`;
    this.refusal.set((await this.writer.save({ of: 'instruments', resource }, said)).refused);
  }

  private async look(): Promise<void> {
    clearTimeout(this.timer);
    const running = await this.api.running().catch(() => []);
    const own = running.find((r) => r.deviceId === this.card().id) ?? null;
    this.run.set(own);
    if (own) this.timer = setTimeout(() => void this.look(), LOOK_AGAIN_MS);
  }
}
