import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { browserZone } from '../../browser/browser-zone';

/** What stands for “whatever this browser says”. */
const AS_BROWSER = '';
const MOST_OFFERED = 30;

/** Where the maker's days begin and end: as the browser has it, or a zone of their choice. */
@Component({
  selector: 'trug-zone-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  template: `
    <div class="field">
      <label for="timeZone">Time zone</label>
      <input
        id="timeZone"
        name="timeZone"
        autocomplete="off"
        [formControl]="control"
        [placeholder]="own"
        [matAutocomplete]="zones"
        [attr.aria-invalid]="unknown()"
        aria-describedby="timeZone-says"
        (blur)="settle()"
      />
      <mat-autocomplete #zones="matAutocomplete" (optionSelected)="choose($event.option.value)">
        <mat-option [value]="asBrowser">as this browser: {{ own }}</mat-option>
        @for (zone of offered(); track zone) {
          <mat-option [value]="zone">{{ zone }}</mat-option>
        }
      </mat-autocomplete>
      <span id="timeZone-says" [class]="unknown() ? 'field-error' : 'hint'">{{
        unknown() ? 'Trug knows no zone of that name. Begin with a continent or a city, such as Lisbon.' : hint()
      }}</span>
    </div>
  `,
})
export class ZoneField {
  /** The zone chosen by hand; empty while it follows the browser. */
  readonly zone = input.required<string>();
  readonly hint = input('');
  readonly chosen = output<string>();
  protected readonly own = browserZone();
  protected readonly asBrowser = AS_BROWSER;
  protected readonly control = new FormControl('', { nonNullable: true });
  private readonly typed = toSignal(this.control.valueChanges, { initialValue: '' });
  private readonly all = Intl.supportedValuesOf('timeZone');
  protected readonly offered = computed(() => {
    const words = this.typed().toLowerCase().replaceAll(' ', '_');
    return this.all.filter((zone) => zone.toLowerCase().includes(words)).slice(0, MOST_OFFERED);
  });
  protected readonly unknown = signal(false);

  constructor() {
    effect(() => this.control.setValue(this.zone()));
  }

  protected choose(zone: string): void {
    this.unknown.set(false);
    this.control.setValue(zone);
    if (zone !== this.zone()) this.chosen.emit(zone);
  }

  /** What was typed and left counts when it names a zone; otherwise it stays, with a word about it. */
  protected settle(): void {
    const typed = this.control.value.trim();
    const named = typed === AS_BROWSER ? AS_BROWSER : this.all.find((zone) => zone.toLowerCase() === typed.toLowerCase());
    // A zone that is being picked from the list below is told of by the list.
    this.unknown.set(named === undefined && this.offered().length === 0);
    if (named !== undefined) this.choose(named);
  }
}
