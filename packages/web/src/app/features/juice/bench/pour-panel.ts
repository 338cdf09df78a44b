import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { METHODS } from '@trug/core/book/plan/method';
import { FOAM_ROOM_FRACTION } from '@trug/core/finish/rack/headspace';
import { pickedVessels, SPLASH_L } from '../../../shared/vessel-pick/picked-vessels';
import { VesselPick } from '../../../shared/vessel-pick/vessel-pick';
import { numberIn, QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { selectFreeVessels } from '../../../state/free-vessels';
import type { Draft } from '../../../writing/draft';
import { newId } from '../../../browser/new-id';
import { TAPES } from '@trug/contract/plain';
import { Units } from '../../../units/units';
import type { BENCH_DRAFT } from './bench-draft';
import type { BenchSource } from './bench-sources';
import { partOf, takenFrom } from './pour-acts';
import { batchesFeature } from '../../../state/batches.reducer';
import { LogWriter } from '../../../writing/log-writer';
import { SelectField } from '../../../shared/field/select-field';
import { TextField } from '../../../shared/field/text-field';
import { Refusal } from '../../../shared/refusal/refusal';

/** Pour it: which vessels, what the batch is called, and how warm it stands. Nothing is taken from the juices before this. */
@Component({
  selector: 'trug-pour-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [VesselPick, ReactiveFormsModule, QuantityField, TextField, SelectField, Refusal],
  template: `
    <form class="card" (ngSubmit)="file()" aria-label="Pour it" [formGroup]="draft().form">
      <h2 tabindex="-1">Pour it</h2>
      <p class="num">{{ recipe() }}</p>
      <div class="fields">
        <trug-text label="What you call the batch" name="batchName" formControlName="name" [placeholder]="usualName()" [longest]="60" />
        <trug-quantity
          label="The juice is at"
          name="juiceTemp"
          dimension="temperature"
          [placeholder]="units.example('temperature', 14)"
          formControlName="temp"
        />
        <trug-select label="In the manner" name="method" [formControl]="method" [options]="methods" />
      </div>
      <trug-vessel-pick [free]="free()" [picked]="vessels()" [totalL]="totalL()" [share]="full()" (chosen)="draft().set('vessels', $event)" />
      <trug-refusal [why]="refusal()" />
      <div class="acts">
        <button class="btn btn-main" type="submit" [disabled]="sending()">Pour it into the vessels</button>
        <button class="link" type="button" (click)="notYet.emit()">Not yet</button>
      </div>
    </form>
  `,
  styleUrl: './pour-panel.scss',
})
export class PourPanel {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  readonly parts = input.required<readonly { readonly source: BenchSource; readonly volumeL: number }[]>();
  readonly draft = input.required<Draft<typeof BENCH_DRAFT>>();
  readonly done = output();
  readonly notYet = output();
  protected readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly count = this.store.selectSignal(batchesFeature.selectTotal);
  protected readonly methods = METHODS;
  protected readonly method = new FormControl('cool-slow', { nonNullable: true });
  protected readonly refusal = signal<string | null>(null);
  protected readonly sending = signal(false);
  protected readonly totalL = computed(() => this.parts().reduce((sum, p) => sum + p.volumeL, 0));
  protected readonly usualName = computed(() => {
    const names = [...this.parts()].sort((a, b) => b.volumeL - a.volumeL).map((p) => p.source.name);
    return names.length > 1 ? `${names[0] ?? ''} and ${names[1] ?? ''}`.slice(0, 60) : (names[0] ?? 'Blend');
  });
  protected readonly recipe = computed(() =>
    this.parts()
      .map((p) => `${this.units.volume(Math.round(p.volumeL * 100) / 100)} ${p.source.name}`)
      .join(' + '),
  );
  /** Ciders at rest may fill a vessel; anything else in it foams. */
  protected readonly full = computed(() => (this.parts().every((p) => p.source.from === 'batch') ? 1 : 1 - FOAM_ROOM_FRACTION));
  protected readonly vessels = computed(() =>
    pickedVessels({ totalL: this.totalL(), free: this.free(), chosen: this.draft().fields().vessels, share: this.full() }),
  );

  constructor() {
    // It opens beneath what was pressed, often out of sight.
    afterNextRender(() => this.host.nativeElement.querySelector('h2')?.focus());
  }

  protected async file(): Promise<void> {
    const tempC = numberIn(readQuantity(this.units, this.draft().fields().temp, 'temperature'));
    const wrong = this.draft().wrong() ?? (this.vessels().fills.length === 0 || this.vessels().overL > SPLASH_L ? 'Choose vessels that hold all of it.' : null);
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    const name = this.draft().fields().name.trim() || this.usualName();
    const at = this.writer.now();
    const batch = { id: newId(), name, methodId: this.method.value, tape: TAPES[this.count() % TAPES.length] ?? 'straw', startedAt: at };
    this.sending.set(true);
    const { refused, body } = await this.writer.file({ batches: [batch], entries: this.entries(batch.id, name, tempC) }, `${name} is poured.`);
    this.sending.set(false);
    this.refusal.set(refused);
    if (refused !== null) return;
    this.done.emit();
    await this.router.navigate(['/batch', body.batches[0]?.id ?? batch.id]);
  }

  /** What leaves each cider, then what the new batch begins with. */
  private entries(batchId: string, name: string, tempC: number | null): ReturnType<LogWriter['entry']>[] {
    const why = `blended on ${this.units.day(this.writer.now())}`;
    const out = this.parts()
      .filter((p) => p.source.from === 'batch')
      .map(({ source, volumeL }) => this.writer.entry(source.id, takenFrom(source, volumeL, { batchId, name, why }), source.lastEntryAt));
    const parts = this.parts().map(({ source, volumeL }) => partOf(source, volumeL));
    return [...out, this.writer.entry(batchId, { kind: 'blended', payload: { parts, vessels: this.vessels().fills, tempC } })];
  }
}
