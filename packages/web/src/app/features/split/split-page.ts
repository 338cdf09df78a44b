import { storyOf } from '@trug/core/book/state/share-story';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatCheckbox } from '@angular/material/checkbox';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Liquid, VesselFill } from '@trug/core';
import { splitPlan, SPLIT_FULL } from '@trug/core/book/plan/split-plan';
import { AddVessel } from '../../shared/add-vessel/add-vessel';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft } from '../../writing/draft';
import { selectFreeVessels } from '../../state/free-vessels';
import { newId } from '../../browser/new-id';
import { Units } from '../../units/units';
import { SaidPipe } from '../../units/said.pipe';
import { vesselsFeature } from '../../state/vessels.reducer';
import { LogWriter } from '../../writing/log-writer';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { Tape } from '../../shared/tape/tape';
import { Vessel } from '../../shared/vessel/vessel';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

const CHANGES = ['another yeast', 'another acidity', 'with nutrient', 'without sulfite', 'another place', 'bottled by itself'] as const;

/** Split: one juice into several vessels, with one thing changed, kept as sibling batches. */
@Component({
  selector: 'trug-split-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AddVessel, ActHead, SaidPipe, ReactiveFormsModule, RouterLink, QuantityField, SelectField, MatCheckbox, Refusal, Tape, Vessel],
  templateUrl: './split-page.html',
  styleUrl: './split-page.scss',
})
export class SplitPage {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly byId = this.store.selectSignal(vesselsFeature.selectVesselById);
  protected readonly draft = createBatchDraft('split', { change: CHANGES[0] as string, picked: '', each: '' });
  protected readonly changes = CHANGES.map((change) => ({ id: change, name: change }));
  protected readonly full = SPLIT_FULL;
  /** Its own vessels, where there are several: each can be a lot by itself without being moved. */
  protected readonly own = computed(() => {
    const stands = this.view()?.state.vessels ?? [];
    return stands.length > 1 ? stands.map(({ vesselId, volumeL }) => ({ id: vesselId, name: this.byId().get(vesselId)?.name ?? 'a vessel', volumeL })) : [];
  });
  protected readonly refusal = signal<string | null>(null);
  protected readonly volumeL = computed(() => this.view()?.state.liquid?.volumeL ?? 0);
  protected readonly picked = computed(() =>
    this.draft
      .fields()
      .picked.split(',')
      .filter((id) => this.free().some((v) => v.id === id) || this.own().some((v) => v.id === id)),
  );
  /** Whether something is racked into a vessel that is free: then it can be said how much. */
  protected readonly moves = computed(() => this.free().some((v) => this.picked().includes(v.id)));
  private readonly plan = computed(() =>
    splitPlan({
      volumeL: this.volumeL(),
      vessels: this.view()?.state.vessels ?? [],
      picked: this.picked(),
      free: this.free(),
      eachL: this.moves() ? numberIn(readQuantity(this.units, this.draft.fields().each, 'volume')) : null,
    }),
  );
  /** As much as goes into one of them while nothing is said, for the field. */
  protected readonly usualEach = computed(() => {
    const first = this.free().find((v) => this.picked().includes(v.id));
    return this.units.volumeAbout((first?.capacityL ?? 0) * SPLIT_FULL);
  });
  protected readonly look = computed(() => ({ fruit: this.view()?.state.liquid?.fruit ?? ('apple' as const), haze: 0.4, sedimentMm: 0, working: false }));
  /** The batches there will be, each with its vessels as full as they become: what stays, and then what is split off. */
  protected readonly lots = computed(() => {
    const { shares, stays, staysL } = this.plan();
    const batch = this.view()?.batch;
    if (!batch) return [];
    const lot = (name: string, fills: readonly VesselFill[], volumeL: number) => ({ name, says: this.units.volumeAbout(volumeL), vessels: this.drawn(fills) });
    const siblings = shares.map((share, i) => lot(siblingName(batch.name, i), [share], share.volumeL));
    return [lot(batch.name, shares.length === 0 ? (this.view()?.state.vessels ?? []) : stays, Math.max(0, staysL)), ...siblings];
  });
  protected readonly says = computed(() => {
    const { shares, staysL, tooSmallId } = this.plan();
    if (shares.length === 0) return 'Tick one vessel or more.';
    const tooSmall = tooSmallId === null ? undefined : this.byId().get(tooSmallId);
    if (tooSmall) return `${tooSmall.name} holds no more than ${this.units.volume(tooSmall.capacityL)}: write less, or take another.`;
    if (staysL < 0) return `That takes ${this.units.volume(-staysL)} more than there is.`;
    if (staysL === 0) return 'Something must stay: leave one of its vessels out.';
    return `${this.units.volumeAbout(staysL)} stay in ${this.view()?.batch.name ?? ''}.`;
  });

  protected toggle(id: string): void {
    const now = this.picked();
    this.draft.set('picked', (now.includes(id) ? now.filter((p) => p !== id) : [...now, id]).join(','));
  }

  private drawn(fills: readonly VesselFill[]) {
    return fills.flatMap(({ vesselId, volumeL }) => {
      const vessel = this.byId().get(vesselId);
      return vessel ? [{ vessel, fraction: volumeL / vessel.capacityL, label: `${vessel.name}, ${this.units.volumeAbout(volumeL)}` }] : [];
    });
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const liquid = view?.state.liquid;
    const { shares, stays, staysL, tooSmallId } = this.plan();
    const wrong = this.draft.wrong();
    if (!view || !liquid || wrong !== null || shares.length === 0 || staysL <= 0 || tooSmallId !== null) {
      this.refusal.set(wrong ?? this.says());
      return;
    }
    const at = this.writer.now();
    const siblings = shares.map((share, i) => ({
      share,
      batch: { id: newId(), name: siblingName(view.batch.name, i), methodId: view.batch.methodId, tape: view.batch.tape, startedAt: at },
    }));
    const into = siblings.map(({ share, batch }) => ({ batchId: batch.id, name: batch.name, volumeL: share.volumeL }));
    const out = this.writer.entry(
      view.batch.id,
      { kind: 'split', payload: { into, vessels: [...stays], lossL: 0, why: this.draft.fields().change } },
      view.state.lastEntryAt,
    );
    const begun = siblings.map(({ share, batch }) => {
      const story = storyOf(view.state, share.volumeL);
      const part = {
        from: 'batch' as const,
        sourceId: view.batch.id,
        name: view.batch.name,
        liquid: { ...liquid, volumeL: share.volumeL } satisfies Liquid,
        yeastId: view.state.yeastId,
        guessed: view.state.guessed,
        ...(story ? { story } : {}),
      };
      return this.writer.entry(batch.id, {
        kind: 'blended',
        payload: { parts: [part], vessels: [share], tempC: view.state.placeC },
        note: this.draft.fields().change,
      });
    });
    const names = siblings.map((s) => s.batch.name).join(', ');
    const { refused } = await this.writer.file({ batches: siblings.map((s) => s.batch), entries: [out, ...begun] }, `Split off: ${names}.`);
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/batch', view.batch.id]);
  }
}

/** Siblings are lettered from B: the batch itself is A. */
const siblingName = (name: string, index: number): string => `${name.slice(0, 56)} ${String.fromCharCode(66 + index)}`;
