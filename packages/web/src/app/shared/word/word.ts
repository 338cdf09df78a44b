import { CdkConnectedOverlay, CdkOverlayOrigin } from '@angular/cdk/overlay';
import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { SaidPipe } from '../../units/said.pipe';
import { wordOf } from './labels';

let made = 0;

/** A label whose word is in the glossary, dotted, with what it means at a press; any other label as it is. */
@Component({
  selector: 'trug-word',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CdkOverlayOrigin, CdkConnectedOverlay, RouterLink, SaidPipe],
  template: `
    @if (known(); as k) {
      <button type="button" cdkOverlayOrigin #at="cdkOverlayOrigin" [attr.aria-expanded]="open()" [attr.aria-controls]="open() ? id : null" (click)="press()">
        {{ label() }}
      </button>
      <ng-template
        cdkConnectedOverlay
        [cdkConnectedOverlayOrigin]="at"
        [cdkConnectedOverlayOpen]="open()"
        [cdkConnectedOverlayPush]="true"
        [cdkConnectedOverlayViewportMargin]="8"
        (overlayOutsideClick)="open.set(false)"
        (detach)="open.set(false)"
        (overlayKeydown)="key($event)"
      >
        <div class="card" role="note" [id]="id">
          <b>{{ k }}</b>
          <p>{{ means() | said }}</p>
          <a class="link" routerLink="/words" (click)="open.set(false)">All words</a>
        </div>
      </ng-template>
    } @else {
      {{ label() }}
    }
  `,
  styles: `
    button {
      min-height: 24px;
      border: 0;
      padding: 0;
      background: none;
      color: inherit;
      font: inherit;
      text-align: start;
      text-decoration: underline dotted;
      text-underline-offset: 4px;
      cursor: help;
    }
    .card {
      max-width: 20rem;
      padding: 0.75rem 1rem;
      border-color: var(--ink);
      border-bottom-width: 2px;
    }
    p {
      margin: 0.25rem 0;
    }
  `,
})
export class Word {
  /** The label as it stands on the page. */
  readonly label = input.required<string>();
  protected readonly known = computed(() => wordOf(this.label()));
  protected readonly open = signal(false);
  protected readonly means = signal('');
  protected readonly id = `word-${(made += 1)}`;

  protected async press(): Promise<void> {
    if (this.open()) {
      this.open.set(false);
      return;
    }
    const word = this.known();
    const { MEANINGS } = await import('./meanings');
    this.means.set(word ? MEANINGS[word] : '');
    this.open.set(true);
  }

  protected key(event: KeyboardEvent): void {
    if (event.key !== 'Escape') return;
    // The page behind stays: only the card is put away.
    event.preventDefault();
    this.open.set(false);
  }
}
