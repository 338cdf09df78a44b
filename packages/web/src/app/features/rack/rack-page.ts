import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { VesselFill } from '@trug/core';
import { litresIn } from '@trug/core/book/state/vessel-fill';
import { countText } from '@trug/core/matter/quantity/count-text';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { caution } from '@trug/core/base/cautions/catalogue';
import { isAtRest } from '@trug/core/ferment/verdict/verdict';
import { fitVessels } from '@trug/core/finish/rack/fit-vessels';
import { fillableShare, fillEvenly } from '@trug/core/finish/rack/fill-evenly';
import { headspaceCheck } from '@trug/core/finish/rack/headspace';
import { leftoverWays, type LeftoverWay } from '@trug/core/finish/rack/leftover-ways';
import { toppingWays, type ToppingWay } from '@trug/core/finish/rack/topping-ways';
import { AddVessel } from '../../shared/add-vessel/add-vessel';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { selectFreeVessels } from '../../state/free-vessels';
import { Units } from '../../units/units';
import { Vessel } from '../../shared/vessel/vessel';
import { Working } from '../../shared/working/working';
import type { BatchView } from '../../state/batch-views.selectors';
import { selectCiderSources, selectJuiceSources } from '../juice/bench/bench-sources';
import { partOf, takenFrom } from '../juice/bench/pour-acts';
import { SaidPipe } from '../../units/said.pipe';
import { vesselsFeature } from '../../state/vessels.reducer';
import { type Act, LogWriter } from '../../writing/log-writer';
import { MatCheckbox } from '@angular/material/checkbox';
import { Refusal } from '../../shared/refusal/refusal';

/** What stays behind with the lees unless the maker says otherwise, as a share. @source our estimate: 2–3 % */
const USUAL_LOSS_FRACTION = 0.025;
/** Vessels whose every choice is tried while someone types. */
const MOST_SEARCHED = 12;
/** Less than this over is a splash. @source our estimate */
const LEAST_OVER_L = 0.1;
/** Less air than this is none. @source our estimate */
const LEAST_AIR_L = 0.05;

/** Rack: which of the maker's vessels hold it best, how full they come, and what is left behind. */
@Component({
  selector: 'trug-rack-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AddVessel, ActHead, BeforeAfter, SaidPipe, ReactiveFormsModule, RouterLink, QuantityField, CautionList, Working, Vessel, MatCheckbox, Refusal],
  templateUrl: './rack-page.html',
  styleUrl: './rack-page.scss',
})
export class RackPage {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  private readonly ciderSources = this.store.selectSignal(selectCiderSources);
  private readonly juiceSources = this.store.selectSignal(selectJuiceSources);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly all = this.store.selectSignal(vesselsFeature.selectVesselById);
  protected readonly draft = createBatchDraft('rack', { loss: '', picked: '', water: '', drunk: '', top: '', topL: '', filler: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly loss = computed(() => readQuantity(this.units, this.draft.fields().loss, 'volume'));
  protected readonly lossL = computed(() => {
    const read = this.loss();
    return read?.ok === true ? read.value.value : roughly((this.view()?.state.liquid?.volumeL ?? 0) * USUAL_LOSS_FRACTION);
  });
  /** Water that goes in with it, and what is drunk young instead of racked, L. */
  protected readonly waterL = computed(() => Number(this.draft.fields().water));
  protected readonly drunkL = computed(() => Number(this.draft.fields().drunk));
  /** What of another batch or a juice goes in on top, and marbles, L. */
  protected readonly topL = computed(() => Number(this.draft.fields().topL));
  protected readonly fillerL = computed(() => Number(this.draft.fields().filler));
  private readonly rackedL = computed(() => Math.max(0, (this.view()?.state.liquid?.volumeL ?? 0) - this.lossL() + this.waterL() - this.drunkL()));
  protected readonly toFillL = computed(() => this.rackedL() + this.topL());
  /** Free vessels, and the one it stands in, which can be washed and used again. */
  protected readonly candidates = computed(() => {
    const own = (this.view()?.state.vessels ?? []).flatMap((f) => this.all().get(f.vesselId) ?? []);
    return [...own.map((v) => ({ ...v, own: true, clean: true })), ...this.free().map((v) => ({ ...v, own: false }))];
  });
  private readonly full = computed(() => {
    const { liquid, must } = this.view()?.state ?? { liquid: null, must: null };
    return fillableShare({ liquid, must, resting: this.resting() });
  });
  protected readonly best = computed(() =>
    fitVessels({
      volumeL: this.toFillL(),
      vessels: this.candidates()
        .filter((v) => v.clean)
        .slice(0, MOST_SEARCHED)
        .map((v) => ({ ...v, capacityL: v.capacityL * this.full() })),
    }),
  );
  /** Vessel ids chosen by hand, or the best fit until the maker chooses. */
  protected readonly picked = computed(() => {
    const { picked } = this.draft.fields();
    return picked === '' ? this.best().value.fills.map((f) => f.vesselId) : picked.split(',').filter((id) => id !== '-');
  });
  private readonly filled = computed(() =>
    fillEvenly(
      this.toFillL(),
      this.candidates().filter((v) => this.picked().includes(v.id)),
      this.full(),
    ),
  );
  protected readonly fills = computed((): readonly VesselFill[] => this.filled().fills);
  protected readonly overL = computed(() => this.filled().overL);
  /** What can be done with what finds no room. */
  protected readonly ways = computed((): readonly LeftoverWay[] => {
    const liquid = this.view()?.state.liquid;
    const overL = this.overL();
    if (!liquid || overL <= LEAST_OVER_L) return [];
    const picked = new Set(this.picked());
    const vessels = this.candidates();
    return leftoverWays({ liquid, overL, filled: vessels.filter((v) => picked.has(v.id)), free: vessels.filter((v) => !picked.has(v.id)) });
  });
  private readonly ciders = computed(() => this.ciderSources().filter((s) => s.id !== this.id()));
  protected readonly topping = computed(() => [...this.ciders(), ...this.juiceSources()].find((s) => s.id === this.draft.fields().top) ?? null);
  /** What can fill the air over it. */
  protected readonly tops = computed((): readonly ToppingWay[] => {
    const liquid = this.view()?.state.liquid;
    if (!liquid || this.topL() > 0 || this.fillerL() > 0 || this.waterL() > 0 || !this.resting()) return [];
    const picked = new Set(this.picked());
    return toppingWays({
      liquid: { ...liquid, volumeL: this.toFillL() },
      picked: this.candidates().filter((v) => picked.has(v.id)),
      candidates: this.candidates(),
      best: this.best().value,
      ciders: this.ciders(),
      juices: this.juiceSources(),
    });
  });
  private readonly resting = computed(() => {
    const status = this.view()?.verdict?.value.status;
    return status !== undefined && isAtRest(status);
  });
  protected readonly cards = computed(() => {
    const stage = this.resting() ? 'resting' : 'working';
    return this.candidates().map((vessel) => {
      const fill = this.fills().find((f) => f.vesselId === vessel.id);
      const volumeL = fill?.volumeL ?? 0;
      const check = fill && volumeL > 0 ? headspaceCheck({ volumeL, capacityL: vessel.capacityL, stage }).value : null;
      const air = check ? (check.emptyL < LEAST_AIR_L ? 'to the brim' : `${this.units.volumeAbout(check.emptyL)} air`) : 'left empty';
      return { vessel, picked: fill !== undefined, fraction: volumeL / vessel.capacityL, volumeL, air, tooMuchAir: check?.verdict === 'too-much-air' };
    });
  });
  /** What the act changes of the batch, before it and after. */
  protected readonly rows = computed(() => {
    const { liquid, vessels } = this.view()?.state ?? { liquid: null, vessels: [] };
    if (!liquid) return [];
    const fills = this.fills().filter((f) => f.volumeL > 0);
    const isChosen = fills.length > 0;
    return [
      { name: 'Volume', unit: '', before: this.units.volumeAbout(liquid.volumeL), after: isChosen ? this.units.volumeAbout(litresIn(fills)) : null },
      { name: 'Stands in', unit: '', before: countText(vessels.length, 'vessel'), after: isChosen ? countText(fills.length, 'vessel') : null },
      { name: 'Air over it', unit: '', before: this.airOver(vessels), after: isChosen ? this.airOver(fills) : null },
    ];
  });
  protected readonly look = computed(() => ({ fruit: this.view()?.state.liquid?.fruit ?? ('apple' as const), haze: 0.3, sedimentMm: 0, working: false }));
  protected readonly cautions = computed(() => [
    ...(this.cards().some((c) => c.tooMuchAir) ? [caution('air-space')] : []),
    caution('siphon-mouth'),
    ...(this.cards().some((c) => c.picked && c.vessel.capacityL >= 15) ? [caution('lift-glass')] : []),
  ]);

  private airOver(fills: readonly VesselFill[]): string {
    const capacityL = fills.reduce((sum, { vesselId }) => sum + (this.all().get(vesselId)?.capacityL ?? 0), 0);
    const airL = capacityL - litresIn(fills);
    return airL < LEAST_AIR_L ? 'none' : this.units.volumeAbout(airL);
  }

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

  /** Fills the air one of the ways; it can be taken back. */
  protected fillAir(way: ToppingWay): void {
    const picked = this.picked().join(',');
    this.draft.fields.update((f) => {
      switch (way.id) {
        case 'smaller':
          return { ...f, picked: '' };
        case 'water':
          return { ...f, picked, water: String(way.volumeL) };
        case 'filler':
          return { ...f, picked, filler: String(way.volumeL) };
        case 'cider':
        case 'juice':
          return { ...f, picked, top: way.sourceId, topL: String(way.volumeL) };
      }
    });
    this.refusal.set(null);
  }

  protected takeBack(): void {
    this.draft.fields.update((f) => ({ ...f, picked: '', water: '', drunk: '', top: '', topL: '', filler: '' }));
  }

  protected readonly hasOver = computed(() => this.overL() > LEAST_OVER_L);
  protected readonly over = computed(() => this.units.volumeAbout(this.overL()));
  /** What goes in or out besides racking, in words. */
  protected readonly besides = computed(() =>
    [
      this.waterL() > 0 ? `${this.units.volumeAbout(this.waterL())} of water go in with it.` : '',
      this.drunkL() > 0 ? `${this.units.volumeAbout(this.drunkL())} are drunk young.` : '',
      this.topL() > 0 ? `${this.units.volumeAbout(this.topL())} of ${this.topping()?.name ?? 'another batch'} go in on top.` : '',
      this.fillerL() > 0 ? `${this.units.volumeAbout(this.fillerL())} of boiled marbles take up the air.` : '',
    ].filter((line) => line !== ''),
  );

  /** A vessel that was just added, unless it is chosen by itself as the one that fits. */
  protected pick(id: string): void {
    if (!this.picked().includes(id)) this.toggle(id);
  }

  protected toggle(id: string): void {
    const now = this.picked();
    const next = now.includes(id) ? now.filter((p) => p !== id) : [...now, id];
    this.draft.set('picked', next.length === 0 ? '-' : next.join(','));
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const vessels = this.fills().filter((f) => f.volumeL > 0.05);
    const wrong = this.draft.wrong();
    if (!view?.state.liquid || vessels.length === 0 || wrong !== null) {
      this.refusal.set(wrong ?? 'Choose at least one vessel.');
      return;
    }
    if (this.hasOver()) {
      this.refusal.set(`${this.over()} find no room. Choose another vessel, or what becomes of them.`);
      return;
    }
    const [waterL, drunkL] = [this.waterL(), this.drunkL()];
    const acts: readonly Act[] = [
      ...(waterL > 0 ? [{ kind: 'addition', payload: { what: 'water', volumeL: waterL }, note: 'topped up at racking' } as const] : []),
      ...(drunkL > 0 ? [{ kind: 'discarded', payload: { volumeL: drunkL, why: 'drunk young, over at racking' } } as const] : []),
      {
        kind: 'racked',
        payload: { vessels: this.withoutTop(vessels), lossL: this.lossL() },
        note: this.fillerL() > 0 ? `${tenths(this.fillerL())} L of boiled glass marbles fill the air` : '',
      },
    ];
    const refused = this.topL() > 0 ? await this.rackAndTop(view, acts, vessels) : await this.writer.write(view, acts, 'Racked.', this.draft);
    this.refusal.set(refused);
  }

  private withoutTop(vessels: readonly VesselFill[]): readonly VesselFill[] {
    const share = this.toFillL() > 0 ? this.rackedL() / this.toFillL() : 1;
    return vessels.map((v) => ({ ...v, volumeL: v.volumeL * share }));
  }

  /** Racking, what leaves the other batch and what comes in on top are filed together or not at all. */
  private async rackAndTop(view: BatchView, acts: readonly Act[], vessels: readonly VesselFill[]): Promise<string | null> {
    const source = this.topping();
    if (!source) return 'What should go in on top is no longer there. Take that back and choose again.';
    const volumeL = this.topL();
    const { id: batchId, name } = view.batch;
    const into: Act = { kind: 'blended', payload: { parts: [partOf(source, volumeL)], vessels, tempC: null } };
    const out = source.from === 'batch' ? takenFrom(source, volumeL, { batchId, name, why: `topped up ${name}` }) : null;
    const entries = [
      ...(out ? [this.writer.entry(source.id, out, source.lastEntryAt)] : []),
      ...[...acts, into].map((act) => this.writer.entry(batchId, act, view.state.lastEntryAt)),
    ];
    const { refused } = await this.writer.file({ batches: [], entries }, 'Racked and topped up.');
    if (refused !== null) return refused;
    this.draft.forget();
    await this.router.navigate(['/batch', batchId]);
    return null;
  }
}

/** Nobody measures what stays with the lees finer than half a decilitre. */
const roughly = (volumeL: number): number => Math.round(volumeL * 20) / 20;
const tenths = (volumeL: number): number => Math.round(volumeL * 10) / 10;
