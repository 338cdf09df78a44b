import { storyOf } from '@trug/core/book/state/share-story';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatCheckbox } from '@angular/material/checkbox';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Liquid } from '@trug/core';
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
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

const CHANGES = ['another yeast', 'another acidity', 'with nutrient', 'without sulfite', 'another place', 'bottled by itself'] as const;

/** Split: one juice into several vessels, with one thing changed, kept as sibling batches. */
@Component({
  selector: 'trug-split-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AddVessel, ActHead, SaidPipe, ReactiveFormsModule, RouterLink, SelectField, MatCheckbox, Refusal],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()" [formGroup]="draft.form">
        <trug-act-head [view]="v" [dated]="true" act="Split it for a trial" how="rack" />
        @if (!v.state.liquid) {
          <p>There is nothing in its vessels to split.</p>
          <a class="btn" [routerLink]="['/batch', v.batch.id]">To the batch</a>
        } @else {
          <div class="sheet">
            <p>Each vessel you tick becomes a batch of its own, of the same drink. Change one thing in it, and compare them at the end.</p>
            <trug-select label="What will be different" name="change" formControlName="change" [options]="changes" />
            <fieldset>
              <legend>Into</legend>
              @for (vessel of own(); track vessel.id) {
                <mat-checkbox [disableRipple]="true" [checked]="picked().includes(vessel.id)" (change)="toggle(vessel.id)">
                  {{ vessel.name }} <span class="quiet">as it stands, {{ units.volume(vessel.volumeL) }}</span>
                </mat-checkbox>
              }
              @for (vessel of free(); track vessel.id) {
                <mat-checkbox [disableRipple]="true" [checked]="picked().includes(vessel.id)" (change)="toggle(vessel.id)">
                  {{ vessel.name }}
                  <span class="quiet">takes {{ units.volume(vessel.capacityL * full) }}{{ vessel.clean ? '' : ', to be cleaned first' }}</span>
                </mat-checkbox>
              } @empty {
                <p class="hint">No vessel is free. Empty one, or add another.</p>
              }
              <trug-add-vessel [open]="free().length === 0" (added)="toggle($event)" />
            </fieldset>
            <p role="status">{{ says() | said }}</p>
            <trug-refusal [why]="refusal()" />
            <div class="acts">
              <button class="btn btn-main" type="submit">Split it</button>
              <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
            </div>
          </div>
        }
      </form>
    }
  `,
  styles: `
    fieldset {
      display: grid;
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      padding: 0;
      font-weight: 600;
    }
    p {
      margin: 0;
    }
  `,
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
  protected readonly draft = createBatchDraft('split', { change: CHANGES[0] as string, picked: '' });
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
  private readonly plan = computed(() =>
    splitPlan({ volumeL: this.volumeL(), vessels: this.view()?.state.vessels ?? [], picked: this.picked(), free: this.free() }),
  );
  protected readonly says = computed(() => {
    const { shares, staysL } = this.plan();
    if (shares.length === 0) return 'Tick one vessel or more.';
    if (staysL < 0) return `That takes ${this.units.volume(-staysL)} more than there is.`;
    if (staysL === 0) return 'Something must stay: leave one of its vessels out.';
    return `${this.units.volumeAbout(staysL)} stay in ${this.view()?.batch.name ?? ''}.`;
  });

  protected toggle(id: string): void {
    const now = this.picked();
    this.draft.set('picked', (now.includes(id) ? now.filter((p) => p !== id) : [...now, id]).join(','));
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const liquid = view?.state.liquid;
    const { shares, stays, staysL } = this.plan();
    if (!view || !liquid || shares.length === 0 || staysL <= 0) {
      this.refusal.set(this.says());
      return;
    }
    const at = this.writer.now();
    const siblings = shares.map((share, i) => ({
      share,
      batch: { id: newId(), name: `${view.batch.name.slice(0, 56)} ${letter(i)}`, methodId: view.batch.methodId, tape: view.batch.tape, startedAt: at },
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
const letter = (index: number): string => String.fromCharCode(66 + index);
