import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import type { PlaceDto } from '@trug/contract/plain';
import { readQuantity } from '../../shared/field/quantity-field';
import { Units } from '../../units/units';
import { LogWriter } from '../../writing/log-writer';
import { ResourceWriter } from '../../writing/resource-writer';
import { TypedLine } from '../../shared/field/typed-line';
import { Rename } from './rename';
import { Refusal } from '../../shared/refusal/refusal';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
/** Temperatures are drawn between these, °C. */
const COLDEST_C = -5;
const WARMEST_C = 30;

/** A place and its twelve months, each a figure that can be set and a bar that shows it. */
@Component({
  selector: 'trug-place-year',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TypedLine, Rename, Refusal],
  template: `
    <div class="named">
      <b>{{ place().name }}</b>
      <button
        class="link quiet"
        type="button"
        [attr.aria-label]="'Change ' + place().name"
        [attr.aria-expanded]="changing()"
        (click)="changing.set(!changing())"
      >
        change
      </button>
    </div>
    @if (changing()) {
      <trug-rename [name]="place().name" (renamed)="rename($event)" (retired)="retire()" />
    }
    <div class="year">
      @for (m of months(); track m.name; let i = $index) {
        <div class="month">
          <span class="bar" [style.height.%]="m.height" [style.--warm]="m.height + '%'"></span>
          <trug-line
            class="slim tight"
            [name]="'month-' + i"
            [spoken]="m.name + ' in ' + place().name"
            [text]="m.text"
            (typed)="set(i, $event)"
            inputmode="decimal"
          />
          <span>{{ m.name }}</span>
        </div>
      }
    </div>
    @if (changed()) {
      <button class="btn btn-small" type="button" (click)="save()">Write it down</button>
    }
    <trug-refusal [why]="refusal()" />
  `,
  styleUrl: './place-year.scss',
})
export class PlaceYear {
  private readonly writer = inject(LogWriter);
  private readonly resources = inject(ResourceWriter);
  private readonly units = inject(Units);
  readonly place = input.required<PlaceDto>();
  protected readonly changing = signal(false);
  protected readonly refusal = signal<string | null>(null);
  protected readonly texts = linkedSignal(() => this.place().monthlyC.map((c) => this.units.temperature(c)));
  protected readonly changed = computed(() => this.texts().some((text, i) => text !== this.units.temperature(this.place().monthlyC[i] ?? 0)));
  protected readonly months = computed(() =>
    MONTHS.map((name, i) => {
      const text = this.texts()[i] ?? '';
      const tempC = this.readC(text) ?? this.place().monthlyC[i] ?? 0;
      const share = (Math.min(WARMEST_C, Math.max(COLDEST_C, tempC)) - COLDEST_C) / (WARMEST_C - COLDEST_C);
      return { name, text, height: Math.round(share * 100) };
    }),
  );

  protected set(month: number, text: string): void {
    this.texts.update((now) => now.map((was, i) => (i === month ? text : was)));
  }

  protected async save(): Promise<void> {
    const read = this.texts().map((text) => this.readC(text));
    const wrong = read.findIndex((c) => c === null);
    if (wrong >= 0) {
      this.refusal.set(`“${this.texts()[wrong] ?? ''}” for ${MONTHS[wrong] ?? ''} is no temperature. Write it as 12 C or 54 F.`);
      return;
    }
    await this.keep({ monthlyC: read.flatMap((c) => c ?? []) }, `The year of ${this.place().name} is kept.`);
  }

  protected async rename(name: string): Promise<void> {
    await this.keep({ name }, `It is called ${name} now.`);
    this.changing.set(false);
  }

  protected retire(): Promise<void> {
    return this.keep({ retiredOn: this.units.dateOf(this.writer.now()) }, `${this.place().name} is put away for good.`);
  }

  private async keep(changes: Partial<Pick<PlaceDto, 'name' | 'monthlyC' | 'retiredOn'>>, said: string): Promise<void> {
    this.refusal.set((await this.resources.save({ of: 'places', resource: Object.assign({}, this.place(), changes) }, said)).refused);
  }

  private readC(text: string): number | null {
    const read = readQuantity(this.units, text, 'temperature');
    return read?.ok === true ? Math.round(read.value.value * 10) / 10 : null;
  }
}
