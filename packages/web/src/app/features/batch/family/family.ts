import { SaidPipe } from '../../../units/said.pipe';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { Units } from '../../../units/units';
import { selectBatchViews, type BatchView } from '../../../state/batch-views.selectors';
import { Compare } from './compare';
import { FamilyFlow } from './family-flow';
import { familyOf } from './family-members';

/** Family: from which juice or batch it came, where it went, and its siblings side by side. */
@Component({
  selector: 'trug-family',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, RouterLink, Compare, FamilyFlow],
  template: `
    <trug-family-flow [view]="view()" />
    <trug-compare [view]="view()" />
    @if (family(); as f) {
      @if (f.from.length > 0) {
        <p>
          Poured from
          @for (p of f.from; track $index) {
            <b class="num">{{ units.volume(p.litres) }}</b
            >&ngsp;
            @if (p.id) {
              <a class="link" [routerLink]="['/batch', p.id]">{{ p.name }}</a>
            } @else {
              <span>{{ p.name }}</span>
            }
            {{ $last ? '' : '+' }}&ngsp;
          }
        </p>
      }
      @if (f.into.length > 0) {
        <p>
          Split into
          @for (p of f.into; track $index) {
            <b class="num">{{ units.volume(p.litres) }}</b> <a class="link" [routerLink]="['/batch', p.id]">{{ p.name }}</a
            >{{ $last ? '.' : ', ' }}
          }
        </p>
      }
      @if (f.siblings.length > 0) {
        <table>
          <thead>
            <tr>
              <th scope="col">Of the same juice</th>
              <th scope="col">Yeast</th>
              <th scope="col">Gravity</th>
              <th scope="col">Strength</th>
              <th scope="col">Acid</th>
              <th scope="col">pH</th>
              <th scope="col">Stands at</th>
            </tr>
          </thead>
          <tbody>
            @for (s of f.siblings; track s.id) {
              <tr [class.own]="s.own">
                <th scope="row">
                  <a class="link" [routerLink]="['/batch', s.id]">{{ s.name }}</a>
                </th>
                <td>{{ s.yeast }}</td>
                <td class="num">{{ s.sg === null ? '–' : units.gravity(s.sg) }}</td>
                <td class="num">{{ s.strength }}</td>
                <td class="num">{{ s.acid }}</td>
                <td class="num">{{ s.ph }}</td>
                <td>{{ s.says | said }}</td>
              </tr>
            }
          </tbody>
        </table>
      } @else if (f.from.length === 0) {
        <p class="quiet">It began on its own. Split it for a trial before you pitch, and its siblings will stand here beside it.</p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 0.75rem 0;
      overflow-x: auto;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: 0.9375rem;
    }
    th,
    td {
      padding: 0.4rem 0.75rem 0.4rem 0;
      border-top: 1px solid var(--line);
      text-align: left;
      white-space: nowrap;
    }
    thead th {
      color: var(--quiet);
      font-weight: 500;
    }
    .own {
      background: var(--leaf-wash);
    }
  `,
})
export class Family {
  protected readonly units = inject(Units);
  private readonly all = inject(Store).selectSignal(selectBatchViews);
  readonly view = input.required<BatchView>();
  protected readonly family = computed(() => familyOf(this.view(), this.all(), this.units.preferences().strengthSchool));
}
