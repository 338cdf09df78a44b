import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft } from '../../writing/draft';
import { holdToContract } from '../../writing/dto-validator';
import { type Act, LogWriter } from '../../writing/log-writer';
import { TextField } from '../../shared/field/text-field';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

/** A note or a tasting, in the maker's own words. */
@Component({
  selector: 'trug-note-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, ReactiveFormsModule, RouterLink, TextField, SelectField, Refusal],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()" [formGroup]="draft.form">
        <trug-act-head [view]="v" [dated]="true" act="Write a note" />
        <div class="sheet">
          <trug-text label="What you saw, smelt, tasted or did" name="text" formControlName="text" [rows]="3" />
          <trug-select
            label="It is"
            name="kind"
            formControlName="kind"
            [options]="[
              { id: 'note', name: 'a note' },
              { id: 'tasted', name: 'a tasting' },
            ]"
          />
          <trug-refusal [why]="refusal()" />
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

  constructor() {
    holdToContract(this.draft, {
      rules: ({ PAYLOAD_DTOS }) => PAYLOAD_DTOS[this.draft.fields().kind === 'tasted' ? 'tasted' : 'note'],
      read: ({ text }) => ({ text }),
      typedInto: { text: 'text' },
    });
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const { text, kind } = this.fields();
    if (!view || text.trim() === '') {
      this.refusal.set('Write a word or two first.');
      return;
    }
    const act: Act = kind === 'tasted' ? { kind: 'tasted', payload: { text, sparkle: null, again: null } } : { kind: 'note', payload: { text } };
    this.refusal.set(await this.writer.write(view, [act], 'Written down.', this.draft));
  }
}
