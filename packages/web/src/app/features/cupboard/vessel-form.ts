import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { VESSEL_KINDS, type VesselDto, type VesselKindId } from '@trug/contract/plain';
import { LIMITS } from '@trug/core/base/errors/limits';
import { newId } from '../../browser/new-id';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Units } from '../../units/units';
import { createRecordDraft } from '../../writing/record-draft';
import { holdToContract } from '../../writing/dto-validator';
import { LogWriter } from '../../writing/log-writer';
import { ResourceWriter } from '../../writing/resource-writer';

const EMPTY = { name: '', kind: 'jar', capacity: '' };

/** A vessel's kind, name and size: of a new one, or of one that is put right. */
@Component({
  selector: 'trug-vessel-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, SelectField, TextField, QuantityField, Refusal],
  template: `
    <form class="card" (ngSubmit)="file()" [formGroup]="draft().form">
      <h3>{{ vessel() ? 'Put ' + vessel()?.name + ' right' : 'Add a vessel' }}</h3>
      <trug-select label="Kind" name="kind" formControlName="kind" [options]="kinds" />
      <trug-text label="What you call it" name="name" formControlName="name" placeholder="Back jar" />
      <trug-quantity label="Holds, to the brim" name="capacity" dimension="volume" [placeholder]="units.volume(usual().capacityL)" formControlName="capacity" />
      <trug-refusal [why]="refusal()" />
      <div class="acts">
        <button class="btn btn-main" type="submit">{{ vessel() ? 'Write it down' : 'Put it in' }}</button>
        <button class="btn" type="button" (click)="done.emit()">{{ vessel() ? 'Not yet' : 'Done' }}</button>
        @if (vessel(); as own) {
          <button class="link" type="button" (click)="retire(own)">Put it away for good</button>
        }
      </div>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 0.875rem;
    }
    h3 {
      margin: 0;
    }
  `,
})
export class VesselForm {
  private readonly writer = inject(LogWriter);
  private readonly resources = inject(ResourceWriter);
  protected readonly units = inject(Units);
  protected readonly kinds = VESSEL_KINDS;
  /** The vessel put right; null for a new one. */
  readonly vessel = input<VesselDto | null>(null);
  /** It is filed, or left as it was. */
  readonly done = output();
  protected readonly draft = createRecordDraft('vessel', this.vessel, (own): typeof EMPTY =>
    own ? { name: own.name, kind: own.kind, capacity: this.units.volume(own.capacityL) } : EMPTY,
  );
  protected readonly refusal = signal<string | null>(null);
  protected readonly usual = computed(() => VESSEL_KINDS.find((k) => k.id === this.draft().fields().kind) ?? VESSEL_KINDS[0]);

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.VesselFactsDto,
      read: ({ name, capacity }) => ({ name: name.trim(), capacityL: numberIn(readQuantity(this.units, capacity, 'volume')) }),
      typedInto: { name: 'name', capacityL: 'capacity' },
    });
  }

  protected async file(): Promise<void> {
    const typed = this.draft().fields();
    const { name, kind, capacity } = typed;
    const own = this.vessel();
    const read = readQuantity(this.units, capacity, 'volume');
    const shown = own !== null && capacity === this.units.volume(own.capacityL);
    const capacityL = shown ? own.capacityL : read === null ? this.usual().capacityL : read.ok ? read.value.value : 0;
    const { min, max } = LIMITS.vesselL;
    const wrong = this.draft().wrong();
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    if (name.trim() === '' || !(capacityL >= min && capacityL <= max)) {
      this.refusal.set(this.units.say(`Give it a name, and a size from ${min} to ${max} L.`));
      return;
    }
    const facts = { name: name.trim(), kind: kind as VesselKindId, capacityL };
    const refused = own
      ? await this.resources.changeVessel(own, facts, `${facts.name} is put right.`)
      : (await this.resources.addVessel({ id: newId(), ...facts })).refused;
    this.refusal.set(refused);
    if (refused !== null) return;
    if (!own) {
      // Jars and packets come in several: the next is asked for at once.
      this.draft().clear(typed, { ...EMPTY, kind });
      return;
    }
    this.draft().forget();
    this.done.emit();
  }

  protected async retire(own: VesselDto): Promise<void> {
    const refused = await this.resources.changeVessel(own, { retiredOn: this.units.dateOf(this.writer.now()) }, `${own.name} is put away for good.`);
    this.refusal.set(refused);
    if (refused === null) this.done.emit();
  }
}
