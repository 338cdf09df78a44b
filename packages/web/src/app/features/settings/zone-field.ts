import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import { OfferedLine } from '../../shared/field/offered-line';
import { browserZone } from '../../browser/browser-zone';

/** What stands for “whatever this browser says”. */
const AS_BROWSER = '';
const MOST_OFFERED = 30;

/** Where the maker's days begin and end: as the browser has it, or a zone of their choice. */
@Component({
  selector: 'trug-zone-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OfferedLine],
  template: `
    <trug-offered
      label="Time zone"
      name="timeZone"
      [text]="text()"
      [placeholder]="own"
      [offers]="offers()"
      [say]="unknown() ? 'Trug knows no zone of that name. Begin with a continent or a city, such as Lisbon.' : hint()"
      [isWrong]="unknown()"
      (typed)="text.set($event)"
      (picked)="choose($event === asBrowser ? '' : $event)"
      (left)="settle()"
    />
  `,
})
export class ZoneField {
  /** The zone chosen by hand; empty while it follows the browser. */
  readonly zone = input.required<string>();
  readonly hint = input('');
  readonly chosen = output<string>();
  protected readonly own = browserZone();
  protected readonly asBrowser = `as this browser: ${this.own}`;
  /** As typed; what is chosen elsewhere comes in its place. */
  protected readonly text = linkedSignal(() => this.zone());
  private readonly all = Intl.supportedValuesOf('timeZone');
  private readonly offered = computed(() => {
    const words = this.text().toLowerCase().replaceAll(' ', '_');
    return this.all.filter((zone) => zone.toLowerCase().includes(words)).slice(0, MOST_OFFERED);
  });
  protected readonly offers = computed(() => [this.asBrowser, ...this.offered()]);
  protected readonly unknown = signal(false);

  protected choose(zone: string): void {
    this.unknown.set(false);
    this.text.set(zone);
    if (zone !== this.zone()) this.chosen.emit(zone);
  }

  /** What was typed and left counts when it names a zone; otherwise it stays, with a word about it. */
  protected settle(): void {
    const typed = this.text().trim();
    const named = typed === AS_BROWSER ? AS_BROWSER : this.all.find((zone) => zone.toLowerCase() === typed.toLowerCase());
    // A zone that is being picked from the list below is told of by the list.
    this.unknown.set(named === undefined && this.offered().length === 0);
    if (named !== undefined) this.choose(named);
  }
}
