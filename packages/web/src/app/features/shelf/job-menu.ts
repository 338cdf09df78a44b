import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Store } from '@ngrx/store';
import type { Job } from '@trug/core';
import { mayDoWithout, putOffDays, putOffOnce } from '@trug/core/book/plan/put-off';
import { countText } from '@trug/core/matter/quantity/count-text';
import { Clock } from '../../state/clock';
import { settingsFeature } from '../../state/settings.reducer';
import { ResourceWriter } from '../../writing/resource-writer';

/** Spans that have a name of their own. */
const PUT_OFF_WORDS: Readonly<Record<number, string>> = { 1: 'until tomorrow', 7: 'for a week', 30: 'for a month', 182: 'for half a year' };

/** What else can be done with a job than doing it: put it off, or do without it. */
@Component({
  selector: 'trug-job-menu',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatMenu, MatMenuItem, MatMenuTrigger],
  template: `
    <button class="more" type="button" [matMenuTriggerFor]="menu" [attr.aria-label]="'Put off: ' + job().title"><span aria-hidden="true">⋯</span></button>
    <mat-menu #menu xPosition="before">
      @for (days of choices(); track days) {
        <button mat-menu-item disableRipple type="button" (click)="putOff(days)">Put off {{ wordOf(days) }}</button>
      }
      @if (dispensable()) {
        <button mat-menu-item disableRipple type="button" (click)="putOff(null)">Not for me</button>
      }
    </mat-menu>
  `,
  styles: `
    .more {
      display: grid;
      place-items: center;
      width: 32px;
      height: 34px;
      border: 0;
      padding: 0;
      background: none;
      color: var(--quiet);
      font: 700 1.25rem / 1 var(--text);
      cursor: pointer;
      &:hover {
        color: var(--ink);
      }
    }
    @media (max-width: 719px) {
      .more {
        width: 44px;
        height: 44px;
      }
    }
  `,
})
export class JobMenu {
  readonly job = input.required<Job>();
  private readonly writer = inject(ResourceWriter);
  private readonly clock = inject(Clock);
  private readonly settings = inject(Store).selectSignal(settingsFeature.selectSettings);
  protected readonly choices = computed(() => putOffDays(this.job().kind));
  protected readonly dispensable = computed(() => mayDoWithout(this.job().kind));

  protected wordOf(days: number): string {
    return PUT_OFF_WORDS[days] ?? `for ${countText(days, 'day')}`;
  }

  protected putOff(days: number | null): void {
    const { putOff, timeZone } = this.settings();
    const changed = [...putOffOnce(putOff, this.job(), days, this.clock.now(), timeZone)];
    void this.writer.choose({ putOff: changed }, days === null ? 'Left out.' : `Put off ${this.wordOf(days)}.`);
  }
}
