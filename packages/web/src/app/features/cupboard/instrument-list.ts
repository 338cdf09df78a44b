import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import type { InstrumentDto, InstrumentKindId } from '@trug/contract/plain';
import { createDraft } from '../../writing/draft';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { TextField } from '../../shared/field/text-field';
import { newId } from '../../browser/new-id';
import { Units } from '../../units/units';
import { isInUse } from '../../state/in-use';
import { RetiredList } from './retired-list';
import { InstrumentCard } from './instrument-card';
import { INSTRUMENTS } from './instrument-words';
import { instrumentsFeature } from '../../state/resources.reducer';
import { holdToContract } from '../../writing/dto-validator';
import { ResourceWriter } from '../../writing/resource-writer';
import { SelectField } from '../../shared/field/select-field';
import { controlOver } from '../../shared/field/control-of';
import { TickField } from '../../shared/field/tick-field';
import { Refusal } from '../../shared/refusal/refusal';

const EMPTY = { kind: 'hydrometer', name: '', calibrated: '', posts: '' };
const USUAL_C = 20;

/** The maker's instruments with their checks, and a way to add one. */
@Component({
  selector: 'trug-instrument-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, InstrumentCard, RetiredList, QuantityField, TextField, SelectField, TickField, Refusal],
  templateUrl: './instrument-list.html',
  styleUrl: './instrument-list.scss',
})
export class InstrumentList {
  private readonly writer = inject(ResourceWriter);
  private readonly units = inject(Units);
  private readonly stored = inject(Store).selectSignal(instrumentsFeature.selectAll);
  protected readonly instruments = computed(() => this.stored().filter(isInUse));
  protected readonly retired = computed(() => this.stored().filter((i) => !isInUse(i)));
  protected readonly adding = signal(false);
  protected readonly kinds = INSTRUMENTS;
  protected readonly draft = createDraft('instrument', EMPTY);
  protected readonly posts = controlOver(
    false,
    computed(() => this.draft.fields().posts === 'yes'),
    (posts) => this.draft.set('posts', posts ? 'yes' : ''),
  );
  protected readonly refusal = signal<string | null>(null);
  protected readonly kind = computed(() => INSTRUMENTS.find((k) => k.id === this.draft.fields().kind) ?? INSTRUMENTS[0]);
  protected readonly usual = this.units.temperature(USUAL_C);

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.InstrumentDto,
      read: ({ name, calibrated }) => ({ name: name.trim(), calibratedAtC: numberIn(readQuantity(this.units, calibrated, 'temperature')) }),
      typedInto: { name: 'name', calibratedAtC: 'calibrated' },
    });
  }

  protected async add(): Promise<void> {
    const typed = this.draft.fields();
    const { name, calibrated, posts } = typed;
    const kind = this.kind();
    const read = readQuantity(this.units, calibrated, 'temperature');
    const wrong = this.draft.wrong();
    if (!kind || name.trim() === '' || wrong !== null) {
      this.refusal.set(wrong ?? 'Give it a name, so that you know it again.');
      return;
    }
    const resource: InstrumentDto = {
      id: newId(),
      version: 0,
      kind: kind.id satisfies InstrumentKindId,
      name: name.trim(),
      calibratedAtC: read?.ok === true ? read.value.value : USUAL_C,
      offset: 0,
      checkedOn: null,
      posts: kind.id === 'floating-hydrometer' || (kind.canPost && posts === 'yes'),
      batchId: null,
    };
    const { refused } = await this.writer.save({ of: 'instruments', resource }, `${resource.name} is in the cupboard.`);
    this.refusal.set(refused);
    if (refused === null) this.draft.clear(typed, { ...EMPTY, kind: kind.id });
  }

  protected async useAgain(id: string): Promise<void> {
    const own = this.retired().find((i) => i.id === id);
    if (own) await this.writer.save({ of: 'instruments', resource: Object.assign({}, own, { retiredOn: null }) }, `${own.name} is in use again.`);
  }
}
