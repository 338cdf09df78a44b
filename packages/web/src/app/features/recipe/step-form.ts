import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { MatCheckbox } from '@angular/material/checkbox';
import type { StoredRecipe } from '@trug/contract/plain';
import { amountsOf, withAmounts } from '@trug/core/book/entry/entry-amounts';
import { asEntry, inOrder, withContent } from '@trug/core/book/recipe/kept-recipe';
import { BEGINNINGS, type KeptStep } from '@trug/core/book/recipe/recipe-step';
import { NumberField, readNumber } from '../../shared/field/number-field';
import { QuantityField } from '../../shared/field/quantity-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Units } from '../../units/units';
import { ResourceWriter } from '../../writing/resource-writer';
import { fieldOf, readAmount, saidAmount } from '../when/amount-field';

const text = (): FormControl<string> => new FormControl('', { nonNullable: true });

/** A step of a recipe put right: its day, what goes in for the size it is written for, and its note. */
@Component({
  selector: 'trug-step-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, MatCheckbox, NumberField, QuantityField, TextField, Refusal],
  template: `
    @if (step(); as s) {
      <form class="card" [formGroup]="form" (ngSubmit)="file()">
        <h3>Change it</h3>
        <p class="hint">Amounts are for {{ written() }}, the size it is written for. A field left empty stays as it was.</p>
        <div class="fields">
          @if (!isBeginning()) {
            <trug-number label="Days after the first" name="stepDays" figure="recipeDays" [placeholder]="'' + s.afterDays" formControlName="days" />
          }
          <ng-container formGroupName="amounts">
            @for (a of amounts(); track a.key) {
              @if (a.dimension; as dimension) {
                <trug-quantity [label]="a.label" [name]="a.key" [dimension]="dimension" [placeholder]="a.was" [formControlName]="a.key" />
              } @else {
                <trug-number [label]="a.label" [name]="a.key" [figure]="a.figure" [placeholder]="a.was" [formControlName]="a.key" />
              }
            }
          </ng-container>
          @if (s.kind === 'note') {
            <trug-text label="What to do" name="stepText" formControlName="text" [longest]="400" />
          } @else {
            <trug-text label="To mind" name="stepNote" formControlName="note" [longest]="400" />
          }
        </div>
        @if (!isBeginning() && amounts().length > 0) {
          <mat-checkbox [disableRipple]="true" formControlName="fixed">The same at any size</mat-checkbox>
        }
        <trug-refusal [why]="refusal()" />
        <div class="acts">
          <button class="btn btn-main" type="submit">Change it so</button>
          @if (!isBeginning()) {
            <button class="link" type="button" data-writes (click)="takeOut()">Take it out</button>
          }
          <button class="link" type="button" (click)="done.emit()">Not yet</button>
        </div>
      </form>
    }
  `,
  styleUrl: './step-form.scss',
})
export class StepForm {
  private readonly writer = inject(ResourceWriter);
  protected readonly units = inject(Units);
  readonly recipe = input.required<StoredRecipe>();
  /** Its place among the steps, in their order. */
  readonly place = input.required<string | null>();
  readonly done = output();
  protected readonly refusal = signal<string | null>(null);
  private readonly steps = computed(() => inOrder(this.recipe().steps));
  protected readonly step = computed(() => this.steps()[Number(this.place())] ?? null);
  protected readonly isBeginning = computed(() => BEGINNINGS.has(this.step()?.kind ?? 'note'));
  protected readonly form = new FormGroup({
    days: text(),
    note: text(),
    text: text(),
    fixed: new FormControl(false, { nonNullable: true }),
    amounts: new FormRecord<FormControl<string>>({}),
  });
  protected readonly amounts = computed(() => {
    const step = this.step();
    return step ? amountsOf(asEntry(step)).map((amount) => ({ ...amount, ...fieldOf(amount.measure), was: saidAmount(amount, this.units) })) : [];
  });
  protected readonly written = computed(() => {
    const [first] = this.steps();
    const began = first ? amountsOf(asEntry(first)).find(({ key }) => key === 'volumeL') : undefined;
    return began ? this.units.volumeAbout(began.value) : 'the amount it begins with';
  });

  constructor() {
    effect(() => {
      const step = this.step();
      if (step) untracked(() => this.startFrom(step));
    });
  }

  private startFrom(step: KeptStep): void {
    for (const { key } of amountsOf(asEntry(step))) this.form.controls.amounts.setControl(key, text());
    this.form.patchValue({ note: step.note, fixed: step.fixed, text: step.kind === 'note' ? step.payload.text : '' });
  }

  protected async file(): Promise<void> {
    const step = this.step();
    if (!step) return;
    const changed = this.changed(step);
    if (typeof changed === 'string') this.refusal.set(changed);
    else
      await this.save(
        this.steps().map((each) => (each === step ? changed : each)),
        'The recipe is changed.',
      );
  }

  protected async takeOut(): Promise<void> {
    const step = this.step();
    await this.save(
      this.steps().filter((each) => each !== step),
      'It is taken out of the recipe.',
    );
  }

  private async save(steps: readonly KeptStep[], said: string): Promise<void> {
    const { refused } = await this.writer.save({ of: 'recipes', resource: { ...this.recipe(), steps } }, said);
    this.refusal.set(refused);
    if (refused === null) this.done.emit();
  }

  /** The step as the form has it, or why something typed cannot be used. */
  private changed(step: KeptStep): KeptStep | string {
    const { days, note, text: words, fixed, amounts } = this.form.getRawValue();
    const day = readNumber(days, 'recipeDays');
    if (day?.ok === false) return day.error.message;
    const values = new Map<string, number>();
    for (const amount of this.amounts()) {
      const read = readAmount(amount, amounts[amount.key] ?? '', this.units);
      if (typeof read === 'string') return read;
      if (read !== null) values.set(amount.key, read);
    }
    const when = { fixed, afterDays: Math.round(day?.value ?? step.afterDays) };
    if (step.kind !== 'note') return { ...withContent(step, { ...withAmounts(asEntry(step), values), note }), ...when };
    const todo = words.trim();
    return todo === '' ? 'Write what is to be done, or take it out.' : { ...step, ...when, payload: { text: todo } };
  }
}
