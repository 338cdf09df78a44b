import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { VesselFill } from '@trug/core';
import { caution } from '@trug/core/cautions/catalogue';
import { provesFinished } from '@trug/core/ferment/verdict';
import { fitVessels } from '@trug/core/rack/fit-vessels';
import { headspaceCheck } from '@trug/core/rack/headspace';
import { leftoverWays, type LeftoverWay } from '@trug/core/rack/leftover-ways';
import { injectBatchView } from '../../shared/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../shared/draft';
import { EntryWriter, type Act } from '../../shared/entry-writer';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { selectFreeVessels } from '../../shared/free-vessels';
import { Units } from '../../shared/units/units';
import { Vessel } from '../../shared/vessel/vessel';
import { Working } from '../../shared/working/working';
import { cupboardFeature } from '../../state/cupboard.reducer';

/** What stays behind with the lees unless the maker says otherwise, as a share. @source our estimate: 2–3 % */
const USUAL_LOSS_FRACTION = 0.025;

/** Less than this over is a splash. @source our estimate */
const LEAST_OVER_L = 0.1;

/** Rack: which of the maker's vessels hold it best, how full they come, and what is left behind. */
@Component({
  selector: 'trug-rack-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, RouterLink, QuantityField, CautionList, Working, Vessel],
  templateUrl: './rack-page.html',
  styleUrl: './rack-page.scss',
})
export class RackPage {
  private readonly store = inject(Store);
  private readonly writer = inject(EntryWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  private readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly all = this.store.selectSignal(cupboardFeature.selectVesselById);
  protected readonly draft = createBatchDraft('rack', { loss: '', picked: '', water: '', drunk: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly loss = computed(() => readQuantity(this.units, this.draft.fields().loss, 'volume'));
  protected readonly lossL = computed(() => {
    const read = this.loss();
    return read?.ok === true ? read.value.value : (this.view()?.state.liquid?.volumeL ?? 0) * USUAL_LOSS_FRACTION;
  });
  /** Water that goes in with it, and what is drunk young instead of racked, L. */
  protected readonly waterL = computed(() => Number(this.draft.fields().water));
  protected readonly drunkL = computed(() => Number(this.draft.fields().drunk));
  private readonly toFillL = computed(() => Math.max(0, (this.view()?.state.liquid?.volumeL ?? 0) - this.lossL() + this.waterL() - this.drunkL()));
  /** Free vessels, and the one it stands in, which can be washed and used again. */
  protected readonly candidates = computed(() => {
    const own = (this.view()?.state.vessels ?? []).flatMap((f) => this.all().get(f.vesselId) ?? []);
    return [...own.map((v) => ({ ...v, own: true })), ...this.free().map((v) => ({ ...v, own: false }))];
  });
  protected readonly best = computed(() => fitVessels({ volumeL: this.toFillL(), vessels: this.candidates().slice(0, 12) }));
  /** Vessel ids chosen by hand, or the best fit until the maker chooses. */
  protected readonly picked = computed(() => {
    const { picked } = this.draft.fields();
    return picked === '' ? this.best().value.fills.map((f) => f.vesselId) : picked.split(',').filter((id) => id !== '-');
  });
  protected readonly fills = computed((): readonly VesselFill[] => {
    const chosen = this.candidates().filter((v) => this.picked().includes(v.id));
    const capacityL = chosen.reduce((sum, v) => sum + v.capacityL, 0);
    const share = capacityL > 0 ? Math.min(1, this.toFillL() / capacityL) : 0;
    return chosen.map((v) => ({ vesselId: v.id, volumeL: v.capacityL * share }));
  });
  protected readonly overL = computed(() => this.toFillL() - this.fills().reduce((sum, f) => sum + f.volumeL, 0));
  /** What can be done with what finds no room. */
  protected readonly ways = computed((): readonly LeftoverWay[] => {
    const liquid = this.view()?.state.liquid;
    const overL = this.overL();
    if (!liquid || overL <= LEAST_OVER_L) return [];
    const picked = new Set(this.picked());
    const vessels = this.candidates();
    return leftoverWays({ liquid, overL, filled: vessels.filter((v) => picked.has(v.id)), free: vessels.filter((v) => !picked.has(v.id)) });
  });
  protected readonly cards = computed(() => {
    const status = this.view()?.verdict?.value.status;
    const stage = status && provesFinished(status) ? 'resting' : 'working';
    return this.candidates().map((vessel) => {
      const fill = this.fills().find((f) => f.vesselId === vessel.id);
      const volumeL = fill?.volumeL ?? 0;
      const check = fill && volumeL > 0 ? headspaceCheck({ volumeL, capacityL: vessel.capacityL, stage }).value : null;
      const air = check ? `${this.units.volume(tenths(check.emptyL))} air` : 'left empty';
      return { vessel, picked: fill !== undefined, fraction: volumeL / vessel.capacityL, volumeL, air, tooMuchAir: check?.verdict === 'too-much-air' };
    });
  });
  protected readonly look = computed(() => ({ fruit: this.view()?.state.liquid?.fruit ?? ('apple' as const), haze: 0.3, sedimentMm: 0, working: false }));
  protected readonly cautions = computed(() => [
    ...(this.cards().some((c) => c.tooMuchAir) ? [caution('air-space')] : []),
    caution('siphon-mouth'),
    ...(this.cards().some((c) => c.picked && c.vessel.capacityL >= 15) ? [caution('lift-glass')] : []),
  ]);

  /** Takes one of the ways; it can be taken back. */
  protected take(way: LeftoverWay): void {
    const also = 'vesselId' in way ? [...this.picked(), way.vesselId] : this.picked();
    this.draft.fields.update((f) => ({
      ...f,
      picked: also.join(','),
      water: way.id === 'top-up' ? String(way.waterL) : f.water,
      drunk: way.id === 'drink' ? String(this.overL() + this.drunkL()) : f.drunk,
    }));
    this.refusal.set(null);
  }

  protected takeBack(): void {
    this.draft.fields.update((f) => ({ ...f, picked: '', water: '', drunk: '' }));
  }

  protected readonly hasOver = computed(() => this.overL() > LEAST_OVER_L);
  protected readonly over = computed(() => tenths(this.overL()));
  protected readonly water = computed(() => tenths(this.waterL()));
  protected readonly drunk = computed(() => tenths(this.drunkL()));

  protected toggle(id: string): void {
    const now = this.picked();
    const next = now.includes(id) ? now.filter((p) => p !== id) : [...now, id];
    this.draft.set('picked', next.length === 0 ? '-' : next.join(','));
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const vessels = this.fills().filter((f) => f.volumeL > 0.05);
    if (!view?.state.liquid || vessels.length === 0 || this.loss()?.ok === false) {
      this.refusal.set('Choose at least one vessel, and a loss Trug can read.');
      return;
    }
    if (this.hasOver()) {
      this.refusal.set(`${this.units.volume(this.over())} find no room. Choose another vessel, or what becomes of them.`);
      return;
    }
    const [waterL, drunkL] = [this.waterL(), this.drunkL()];
    const acts: readonly Act[] = [
      ...(waterL > 0 ? [{ kind: 'addition', payload: { what: 'water', volumeL: waterL }, note: 'topped up at racking' } as const] : []),
      ...(drunkL > 0 ? [{ kind: 'discarded', payload: { volumeL: drunkL, why: 'over at racking, drunk young' } } as const] : []),
      { kind: 'racked', payload: { vessels, lossL: this.lossL() } },
    ];
    const refused = await this.writer.write(view, acts, 'Racked.');
    if (refused === null) this.draft.forget();
    this.refusal.set(refused);
  }
}

const tenths = (volumeL: number): number => Math.round(volumeL * 10) / 10;
