import { SaidPipe } from '../../../units/said.pipe';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Units } from '../../../units/units';
import type { BatchView } from '../../../state/batch-views.selectors';
import { logLines, type LogLine } from './log-lines';
import { LogWriter } from '../../../writing/log-writer';

/** Every entry of a batch, newest first; a correction keeps what was there before. */
@Component({
  selector: 'trug-log',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, RouterLink],
  template: `
    <p class="from">
      <a class="link" [routerLink]="['/batch', view().batch.id, 'again']">Make it again</a>
      <a class="link" [routerLink]="['/batch', view().batch.id, 'name']">Its name and tape</a>
      <a class="link" [routerLink]="['/batch', view().batch.id, 'import']">Readings from a table or a file</a>
    </p>
    @if (view().batch.unreadable; as unreadable) {
      <ul class="unreadable">
        @for (row of unreadable; track row.id) {
          <li>
            <span class="day">{{ row.at === null ? '' : units.day(row.at, true) }}</span>
            <p class="field-error">An entry cannot be read: {{ row.why }}. It is kept as it is, and does not count.</p>
          </li>
        }
      </ul>
    }
    <ul>
      @for (line of lines(); track line.id) {
        <li [class.struck]="line.struckOut">
          <span class="day">{{ line.day }}</span>
          <div>
            <b>{{ line.lead }}</b> {{ line.rest }}
            @if (line.note) {
              <i>{{ line.note }}</i>
            }
            @if (line.struckOut) {
              <span class="mark">struck out</span>
            }
            @if (line.issue) {
              <p class="field-error">Not counted: {{ line.issue | said }}</p>
            }
            @if (line.history.length > 0 && !line.struckOut) {
              <details>
                <summary class="link">corrected</summary>
                @for (was of line.history; track $index) {
                  <p class="quiet">before: {{ was }}</p>
                }
              </details>
            }
          </div>
          <span class="acts">
            @if (!line.struckOut) {
              @if (line.kind === 'reading') {
                <a class="link" [routerLink]="['/batch', view().batch.id, 'read', line.id]" [attr.aria-label]="'Correct ' + line.lead + ' of ' + line.day"
                  >Correct</a
                >
              }
              <a
                class="link"
                [routerLink]="['/batch', view().batch.id, 'when', line.id]"
                [attr.aria-label]="(line.kind === 'reading' ? 'Put the day of ' + line.lead + ' right, ' : 'Correct ' + line.lead + ' of ') + line.day"
                >{{ line.kind === 'reading' ? 'Its day' : 'Correct' }}</a
              >
              <button class="link" type="button" data-writes (click)="strike(line)" [attr.aria-label]="'Strike out ' + line.lead + ' of ' + line.day">
                Strike out
              </button>
            } @else {
              <button class="link" type="button" data-writes (click)="putBack(line)" [attr.aria-label]="'Put back ' + line.lead + ' of ' + line.day">
                Put back
              </button>
            }
          </span>
        </li>
      }
    </ul>
  `,
  styles: `
    .from {
      display: flex;
      flex-wrap: wrap;
      justify-content: space-between;
      gap: 0 1rem;
      margin: 0.5rem 0;
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 88px 1fr auto;
      gap: 0.25rem 1rem;
      padding: 0.5rem 0;
      border-bottom: 1px dotted var(--line);
    }
    .day {
      color: var(--quiet);
      font-variant-numeric: tabular-nums;
    }
    .struck b,
    .struck div {
      text-decoration: line-through;
      color: var(--quiet);
    }
    .mark {
      display: inline-block;
      text-decoration: none;
      font-size: 0.8125rem;
    }
    p {
      margin: 0;
    }
    .acts {
      display: flex;
      gap: 0.875rem;
      align-items: start;
    }
    .acts .link {
      padding: 0;
      font-weight: 500;
      font-size: 0.875rem;
    }
    @media (max-width: 719px) {
      li {
        grid-template-columns: 1fr auto;
      }
      li > div {
        grid-column: 1 / -1;
        grid-row: 2;
      }
    }
  `,
})
export class Log {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  protected readonly lines = computed(() => logLines(this.view(), this.units));

  protected strike(line: LogLine): void {
    const entry = this.view().log.find((e) => e.id === line.id);
    if (entry) void this.writer.strikeOut(entry, `${line.lead} is struck out. It stays in the log.`);
  }

  protected putBack(line: LogLine): void {
    const entry = this.view().log.find((e) => e.id === line.id);
    if (entry) void this.writer.putBack(entry, `${line.lead} is back.`);
  }
}
