import { CdkTrapFocus } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { attempt } from '@trug/core/base/errors/attempt';
import { QUICK_SUMS, workQuickSum, type QuickField } from '@trug/core/book/quick/quick-sums';
import { CautionList } from '../shared/caution/caution-list';
import { NumberField, readNumber } from '../shared/field/number-field';
import { QuantityField, readQuantity } from '../shared/field/quantity-field';
import { SelectField } from '../shared/field/select-field';
import { Working } from '../shared/working/working';
import { SaidPipe } from '../units/said.pipe';
import { Units } from '../units/units';

/** The name of a field among those of all sums. */
const keyOf = (sum: string, field: string): string => `${sum}-${field}`;

/** A drawer over any place: sums that belong to no batch, worked out while they are typed. */
@Component({
  selector: 'trug-quick-sums',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, CdkTrapFocus, SelectField, QuantityField, NumberField, CautionList, Working, SaidPipe],
  templateUrl: './quick-sums.html',
  styleUrl: './quick-sums.scss',
})
export class QuickSums {
  private readonly units = inject(Units);
  readonly closed = output();
  protected readonly sums = QUICK_SUMS.map(({ id, title }) => ({ id, name: title }));
  protected readonly which = new FormControl('scales', { nonNullable: true });
  private readonly chosen = toSignal(this.which.valueChanges, { initialValue: 'scales' });
  protected readonly form = new FormRecord(
    Object.fromEntries(QUICK_SUMS.flatMap(({ id, fields }) => fields.map(({ name }) => [keyOf(id, name), new FormControl('', { nonNullable: true })]))),
  );
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  protected readonly sum = computed(() => QUICK_SUMS.find((s) => s.id === this.chosen()) ?? QUICK_SUMS[0]);
  protected readonly fields = computed(() => {
    const sum = this.sum();
    return (sum?.fields ?? []).map((field) => ({ ...field, key: keyOf(sum?.id ?? '', field.name), placeholder: this.exampleOf(field) }));
  });
  protected readonly answer = computed(() => {
    const sum = this.sum();
    const none = { refusal: null, found: null };
    if (!sum) return none;
    const figures = new Map<string, number>();
    for (const field of sum.fields) {
      const read = this.read(field, this.typed()[keyOf(sum.id, field.name)] ?? '');
      if (read?.ok === false) return none;
      if (read) figures.set(field.name, read.value);
    }
    const worked = attempt(() => workQuickSum(sum, figures));
    return worked.ok ? { refusal: null, found: worked.value } : { refusal: worked.error.message, found: null };
  });

  private read({ as }: QuickField, text: string): ReturnType<typeof readNumber> {
    if ('figure' in as) return readNumber(text, as.figure);
    const read = readQuantity(this.units, text, as.dimension);
    return read?.ok === true ? { ok: true, value: read.value.value } : read;
  }

  private exampleOf({ as, example }: QuickField): string {
    return 'figure' in as ? String(example) : this.units.example(as.dimension, example);
  }
}
