import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { VESSEL_KINDS, type VesselKindId } from '@trug/contract/plain';
import { smallestWithFoamRoom } from '@trug/core/finish/rack/fill-evenly';
import { newId } from '../../browser/new-id';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { holdToContract } from '../../writing/dto-validator';
import { ResourceWriter } from '../../writing/resource-writer';
import { numberIn, QuantityField, readQuantity } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { Refusal } from '../refusal/refusal';

const EMPTY = { kind: '', name: '', capacity: '' };
const STILL = VESSEL_KINDS.filter((k) => k.id !== 'keg');
const LARGEST = STILL.reduce((most, k) => (k.capacityL > most.capacityL ? k : most));

/** A vessel put in the cupboard from where one is chosen, so that no page ends for want of one. It may stand within a form. */
@Component({
  selector: 'trug-add-vessel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, SelectField, TextField, QuantityField, Refusal],
  template: `
    <details [open]="open()">
      <summary class="link">{{ kind() === 'keg' ? 'Add a keg' : 'Add a vessel' }}</summary>
      <div class="fields" [formGroup]="draft.form">
        @if (kind() === null) {
          <trug-select label="Kind" name="newKind" formControlName="kind" [usual]="chosen().id" [options]="kinds()" />
        }
        <trug-text label="What you call it" name="newName" formControlName="name" [placeholder]="usualName()" />
        <trug-quantity
          label="Holds, to the brim"
          name="newCapacity"
          dimension="volume"
          [placeholder]="units.volume(chosen().capacityL)"
          formControlName="capacity"
        />
      </div>
      <trug-refusal [why]="refusal()" />
      <button class="btn" type="button" (click)="add()">Put it in the cupboard</button>
    </details>
  `,
  styles: `
    /* A line of its own, below what is there. */
    :host {
      display: block;
      flex: 1 1 100%;
      grid-column: 1 / -1;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(11rem, 100%), 1fr));
      gap: 0.75rem 1rem;
      margin-block: 0.75rem;
    }
  `,
})
export class AddVessel {
  private readonly writer = inject(ResourceWriter);
  protected readonly units = inject(Units);
  /** Whether it is open at once, as where no vessel is free. */
  readonly open = input(false);
  /** What it should hold with room for foam, L; 0 while nobody knows. */
  readonly forL = input(0);
  /** The only kind that will do; null for any. */
  readonly kind = input<VesselKindId | null>(null);
  /** The id of a vessel that is in the cupboard now. */
  readonly added = output<string>();
  protected readonly draft = createDraft('add-vessel', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  protected readonly kinds = computed(() => VESSEL_KINDS.map(({ id, name, capacityL }) => ({ id, name: `${name}, ${this.units.volume(capacityL)}` })));
  protected readonly chosen = computed(() => {
    const wanted = this.kind() ?? this.draft.fields().kind;
    return VESSEL_KINDS.find((k) => k.id === wanted) ?? smallestWithFoamRoom(this.forL(), STILL) ?? LARGEST;
  });
  protected readonly usualName = computed(() => `My ${this.chosen().name}`);

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.VesselFactsDto,
      read: ({ name, capacity }) => ({ name: name.trim() || this.usualName(), capacityL: numberIn(readQuantity(this.units, capacity, 'volume')) }),
      typedInto: { name: 'name', capacityL: 'capacity' },
    });
  }

  protected async add(): Promise<void> {
    const { id: kind, capacityL } = this.chosen();
    const { name, capacity } = this.draft.fields();
    const wrong = this.draft.wrong();
    this.refusal.set(wrong);
    if (wrong !== null) return;
    const vessel = { id: newId(), name: name.trim() || this.usualName(), kind, capacityL: numberIn(readQuantity(this.units, capacity, 'volume')) ?? capacityL };
    const { refused, body } = await this.writer.addVessel(vessel);
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.fields.set(EMPTY);
    this.added.emit(body.id);
  }
}
