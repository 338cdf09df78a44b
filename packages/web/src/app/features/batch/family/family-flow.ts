import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import type { BatchView } from '../../../state/batch-views.selectors';
import { vesselsFeature } from '../../../state/vessels.reducer';
import { Units } from '../../../units/units';
import { FLOW, flowDrawing, flowOf, type FlowBand } from './flow-geometry';

/** From fruit to bottle: what was poured into a batch and where it went, in bands as thick as their volumes. */
@Component({
  selector: 'trug-family-flow',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + drawn().height" role="img" [attr.aria-label]="spoken()">
      @for (band of drawn().from; track band.key) {
        <path [class]="'band ' + band.is" [attr.d]="band.path" />
        <text [attr.x]="left - 8" [attr.y]="band.labelY" text-anchor="end">{{ textOf(band) }}</text>
      }
      @for (band of drawn().to; track band.key) {
        <path [class]="'band ' + band.is" [attr.d]="band.path" />
        <text [attr.x]="right + 8" [attr.y]="band.labelY">{{ textOf(band) }}</text>
      }
      <rect class="own" [attr.x]="middle[0]" [attr.width]="middle[1] - middle[0]" [attr.y]="drawn().bar.y" [attr.height]="drawn().bar.height" />
      <text class="hand" [attr.x]="(middle[0] + middle[1]) / 2" [attr.y]="drawn().bar.y + drawn().bar.height / 2 + 6" text-anchor="middle">{{ name() }}</text>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    svg {
      display: block;
      width: 100%;
      min-width: 560px;
      max-width: 860px;
    }
    .band {
      fill: var(--juice);
      opacity: 0.4;
    }
    .batch {
      fill: var(--leaf);
    }
    .vessel,
    .crate {
      fill: var(--wood);
      opacity: 0.6;
    }
    .gone {
      fill: var(--quiet);
      opacity: 0.25;
    }
    .own {
      fill: var(--juice);
      opacity: 0.55;
      stroke: var(--ink);
    }
    text {
      fill: var(--ink);
      font: 500 13px var(--text);
    }
    .hand {
      font: 400 17px var(--hand);
    }
  `,
})
export class FamilyFlow {
  private readonly units = inject(Units);
  private readonly vessels = inject(Store).selectSignal(vesselsFeature.selectVesselById);
  readonly view = input.required<BatchView>();
  protected readonly width = FLOW.width;
  protected readonly left = FLOW.left;
  protected readonly right = FLOW.right;
  protected readonly middle = FLOW.middle;
  private readonly flow = computed(() => flowOf(this.view(), (id) => this.vessels().get(id)?.name ?? 'a vessel'));
  protected readonly drawn = computed(() => flowDrawing(this.flow()));
  protected readonly name = computed(() => {
    const { name } = this.view().batch;
    return name.length > 14 ? `${name.slice(0, 13)}…` : name;
  });
  protected readonly spoken = computed(() => {
    const words = (ends: readonly { readonly name: string; readonly litres: number }[]): string =>
      ends.map((e) => `${this.units.volume(e.litres)} ${e.name}`).join(', ');
    const { from, to } = this.flow();
    return `From ${words(from)} to ${words(to) || 'nothing yet'}`;
  });

  protected textOf({ name, litres }: FlowBand): string {
    return `${this.units.volumeAbout(litres)} ${name}`;
  }
}
