import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { caution } from '@trug/core/base/cautions/catalogue';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

/** Open a sealed keg again, so that its drink can be worked on. */
@Component({
  selector: 'trug-open-keg-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, RouterLink, CautionList, Refusal],
  template: `
    @if (view(); as v) {
      <section class="page">
        <trug-act-head [view]="v" [dated]="true" act="Open the keg" says="Sugar, juice or yeast goes in only once it is open; then it must be proven again." />
        <div class="sheet">
          @if (v.state.keg) {
            <trug-cautions [cautions]="cautions" />
            <p>It stays full of gas for about two weeks, unless it is racked or stirred: in bottles that gas comes on top of any priming.</p>
            <trug-refusal [why]="refusal()" />
            <div class="acts">
              <button class="btn btn-main" type="button" (click)="file()">It is silent and open</button>
              <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
            </div>
          } @else {
            <p>It stands in no sealed keg.</p>
            <a class="btn" [routerLink]="['/batch', v.batch.id]">Back to it</a>
          }
        </div>
      </section>
    }
  `,
})
export class OpenKegPage {
  private readonly writer = inject(LogWriter);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  protected readonly cautions = [caution('open-keg'), caution('keg')];

  protected async file(): Promise<void> {
    const view = this.view();
    if (view) this.refusal.set(await this.writer.write(view, [{ kind: 'unsealed', payload: {} }], 'The keg is open.'));
  }
}
