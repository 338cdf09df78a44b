import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Word } from '../word/word';

/** A figure of a drink as it is, and as an act would make it; null while no act is worked out. */
export interface FigureRow {
  readonly name: string;
  readonly unit: string;
  readonly before: string;
  readonly after: string | null;
}

/** The batch as it is beside what comes of an act: what changes stands out. */
@Component({
  selector: 'trug-before-after',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Word],
  template: `
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Figure</span></th>
          <th scope="col">Before</th>
          <th scope="col">After</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr [class.changed]="row.after !== null && row.after !== row.before">
            <th scope="row">
              <trug-word [label]="row.name" />&ngsp;<span class="quiet">{{ row.unit }}</span>
            </th>
            <td class="num">{{ row.before }}</td>
            <td class="num">{{ row.after ?? '–' }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      border-collapse: collapse;
      width: 100%;
    }
    th,
    td {
      padding: 0.3rem 0;
      border-top: 1px solid var(--line);
      text-align: right;
      font-weight: 500;
    }
    th:first-child {
      text-align: left;
      font-weight: 400;
    }
    .quiet {
      font-size: 0.8125rem;
    }
    .changed td:last-child {
      color: var(--russet);
      font-weight: 700;
    }
  `,
})
export class BeforeAfter {
  readonly rows = input.required<readonly FigureRow[]>();
}
