import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft } from '../../writing/draft';
import { SaidPipe } from '../../units/said.pipe';
import { type Act, LogWriter } from '../../writing/log-writer';

/** A note or a tasting, in the maker's own words. */
@Component({
  selector: 'trug-note-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, FormsModule, RouterLink],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()">
        <div class="page-head">
          <h1>Write a note</h1>
          <span class="quiet">{{ v.batch.name }}</span>
        </div>
        <div class="sheet">
          <div class="field">
            <label for="text">What you saw, smelt, tasted or did</label>
            <textarea id="text" name="text" rows="5" [ngModel]="fields().text" (ngModelChange)="draft.set('text', $event)"></textarea>
          </div>
          <div class="field">
            <label for="kind">It is</label>
            <select id="kind" name="kind" [ngModel]="fields().kind" (ngModelChange)="draft.set('kind', $event)">
              <option value="note">a note</option>
              <option value="tasted">a tasting</option>
            </select>
          </div>
          @if (refusal(); as why) {
            <p class="field-error" role="alert">{{ why | said }}</p>
          }
          <div class="acts">
            <button class="btn btn-main" type="submit">Write it down</button>
            <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
          </div>
        </div>
      </form>
    }
  `,
})
export class NotePage {
  private readonly writer = inject(LogWriter);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('note', { text: '', kind: 'note' });
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);

  protected async file(): Promise<void> {
    const view = this.view();
    const { text, kind } = this.fields();
    if (!view || text.trim() === '') {
      this.refusal.set('Write a word or two first.');
      return;
    }
    const act: Act = kind === 'tasted' ? { kind: 'tasted', payload: { text, sparkle: null, again: null } } : { kind: 'note', payload: { text } };
    const refused = await this.writer.write(view, [act], 'Written down.');
    if (refused === null) this.draft.forget();
    this.refusal.set(refused);
  }
}
