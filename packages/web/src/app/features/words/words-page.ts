import { ChangeDetectionStrategy, Component } from '@angular/core';
import { HowToNote } from '../../shared/how-to/how-to';
import { HOW_TO, type HowToId } from '../../shared/how-to/notes';
import { CRAFT_WORDS } from '../../shared/word/labels';
import { MEANINGS } from '../../shared/word/meanings';
import { SaidPipe } from '../../units/said.pipe';

/** Every word of the craft that Trug uses, and how the handwork is done. */
@Component({
  selector: 'trug-words-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, HowToNote],
  template: `
    <section class="page">
      <div class="page-head"><h1>Words and handwork</h1></div>
      <div class="two">
        <dl>
          @for (w of words; track w) {
            <dt>{{ w }}</dt>
            <dd>{{ means[w] | said }}</dd>
          }
        </dl>
        <div class="notes">
          @for (id of notes; track id) {
            <trug-how-to [of]="id" />
          }
        </div>
      </div>
    </section>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
      gap: 2rem;
      align-items: start;
    }
    dl {
      margin: 0;
    }
    dt {
      font: 600 1.0625rem var(--head);
    }
    dd {
      margin: 0 0 0.75rem;
      max-width: 40rem;
    }
    .notes {
      display: grid;
      gap: 0.75rem;
    }
    @media (max-width: 900px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class WordsPage {
  protected readonly words = CRAFT_WORDS;
  protected readonly means = MEANINGS;
  protected readonly notes = Object.keys(HOW_TO) as HowToId[];
}
