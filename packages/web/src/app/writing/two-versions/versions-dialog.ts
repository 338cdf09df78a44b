import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogContent, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { Units } from '../../units/units';
import { NOTHING, versionRows } from './version-rows';

/** Two versions of one thing. */
export interface VersionsAsked {
  /** Its name. */
  readonly about: string;
  readonly mine: Readonly<Record<string, unknown>>;
  readonly theirs: Readonly<Record<string, unknown>>;
  /** Whether it is an entry of a log, which is never overwritten. */
  readonly entry: boolean;
}

/** What the maker chose. */
export interface VersionsChosen {
  /** Fields that shall be as they were typed here. */
  readonly mine: readonly string[];
  readonly entry: 'keep' | 'replace' | 'beside' | null;
}

/** Two versions of the same thing, side by side: the maker keeps one, the other, or takes of each. */
@Component({
  selector: 'trug-versions-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatDialogTitle, MatDialogContent, MatDialogActions, MatRadioGroup, MatRadioButton],
  template: `
    <h2 matDialogTitle>Two versions of {{ asked.about }}</h2>
    <mat-dialog-content>
      <p>
        {{
          asked.entry
            ? 'What you sent first had arrived after all. It is in the log; what you have typed since is not.'
            : 'It was changed in the meantime, in another window or by an earlier try that had arrived after all.'
        }}
      </p>
      <table>
        <thead>
          <tr>
            <td></td>
            <th scope="col">{{ asked.entry ? 'In the log' : 'As it is stored' }}</th>
            <th scope="col">As you have it here</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows; track row.field) {
            <tr>
              <th scope="row" [id]="'row-' + row.field">{{ row.label }}</th>
              @if (asked.entry) {
                <td>{{ row.theirs }}</td>
                <td>{{ row.mine }}</td>
              } @else {
                <td colspan="2">
                  <mat-radio-group
                    [attr.aria-labelledby]="'row-' + row.field"
                    [value]="mine().includes(row.field) ? 'mine' : 'theirs'"
                    (change)="take(row.field, $event.value === 'mine')"
                  >
                    <mat-radio-button value="theirs">{{ row.theirs }}</mat-radio-button>
                    <mat-radio-button value="mine">{{ row.mine }}</mat-radio-button>
                  </mat-radio-group>
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </mat-dialog-content>
    <mat-dialog-actions>
      @if (asked.entry) {
        <button class="btn btn-main" type="button" (click)="close('replace')">Put mine in its place</button>
        <button class="btn" type="button" (click)="close('beside')">Keep both</button>
        <button class="btn" type="button" (click)="close('keep')">Keep what is in the log</button>
      } @else {
        <button class="btn btn-main" type="button" (click)="close(null)">{{ says() }}</button>
      }
      <button class="link" type="button" (click)="dialog.close(null)">Not yet</button>
    </mat-dialog-actions>
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th {
      text-align: left;
      font-weight: 600;
    }
    thead th {
      color: var(--quiet);
      width: 38%;
    }
    td,
    th {
      padding: 0.5rem 0.75rem 0.5rem 0;
      border-bottom: 1px dotted var(--line);
      vertical-align: top;
      overflow-wrap: anywhere;
    }
    mat-radio-group {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.5rem;
    }
    mat-dialog-actions {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      padding: 1rem 1.5rem 1.25rem;
    }
  `,
})
export class VersionsDialog {
  protected readonly asked = inject<VersionsAsked>(MAT_DIALOG_DATA);
  protected readonly dialog = inject<MatDialogRef<VersionsDialog, VersionsChosen | null>>(MatDialogRef);
  protected readonly rows = versionRows(this.asked.mine, this.asked.theirs, inject(Units));
  /** What is stored is kept where nothing stands here: it is likelier that it was added there than taken away here. */
  protected readonly mine = signal<readonly string[]>(this.rows.filter((row) => row.mine !== NOTHING).map((row) => row.field));
  protected readonly says = computed(() =>
    this.mine().length === this.rows.length ? 'Take mine' : this.mine().length === 0 ? 'Take what is stored' : 'Join them as ticked',
  );

  protected take(field: string, mine: boolean): void {
    this.mine.update((all) => (mine ? [...all.filter((f) => f !== field), field] : all.filter((f) => f !== field)));
  }

  protected close(entry: VersionsChosen['entry']): void {
    this.dialog.close({ mine: this.mine(), entry });
  }
}
