import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import type { Need } from '@trug/core';
import { clearingWays, type ClearingWay, type HazeCause } from '@trug/core/ferment/clear/clearing-ways';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { SupplyTake } from '../../shared/supply-take/supply-take';
import { TimedSteps } from '../../shared/timed-steps/timed-steps';
import { Units } from '../../units/units';
import { Working } from '../../shared/working/working';
import { waitWords } from './wait-words';
import { SaidPipe } from '../../units/said.pipe';
import { SelectField } from '../../shared/field/select-field';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

const HAZES: readonly { readonly id: HazeCause; readonly name: string }[] = [
  { id: 'unknown', name: 'nobody knows yet' },
  { id: 'yeast', name: 'yeast: it settles in the fridge' },
  { id: 'pectin', name: 'pectin: strings in spirit' },
  { id: 'chill', name: 'cold: clear once warm' },
  { id: 'starch', name: 'starch: blue with iodine' },
  { id: 'bacteria', name: 'bacteria: silky swirls' },
];
const FITS: Readonly<Record<ClearingWay['fits'], string>> = { well: 'suits it', maybe: 'may help', 'not now': 'not for this' };
/** Where nobody said how warm it stands, °C. */
const USUAL_C = 15;

/** Clear it: what holds the haze up, and the ways that move it, each with its dose, its steps and an honest wait. */
@Component({
  selector: 'trug-clear-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, SaidPipe, ReactiveFormsModule, RouterLink, CautionList, SupplyTake, TimedSteps, Working, SelectField, Refusal],
  templateUrl: './clear-page.html',
  styleUrl: './clear-page.scss',
})
export class ClearPage {
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('clear', { haze: 'unknown', way: '' });
  protected readonly refusal = signal<string | null>(null);
  private readonly take = viewChild(SupplyTake);
  protected readonly hazes = HAZES;
  protected readonly haze = computed(() => HAZES.find((h) => h.id === this.draft.fields().haze)?.id ?? 'unknown');
  private readonly bentoniteIn = computed(() =>
    effectiveEntries(this.view()?.log ?? []).entries.some((e) =>
      e.kind === 'clarified' ? e.payload.means === 'bentonite' : e.kind === 'addition' && e.payload.what === 'bentonite',
    ),
  );
  protected readonly found = computed(() => {
    const { state, verdict } = this.view() ?? {};
    if (!state?.liquid) return null;
    return clearingWays({
      volumeL: state.liquid.volumeL,
      tempC: state.placeC ?? USUAL_C,
      verdict: verdict?.value ?? null,
      haze: this.haze(),
      bentoniteIn: this.bentoniteIn(),
    });
  });
  protected readonly ways = computed(() =>
    (this.found()?.value ?? []).map((way) => ({
      ...way,
      fitWord: FITS[way.fits],
      dose: way.massG > 0 ? this.units.mass(way.massG) : 'nothing goes in',
      look: `look after ${waitWords(way.lookDays[0])}, give it ${waitWords(way.lookDays[1])}`,
    })),
  );
  /** Finings whose first part is in stay open, whatever was chosen since. */
  protected readonly chosen = computed(() => {
    const means = this.view()?.state.plan?.plan === 'finings' ? 'finings' : this.draft.fields().way;
    return this.ways().find((w) => w.means === means) ?? this.ways()[0] ?? null;
  });
  protected readonly needs = computed((): readonly Need[] => {
    const way = this.chosen();
    if (!way || way.means === 'time' || way.means === 'cold') return [];
    return [{ kind: way.means, refId: null, amount: way.massG, unit: 'g' }];
  });

  protected async file(way: ClearingWay): Promise<void> {
    const view = this.view();
    if (!view || way.means === 'time') return;
    const payload = { means: way.means, massG: Math.round(way.massG * 10) / 10, waitDays: way.lookDays[0], supplies: this.take()?.uses() };
    this.refusal.set(await this.writer.write(view, [{ kind: 'clarified', payload }], 'Written down. Now leave it still.', this.draft));
  }
}
