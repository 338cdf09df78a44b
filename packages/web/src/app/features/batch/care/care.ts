import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import { roomGasL } from '@trug/core/book/care/room-gas';
import { careNotes } from '@trug/core/book/care/care-notes';
import { caution } from '@trug/core/base/cautions/catalogue';
import { isAtRest } from '@trug/core/ferment/verdict/verdict';
import { VENTS, type Vent } from '@trug/core/book/state/entry-choices';
import { CautionList } from '../../../shared/caution/caution-list';
import { selectBatchViews, type BatchView } from '../../../state/batch-views.selectors';
import { SaidPipe } from '../../../units/said.pipe';
import { Units } from '../../../units/units';
import { vesselsFeature } from '../../../state/vessels.reducer';
import { LogWriter } from '../../../writing/log-writer';
import { controlOver } from '../../../shared/field/control-of';
import { SelectField } from '../../../shared/field/select-field';
import { Refusal } from '../../../shared/refusal/refusal';

const VENT_NAMES: Readonly<Record<Vent, string>> = { airlock: 'an airlock', tube: 'a blow-off tube', 'loose-cap': 'a loosened cap' };

/** What to mind while it stands, and how its gas gets out. Nothing is shown of a batch at ease. */
@Component({
  selector: 'trug-care',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, CautionList, SelectField, Refusal],
  template: `
    @if (notes().length > 0 || working() || view().state.pulp) {
      <section aria-label="Care">
        @for (note of notes(); track note.text) {
          <p [class]="note.weight">{{ note.text | said }}</p>
        }
        @if (view().state.pulp) {
          <div class="vent">
            <span>{{ lastStir() }}</span>
            <button class="btn btn-small" type="button" (click)="stir()">Stirred just now</button>
          </div>
        }
        @if (working()) {
          <div class="vent">
            <trug-select class="beside" label="Gas gets out by" name="vent" none="nobody said" [formControl]="control" [options]="vents" />
            @if (chosen() !== vent() && chosen() !== '') {
              <button class="btn btn-small" type="button" (click)="set(chosen())">Write it down</button>
            } @else if (vent() === 'loose-cap') {
              <button class="btn btn-small" type="button" (click)="set('loose-cap')">Let out just now</button>
            }
          </div>
          @if (vent() === 'loose-cap') {
            <trug-cautions [cautions]="danger" />
          }
        }
        <trug-refusal [why]="refusal()" />
      </section>
    }
  `,
  styles: `
    section {
      display: grid;
      gap: 0.5rem;
      margin: 0.875rem 0 0;
    }
    p {
      margin: 0;
      padding: 0.5rem 0.875rem;
      border-left: 4px solid var(--line);
      font-size: 0.9375rem;
    }
    .mind {
      border-left-color: var(--warn);
      background: var(--warn-wash);
    }
    .act {
      border-left: 8px double var(--danger);
      background: var(--danger-wash);
    }
    .vent {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem 0.75rem;
      font-size: 0.9375rem;
    }
    trug-select {
      min-width: 20rem;
    }
  `,
})
export class Care {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  private readonly views = inject(Store).selectSignal(selectBatchViews);
  private readonly vessels = inject(Store).selectSignal(vesselsFeature.selectAll);
  readonly view = input.required<BatchView>();
  readonly now = input.required<string>();
  protected readonly refusal = signal<string | null>(null);
  protected readonly vents = VENTS.map((id) => ({ id, name: VENT_NAMES[id] }));
  protected readonly danger = [caution('let-gas-out')];
  protected readonly vent = computed(() => this.view().state.vent?.vent ?? '');
  /** What is chosen and not yet written down: arrow keys move through a select, and file nothing. */
  protected readonly picked = signal<string | null>(null);
  protected readonly chosen = computed(() => this.picked() ?? this.vent());
  protected readonly control = controlOver<string>('', this.chosen, (vent) => this.picked.set(vent));
  protected readonly working = computed(() => {
    const { state, verdict } = this.view();
    return state.liquid !== null && state.keg === null && verdict !== null && !isAtRest(verdict.value.status);
  });
  /** The gas that everything at work in the same room has still to give. */
  private readonly roomGas = computed(() => {
    const { place } = this.view().state;
    const working = this.views().flatMap(({ state, verdict }) =>
      state.liquid && verdict && !isAtRest(verdict.value.status) ? [{ place: state.place, liquid: state.liquid }] : [],
    );
    return place === null ? 0 : roomGasL(working, place);
  });
  protected readonly notes = computed(() =>
    careNotes(this.view().state, this.view().verdict?.value ?? null, { today: this.now(), vessels: this.vessels(), roomGasL: this.roomGas() }),
  );

  protected readonly lastStir = computed(() => {
    const at = this.view().state.rousedAt;
    return at === null ? 'Not stirred yet' : `Last stirred on ${this.units.moment(at)}`;
  });

  protected async stir(): Promise<void> {
    this.refusal.set(await this.writer.write(this.view(), [{ kind: 'stirred', payload: {} }], 'Stirred.', 'stay'));
  }

  protected async set(choice: string): Promise<void> {
    const vent = VENTS.find((v) => v === choice);
    if (!vent) return;
    const refused = await this.writer.write(this.view(), [{ kind: 'vented', payload: { vent } }], 'Written down.', 'stay');
    this.refusal.set(refused);
    if (refused === null) this.picked.set(null);
  }
}
