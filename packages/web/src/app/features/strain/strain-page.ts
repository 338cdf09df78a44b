import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { replay } from '@trug/core/book/log/replay';
import { FOAM_ROOM_FRACTION } from '@trug/core/finish/rack/headspace';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { workedMust } from '@trug/core/book/state/worked-must';
import { ActHead } from '../../shared/act-head/act-head';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import { ChoiceField } from '../../shared/field/choice-field';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { GravityField, readGravity } from '../../shared/field/gravity-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { injectGauges } from '../../shared/gauges';
import { Refusal } from '../../shared/refusal/refusal';
import { pickedVessels, SPLASH_L } from '../../shared/vessel-pick/picked-vessels';
import { VesselPick } from '../../shared/vessel-pick/vessel-pick';
import { injectBatchView } from '../../state/batch-of-page';
import { selectFreeVessels } from '../../state/free-vessels';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { type Act, LogWriter } from '../../writing/log-writer';

const WAYS = [
  { id: 'drained', name: 'drained, or hung to drip', note: 'Clearer, and less of it.' },
  { id: 'squeezed', name: 'pressed or wrung', note: 'More of it, with fine pulp that settles later.' },
];

/** Off the pulp: what ran off, into which vessels, and what it reads. */
@Component({
  selector: 'trug-strain-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, BeforeAfter, ChoiceField, NumberField, QuantityField, GravityField, Refusal, VesselPick],
  templateUrl: './strain-page.html',
  styleUrl: './strain-page.scss',
})
export class StrainPage {
  private readonly writer = inject(LogWriter);
  private readonly store = inject(Store);
  protected readonly units = inject(Units);
  protected readonly gauges = injectGauges();
  protected readonly free = this.store.selectSignal(selectFreeVessels);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('strain', {
    volume: '',
    instrument: 'hydrometer',
    gravity: '',
    sample: '',
    ph: '',
    squeezed: 'drained',
    vessels: '',
  });
  protected readonly refusal = signal<string | null>(null);
  protected readonly ways = WAYS;
  private readonly liquid = computed(() => this.view()?.state.liquid ?? null);
  protected readonly expectedSg = computed(() => {
    const liquid = this.liquid();
    return liquid ? gravityOf(liquid) : 1;
  });
  /** What went to yeast, where it works already. */
  protected readonly workedMust = computed(() => {
    const view = this.view();
    return view ? workedMust(view.state) : null;
  });
  protected readonly says = computed(() =>
    (this.view()?.state.pitchedAt ?? null) === null
      ? 'Lift the bag or pour it through one. Splashing does no harm before its yeast.'
      : 'Lift the bag or pour it through one, gently: it works already, and will go on in the jar.',
  );
  protected readonly volumeL = computed(() => numberIn(readQuantity(this.units, this.draft.fields().volume, 'volume')) ?? this.liquid()?.volumeL ?? 0);
  /** What still has its sugar foams on. */
  protected readonly share = 1 - FOAM_ROOM_FRACTION;
  protected readonly vessels = computed(() =>
    pickedVessels({ totalL: this.volumeL(), free: this.free(), chosen: this.draft.fields().vessels, share: this.share }),
  );
  private readonly acts = computed((): readonly Act[] => {
    const { instrument, gravity, sample, ph, squeezed } = this.draft.fields();
    const raw = readGravity(this.units, this.gauges(), { text: gravity, by: instrument, sample });
    const phRead = numberOf(ph, 'ph');
    const reading: Act = {
      kind: 'reading',
      payload: { gravity: raw, ph: phRead, taGPerL: null, placeC: null, insistedOn: [], bubbles: null, smell: null },
    };
    const strained: Act = {
      kind: 'strained',
      payload: { vessels: this.vessels().fills.filter((f) => f.volumeL > SPLASH_L), squeezed: squeezed === 'squeezed' },
    };
    return raw !== null || phRead !== null ? [strained, reading] : [strained];
  });
  /** What the log would say of it, were it filed as it stands. */
  private readonly after = computed(() => {
    const view = this.view();
    if (!view || this.vessels().fills.length === 0) return null;
    const filed = this.acts().map((act) => this.writer.entry(view.batch.id, act, view.state.lastEntryAt));
    return replay([...view.log, ...filed], view.state.zone).liquid;
  });
  protected readonly rows = computed(() => {
    const liquid = this.liquid();
    return liquid ? liquidRows(this.units, liquid, this.after(), ['volume', 'gravity', 'strength', 'dryStrength', 'ph'], this.view()?.state.guessed) : [];
  });
  protected readonly yields = computed(() => {
    const pulp = this.view()?.state.pulp;
    const expectedL = this.liquid()?.volumeL ?? 0;
    if (!pulp || expectedL <= 0) return '';
    const share = Math.round((100 * this.volumeL()) / expectedL);
    return `${this.units.volumeAbout(this.volumeL())} off ${this.units.mass(pulp.fruitKg * 1000)} of fruit and its water, ${share} % of what the sums expect.`;
  });

  protected async file(): Promise<void> {
    const view = this.view();
    const wrong = this.draft.wrong();
    const { fills, overL } = this.vessels();
    if (!view || wrong !== null || fills.length === 0 || overL > SPLASH_L) {
      this.refusal.set(wrong ?? 'Choose vessels that hold all of it, or add one.');
      return;
    }
    this.refusal.set(await this.writer.write(view, this.acts(), 'Strained.', this.draft));
  }
}
