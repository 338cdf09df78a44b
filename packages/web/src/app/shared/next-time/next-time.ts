import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { nextTimeFor, type Likeness } from '@trug/core/book/tasting/next-time';
import { selectTastedBatches } from '../../state/tasted-batches.selectors';
import { Units } from '../../units/units';

const ALIKE_WORDS: Readonly<Record<Likeness, string>> = { fruit: 'the same fruit', yeast: 'the same yeast', manner: 'made in the same way' };

/** What the maker noted for the next time on batches like the one that is begun. */
@Component({
  selector: 'trug-next-time',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (notes().length > 0) {
      <section aria-label="For next time, you wrote">
        <h3>For next time, you wrote</h3>
        <ul>
          @for (note of notes(); track note.batchId) {
            <li>
              <q>{{ note.text }}</q>
              <span class="hint"
                ><a class="link" [routerLink]="['/batch', note.batchId]">{{ note.name }}</a
                >, {{ note.day }}: {{ note.why }}</span
              >
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    h3 {
      margin: 1rem 0 0.5rem;
      font-size: 1rem;
    }
    ul {
      display: grid;
      gap: 0.75rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    q {
      font-family: var(--hand);
      font-size: 1.25rem;
      line-height: 1.25;
    }
    .hint {
      display: block;
    }
  `,
})
export class NextTimeNotes {
  private readonly units = inject(Units);
  private readonly tasted = inject(Store).selectSignal(selectTastedBatches);
  readonly fruits = input<readonly string[]>([]);
  readonly yeastId = input<string | null>(null);
  readonly methodId = input<string | null>(null);
  /** The batch itself, which is not told of itself. */
  readonly except = input<string | null>(null);
  protected readonly notes = computed(() => {
    const begun = { fruits: this.fruits(), yeastId: this.yeastId(), methodId: this.methodId() };
    const others = this.tasted().filter((batch) => batch.id !== this.except());
    return nextTimeFor(begun, others).map((note) => ({
      ...note,
      day: this.units.day(note.at),
      why: note.alike.map((of) => ALIKE_WORDS[of]).join(', '),
    }));
  });
}
