import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { Subscription } from 'rxjs';
import { problemOf, TrugApi } from '../../state/trug-api';

/** What a first-comer sees: an empty plank with three outlined vessels that are doors. */
@Component({
  selector: 'trug-first-run',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, MatProgressBar],
  templateUrl: './first-run.html',
  styleUrl: './first-run.scss',
})
export class FirstRun {
  private readonly api = inject(TrugApi);
  private asked: Subscription | null = null;
  /** Whether a season is being made. */
  protected readonly making = signal(false);
  /** Why there is none to show; empty when there is. */
  protected readonly refused = signal('');

  protected showSeason(): void {
    if (this.making()) return;
    this.making.set(true);
    this.refused.set('');
    this.asked = this.api.openSeason().subscribe({
      next: (url) => {
        location.assign(url);
      },
      error: (error: unknown) => {
        this.making.set(false);
        this.refused.set(problemOf(error).detail);
      },
    });
  }

  protected stop(): void {
    this.asked?.unsubscribe();
    this.making.set(false);
  }
}
