import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { fermentableGPerL } from '@trug/core/matter/liquid/views';
import { solidsFromSg } from '@trug/core/matter/density/solids';
import { ORCHARD_FRUIT } from '@trug/core/base/reference/fruit-library';
import { placeLabels } from '../bench/reach-geometry';
import { juiceColour } from '../cylinder/juice-colour';
import type { HeldJuice } from '../juices-in-hand';
import { TRIANGLE, triangleGrid, trianglePoint } from './triangle-geometry';

/** Matter other than sugar, acid and tannin in a juice, g/L. @source as in the core: sorbitol about 5, the rest 5 */
const OTHER_G_PER_L = 10;

/** The sugar–acid–tannin triangle: the maker's juices among the cultivars of the library. */
@Component({
  selector: 'trug-sugar-acid-tannin',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + box.width + ' ' + box.height" role="img" [attr.aria-label]="says()">
      <path class="ground" [attr.d]="grid.outline" />
      @for (line of grid.inner; track line) {
        <path class="grid" [attr.d]="line" />
      }
      @for (k of library; track k.id) {
        <circle class="kind" [class.pear]="k.fruit === 'pear'" r="2.6" [attr.cx]="k.x" [attr.cy]="k.y" />
      }
      <path class="edge" [attr.d]="grid.outline" />
      <text class="corner" [attr.x]="(box.left + box.right) / 2" [attr.y]="box.top - 10" text-anchor="middle">Sugar</text>
      <text class="corner" [attr.x]="box.left - 4" [attr.y]="box.bottom + 22" text-anchor="start">Acid</text>
      <text class="corner" [attr.x]="box.right + 4" [attr.y]="box.bottom + 22" text-anchor="end">Tannin</text>
      @for (j of own(); track j.id) {
        <circle class="own" r="6.5" [attr.cx]="j.x" [attr.cy]="j.y" [style.fill]="j.colour" />
        <text class="name" [attr.x]="j.label.x" [attr.y]="j.label.y" [attr.text-anchor]="j.label.anchor">{{ j.name }}</text>
      }
    </svg>
    <p class="hint">Large: yours. Small: {{ library.length }} kinds of the library. The middle is a juice with all three in usual measure.</p>
    <button class="link" type="button" (click)="asTable.set(!asTable())">{{ asTable() ? 'Hide the figures' : 'As figures' }}</button>
    @if (asTable()) {
      <table>
        <thead>
          <tr>
            <th scope="col">Juice</th>
            <th scope="col">Sugar</th>
            <th scope="col">Acid</th>
            <th scope="col">Tannin</th>
          </tr>
        </thead>
        <tbody>
          @for (j of own(); track j.id) {
            <tr>
              <td>{{ j.name }}</td>
              <td>{{ j.sugarGPerL.toFixed(0) }} g/L</td>
              <td>{{ j.taGPerL.toFixed(1) }} g/L</td>
              <td>{{ j.tanninGPerL.toFixed(1) }} g/L</td>
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  styleUrl: './sugar-acid-tannin.scss',
})
export class SugarAcidTannin {
  readonly juices = input.required<readonly HeldJuice[]>();
  protected readonly box = TRIANGLE;
  protected readonly grid = triangleGrid();
  protected readonly asTable = signal(false);
  protected readonly library = ORCHARD_FRUIT.map((k) => {
    const [taGPerL, tanninGPerL] = [k.taGPerL[1], k.tanninGPerL[1]];
    const sugarGPerL = solidsFromSg(k.sg[1]) - taGPerL - tanninGPerL - OTHER_G_PER_L;
    return { id: k.id, fruit: k.fruit, ...trianglePoint({ sugarGPerL, taGPerL, tanninGPerL }) };
  });
  protected readonly own = computed(() => {
    const points = this.juices().map(({ juice, hand: { liquid } }) => {
      const trio = { sugarGPerL: fermentableGPerL(liquid), taGPerL: taOf(liquid), tanninGPerL: liquid.tanninGPerL };
      return { id: juice.id, name: juice.name, colour: juiceColour(liquid), ...trio, ...trianglePoint(trio) };
    });
    const labels = placeLabels(points, { width: TRIANGLE.width, height: TRIANGLE.height });
    return points.map((p, i) => ({ ...p, label: labels[i] ?? { x: p.x, y: p.y, anchor: 'middle' as const } }));
  });
  protected readonly says = computed(
    () =>
      `Sugar, acid and tannin of ${this.own()
        .map((j) => j.name)
        .join(', ')}, among ${this.library.length} kinds of fruit`,
  );
}
