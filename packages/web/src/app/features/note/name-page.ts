import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { TAPES } from '@trug/contract/plain';
import { contentOf } from '@trug/core/book/entry/take-back';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { CAP_COLOURS } from '@trug/core/book/state/entry-choices';
import { ActHead } from '../../shared/act-head/act-head';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Tape } from '../../shared/tape/tape';
import { injectBatchView } from '../../state/batch-of-page';
import type { BatchView } from '../../state/batch-views.selectors';
import { createRecordDraft } from '../../writing/record-draft';
import { LogWriter, type Act } from '../../writing/log-writer';

const named = (ids: readonly string[]) => ids.map((id) => ({ id, name: id }));

/** What a batch is called, on which tape, and by which caps its crates are known. */
@Component({
  selector: 'trug-name-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, ReactiveFormsModule, RouterLink, SelectField, Tape, TextField, ToggleField, Refusal],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()" [formGroup]="draft().form">
        <trug-act-head [view]="v" act="Its name and tape" />
        <div class="sheet">
          <p class="tape"><trug-tape [name]="draft().fields().name || v.batch.name" [tape]="draft().fields().tape" /></p>
          <trug-text label="What it is called" name="batchName" formControlName="name" [longest]="60" />
          <trug-toggle label="On tape the colour of" name="batchTape" formControlName="tape" [options]="tapes" />
          @for (crate of v.state.crates; track crate.id) {
            <trug-select [label]="'Caps of ' + crate.name" [attr.name]="'cap-' + crate.id" [formControl]="capOf(crate.id, crate.capColour)" [options]="caps" />
          }
          <p class="hint">Its log keeps what it was called before.</p>
          <trug-refusal [why]="refusal()" />
          <div class="acts">
            <button class="btn btn-main" type="submit">Call it so</button>
            <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
          </div>
        </div>
      </form>
    }
  `,
  styles: `
    .tape {
      margin: 0;
      min-height: 3rem;
    }
  `,
})
export class NamePage {
  private readonly writer = inject(LogWriter);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly tapes = named(TAPES);
  protected readonly caps = named(CAP_COLOURS);
  protected readonly refusal = signal<string | null>(null);
  private readonly batch = computed(() => this.view()?.batch ?? null);
  protected readonly draft = createRecordDraft('batch-name', this.batch, (batch) => ({ name: batch?.name ?? '', tape: batch?.tape ?? 'straw' }));
  private readonly capForm = new FormRecord<FormControl<string>>({});

  /** The caps of a crate as they are chosen; each crate has its own. */
  protected capOf(crateId: string, colour: string): FormControl<string> {
    const there = this.capForm.controls[crateId];
    if (there) return there;
    const control = new FormControl(colour, { nonNullable: true });
    this.capForm.setControl(crateId, control);
    return control;
  }

  protected async file(): Promise<void> {
    const view = this.view();
    if (!view) return;
    const { name, tape } = this.draft().fields();
    const wrong = this.draft().wrong() ?? (name.trim() === '' ? 'Write what it is called.' : null);
    const acts = [...this.renamed(view, name.trim(), tape), ...this.recapped(view)];
    if (wrong !== null || acts.length === 0) {
      this.refusal.set(wrong ?? 'Nothing is different yet: write another name, or take another colour.');
      return;
    }
    this.refusal.set(await this.writer.write(view, acts, `It is called ${name.trim()}.`, this.draft()));
  }

  private renamed({ batch }: BatchView, name: string, tape: string): readonly Act[] {
    const was = { name: batch.name, tape: batch.tape };
    return name === was.name && tape === was.tape ? [] : [{ kind: 'renamed', payload: { name, tape, was } }];
  }

  /** A crate whose caps are others than the log has is corrected in it. */
  private recapped({ log }: BatchView): readonly Act[] {
    const { entries } = effectiveEntries(log);
    return Object.entries(this.capForm.getRawValue()).flatMap(([crateId, cap]): readonly Act[] => {
      const filled = entries.find((entry) => entry.id === crateId);
      const stands = filled && contentOf(filled);
      const capColour = CAP_COLOURS.find((colour) => colour === cap);
      if (stands?.kind !== 'bottled' || !capColour || stands.payload.capColour === capColour) return [];
      return [
        { kind: 'corrected', payload: { entryId: crateId, replacement: { ...stands, payload: { ...stands.payload, capColour } } }, note: `${capColour} caps` },
      ];
    });
  }
}
