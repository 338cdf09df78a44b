import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, effect, ElementRef, inject, input, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { actMoment } from '@trug/core/book/entry/act-moment';
import type { BatchView } from '../../state/batch-views.selectors';
import { Clock } from '../../state/clock';
import { momentProblemText } from '../../units/moment-words';
import { Units } from '../../units/units';
import { DoneAt } from '../../writing/done-at';
import { DayField } from '../field/day-field';
import { TextField } from '../field/text-field';

/** When an act was done: now, or the day and hour the maker says. */
@Component({
  selector: 'trug-act-when',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, DayField, TextField],
  template: `
    <div class="fields" [formGroup]="form">
      <trug-day label="Done on" none="today" formControlName="day" />
      <trug-text label="At, if you know" name="doneHour" formControlName="hour" placeholder="14:30" [error]="problem()" />
      <button class="link" type="button" (click)="nowAfterAll.emit()">It is done now</button>
    </div>
    @if (said(); as at) {
      <p class="said" aria-live="polite">It is written down for {{ at }}.</p>
    }
  `,
  styleUrl: './act-when.scss',
})
export class ActWhen {
  private readonly doneAt = inject(DoneAt);
  private readonly clock = inject(Clock);
  private readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  /** The maker does it now after all. */
  readonly nowAfterAll = output();
  protected readonly form = new FormGroup({ day: new FormControl('', { nonNullable: true }), hour: new FormControl('', { nonNullable: true }) });
  private readonly fields = toSignal(this.form.valueChanges, { initialValue: this.form.getRawValue() });
  private readonly moment = computed(() => {
    const { day = '', hour = '' } = this.fields();
    const { lastEntryAt } = this.view().state;
    return actMoment({ day, hour, now: this.clock.now(), lastEntryAt, zone: this.units.zone() });
  });
  protected readonly problem = computed(() => {
    const moment = this.moment();
    const last = this.view().state.lastEntryAt;
    return moment.ok ? null : momentProblemText(moment.why, last === null ? null : this.units.moment(last));
  });
  private readonly at = computed(() => {
    const moment = this.moment();
    return moment.ok ? moment.at : null;
  });
  protected readonly said = computed(() => {
    const at = this.at();
    return at === null ? null : this.units.moment(at);
  });

  constructor() {
    effect(() => {
      this.doneAt.at.set(this.at());
      this.doneAt.problem.set(this.problem());
    });
    inject(DestroyRef).onDestroy(() => this.doneAt.forget());
    // The button that opened it is gone: the keys go on where it leads.
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => host.querySelector<HTMLElement>('[role=combobox]')?.focus());
  }
}
