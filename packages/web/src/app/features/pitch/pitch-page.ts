import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { pitchCautions, pitchRate, YEAST_KINDS, yeastById } from '@trug/core';
import { injectBatchView } from '../../shared/batch-of-page';
import { acknowledges, CautionList } from '../../shared/caution/caution-list';
import { createDraft, PITCH_DRAFT } from '../../shared/draft';
import { EntryWriter } from '../../shared/entry-writer';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { Units } from '../../shared/units/units';
import { Working } from '../../shared/working/working';

/** Pitch: which kind, how much of it for this must, and what to mind first. */
@Component({
  selector: 'trug-pitch-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, RouterLink, QuantityField, CautionList, Working],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()">
        <div class="page-head">
          <h1>Pitch the yeast</h1>
          <span class="quiet">{{ v.batch.name }}</span>
        </div>
        <div class="two">
          <div class="sheet">
            <div class="field">
              <label for="yeast">Kind of yeast</label>
              <select id="yeast" name="yeast" [ngModel]="fields().yeastId" (ngModelChange)="draft.set('yeastId', $event)">
                @for (kind of kinds; track kind.id) {
                  <option [value]="kind.id">{{ kind.name }}</option>
                }
              </select>
              <span class="hint">{{ yeast().aroma }}. Best for {{ yeast().bestFor }}.</span>
            </div>
            <trug-quantity
              label="The juice is at"
              name="juice"
              dimension="temperature"
              placeholder="18 C"
              [text]="fields().temp"
              (textChange)="draft.set('temp', $event)"
            />
            <trug-cautions [cautions]="cautions()" [acknowledge]="true" [(typed)]="typed" />
          </div>
          <aside class="card">
            @if (rate(); as r) {
              <h2>{{ r.value.massG > 0 ? units.mass(r.value.massG) + ' of dry yeast' : 'No packet' }}</h2>
              <p>
                {{
                  r.value.massG === 0
                    ? 'The juice works by itself. Keep it full and be patient.'
                    : r.value.method === 'rehydrated'
                      ? 'Rehydrate it first, as the packet says.'
                      : 'Sprinkle it on the juice and leave it.'
                }}
              </p>
              <dl class="figures-list">
                <dt>Works at</dt>
                <dd>{{ units.temperature(yeast().tempC[0]) }} to {{ units.temperature(yeast().tempC[3]) }}</dd>
                <dt>At its best</dt>
                <dd>{{ units.temperature(yeast().tempC[1]) }} to {{ units.temperature(yeast().tempC[2]) }}</dd>
                <dt>Stands</dt>
                <dd>{{ yeast().toleranceAbv[0] }}–{{ yeast().toleranceAbv[1] }} %</dd>
              </dl>
              <trug-working [steps]="r.steps" />
            }
            @if (refusal(); as why) {
              <p class="field-error" role="alert">{{ why }}</p>
            }
            <div class="acts">
              <button class="btn btn-main" type="submit">Pitch it</button>
              <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
            </div>
          </aside>
        </div>
      </form>
    }
  `,
  styleUrl: './pitch-page.scss',
})
export class PitchPage {
  private readonly writer = inject(EntryWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly kinds = YEAST_KINDS;
  protected readonly draft = createDraft(PITCH_DRAFT, { yeastId: 'crisp-cider', temp: '' });
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly typed = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly yeast = computed(() => yeastById(this.fields().yeastId));
  private readonly juiceC = computed(() => {
    const read = readQuantity(this.units, this.fields().temp, 'temperature');
    return read?.ok === true ? read.value.value : null;
  });
  protected readonly rate = computed(() => {
    const liquid = this.view()?.state.liquid;
    return liquid ? pitchRate({ liquid, yeastId: this.fields().yeastId, tempC: this.juiceC() ?? 18, purpose: 'start' }) : null;
  });
  protected readonly cautions = computed(() => {
    const state = this.view()?.state;
    if (!state?.liquid) return [];
    return pitchCautions({ liquid: state.liquid, yeastId: this.fields().yeastId, juiceC: this.juiceC(), sulfitedAt: state.sulfitedAt, at: this.writer.now() });
  });

  protected async file(): Promise<void> {
    const view = this.view();
    const rate = this.rate();
    if (!view || !rate) {
      this.refusal.set('There is no juice in this batch to pitch into.');
      return;
    }
    const danger = this.cautions().find((c) => c.severity === 'danger');
    if (danger && !acknowledges(this.typed())) {
      this.refusal.set(`${danger.text} ${danger.whatToDo}`);
      return;
    }
    const { yeastId } = this.fields();
    const note = danger ? `Danger acknowledged: ${danger.id}` : '';
    const method = yeastId === 'wild-spontaneous' ? 'wild' : rate.value.method;
    const refused = await this.writer.write(
      view,
      [{ kind: 'pitched', payload: { yeastId, massG: rate.value.massG, method, juiceC: this.juiceC() }, note }],
      'Pitched.',
    );
    if (refused === null) this.draft.forget();
    this.refusal.set(refused);
  }
}
