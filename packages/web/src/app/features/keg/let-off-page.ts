import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { caution } from '@trug/core/base/cautions/catalogue';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList } from '../../shared/caution/caution-list';
import { ChoiceField } from '../../shared/field/choice-field';
import { Refusal } from '../../shared/refusal/refusal';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

/** Let a sealed keg off and try its relief valve; it stays sealed. */
@Component({
  selector: 'trug-let-off-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, CautionList, ChoiceField, Refusal],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()" [formGroup]="draft.form">
        <trug-act-head
          [view]="v"
          [dated]="true"
          act="Let the keg off"
          says="Close the gas, keep your face away, and lift the relief valve until what is over its level has gone."
        />
        <div class="sheet">
          @if (v.state.keg) {
            <trug-choice label="The relief valve" name="valve" formControlName="valve" [options]="valves" />
            <trug-cautions [cautions]="cautions()" />
            <trug-refusal [why]="refusal()" />
            <div class="acts">
              <button class="btn btn-main" type="submit">Write it down</button>
              <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
            </div>
          } @else {
            <p>It stands in no sealed keg. <a class="link" [routerLink]="['/batch', v.batch.id]">Back to it</a></p>
          }
        </div>
      </form>
    }
  `,
})
export class LetOffPage {
  private readonly writer = inject(LogWriter);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('let-off', { valve: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly valves = [
    { id: 'lifts', name: 'lifts and closes again' },
    { id: 'stuck', name: 'does not lift' },
  ];
  protected readonly cautions = computed(() => [
    ...(this.draft.fields().valve === 'stuck' ? [caution('valve-stuck')] : []),
    caution('keg'),
    ...(this.view()?.state.keg?.unproven === true ? [caution('sealed-ferment')] : []),
  ]);

  protected async file(): Promise<void> {
    const view = this.view();
    const { valve } = this.draft.fields();
    if (!view || valve === '') {
      this.refusal.set(this.draft.wrong() ?? 'Say whether its relief valve lifts.');
      return;
    }
    this.refusal.set(await this.writer.write(view, [{ kind: 'let-off', payload: { lifts: valve === 'lifts' } }], 'The keg is let off.', this.draft));
  }
}
