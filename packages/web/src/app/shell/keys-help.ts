import { ChangeDetectionStrategy, Component, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { PLACES } from './places';

/** The keys that work everywhere. */
const KEYS = [
  { key: '/', does: 'Scribble a line' },
  { key: 'q', does: 'Quick sums' },
  { key: 'n', does: 'New batch' },
] as const;

/** The keys, listed over any place. */
@Component({
  selector: 'trug-keys-help',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <section class="help card" role="dialog" aria-label="Keys">
      <h2>Keys</h2>
      <dl>
        @for (line of keys; track line.key) {
          <dt>
            <kbd>{{ line.key }}</kbd>
          </dt>
          <dd>{{ line.does }}</dd>
        }
        @for (place of places; track place.path) {
          <dt>
            <kbd>g</kbd> <kbd>{{ place.key }}</kbd>
          </dt>
          <dd>{{ place.name }}</dd>
        }
        <dt><kbd>Esc</kbd></dt>
        <dd>Back</dd>
      </dl>
      <p><a class="link" routerLink="/words" (click)="closed.emit()">Words and handwork</a></p>
      <button class="btn btn-small" type="button" (click)="closed.emit()">Close</button>
    </section>
  `,
  styles: `
    .help {
      position: fixed;
      right: 1.5rem;
      bottom: 1.5rem;
      z-index: 2;
      border-color: var(--ink);
    }
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 0.25rem 1rem;
    }
    dd {
      margin: 0;
    }
    kbd {
      padding: 0 0.375rem;
      border: 1px solid var(--line);
      font: 600 0.875rem var(--text);
    }
  `,
})
export class KeysHelp {
  readonly closed = output();
  protected readonly keys = KEYS;
  protected readonly places = PLACES;
}
