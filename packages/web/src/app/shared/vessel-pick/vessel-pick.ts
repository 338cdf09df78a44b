import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { Units } from '../../units/units';
import { AddVessel } from '../add-vessel/add-vessel';
import { SPLASH_L, toggled, type PickableVessel, type PickedVessels } from './picked-vessels';

/** Into which vessels, with how full each becomes; one can be added on the way. */
@Component({
  selector: 'trug-vessel-pick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AddVessel, MatCheckbox],
  template: `
    <fieldset>
      <legend>Into</legend>
      @for (v of free(); track v.id) {
        <mat-checkbox [disableRipple]="true" [checked]="picked().picked.includes(v.id)" (change)="chosen.emit(toggledBy(v.id))">
          {{ v.name }} <span class="quiet">{{ units.volume(v.capacityL) }}{{ v.clean ? '' : ', to be cleaned first' }}</span>
          @if (fillOf(v.id); as fill) {
            &ngsp;<b class="num">{{ units.volumeAbout(fill) }}</b>
          }
        </mat-checkbox>
      } @empty {
        <p class="hint">No vessel is free. Empty one, or add another.</p>
      }
      <trug-add-vessel [open]="free().length === 0" [forL]="totalL()" (added)="pick($event)" />
    </fieldset>
    <p class="hint" [class.over]="picked().picked.length > 0 && picked().overL > splashL">{{ says() }}</p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.75rem;
    }
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 1.25rem;
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      font-weight: 600;
      padding: 0;
    }
    p {
      margin: 0;
    }
    .over {
      color: var(--danger);
      font-weight: 600;
    }
  `,
})
export class VesselPick {
  protected readonly units = inject(Units);
  readonly free = input.required<readonly PickableVessel[]>();
  readonly picked = input.required<PickedVessels>();
  /** What is to be filled, L. */
  readonly totalL = input.required<number>();
  /** Share of a vessel that it may fill: what will foam leaves room. */
  readonly share = input(1);
  /** The choice as a draft keeps it. */
  readonly chosen = output<string>();
  protected readonly splashL = SPLASH_L;
  protected readonly says = computed(() => {
    const { overL, emptyL, fills, picked } = this.picked();
    if (picked.length === 0 && overL > SPLASH_L) return `Choose where its ${this.units.volume(Math.round(overL * 100) / 100)} go.`;
    if (overL > SPLASH_L) return `${this.units.volume(Math.round(overL * 100) / 100)} find no room. Choose another vessel.`;
    const above = this.units.volumeAbout(emptyL);
    return fills.length > 0 && emptyL < (this.totalL() + emptyL) * (1 - this.share()) - SPLASH_L
      ? `${emptyL < SPLASH_L ? 'No room above it' : `Only ${above} above it`} is too little for foam: leave about a tenth empty, or fit a blow-off tube.`
      : emptyL < SPLASH_L
        ? 'It fills them to the brim.'
        : `${above} stay empty above it.`;
  });

  protected fillOf(id: string): number | null {
    return this.picked().fills.find((f) => f.vesselId === id)?.volumeL ?? null;
  }

  protected toggledBy(id: string): string {
    return toggled(this.picked().picked, id);
  }

  /** A vessel that was just added, unless it is chosen by itself as the one that fits. */
  protected pick(id: string): void {
    if (!this.picked().picked.includes(id)) this.chosen.emit(this.toggledBy(id));
  }
}
