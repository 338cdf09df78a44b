import { LogWriter } from '../../writing/log-writer';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { VersionedSettings } from '@trug/contract/plain';
import type { Attempt, ParsedQuantity } from '@trug/core';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { Units } from '../../units/units';
import { ZoneField } from './zone-field';
import { browserZone } from '../../browser/browser-zone';
import { appFeature } from '../../state/app.reducer';
import { settingsFeature } from '../../state/settings.reducer';
import { controlOf, controlOver } from '../../shared/field/control-of';
import type { Choice } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { Refusal } from '../../shared/refusal/refusal';

interface Setting {
  readonly field: 'volume' | 'mass' | 'temperature' | 'gravity' | 'pressure' | 'strengthSchool' | 'theme';
  readonly label: string;
  readonly why: string;
  readonly options: readonly Choice[];
}

const CHOICES: readonly Setting[] = [
  {
    field: 'volume',
    label: 'Volume',
    why: 'Any field still takes any unit.',
    options: [
      { id: 'L', name: 'litres' },
      { id: 'us-gal', name: 'US gallons' },
      { id: 'imp-gal', name: 'imperial gallons' },
    ],
  },
  {
    field: 'mass',
    label: 'Weight',
    why: '',
    options: [
      { id: 'metric', name: 'grams and kilos' },
      { id: 'imperial', name: 'ounces and pounds' },
    ],
  },
  {
    field: 'temperature',
    label: 'Temperature',
    why: '',
    options: [
      { id: 'degC', name: '°C' },
      { id: 'degF', name: '°F' },
    ],
  },
  {
    field: 'gravity',
    label: 'Gravity',
    why: 'Below 1.000 it is always SG, the only scale that can say so.',
    options: [
      { id: 'SG', name: 'SG, 1.048' },
      { id: 'Bx', name: '°Brix' },
      { id: 'g/L', name: 'g/L of solids' },
    ],
  },
  {
    field: 'pressure',
    label: 'Pressure',
    why: '',
    options: [
      { id: 'bar', name: 'bar' },
      { id: 'psi', name: 'psi' },
    ],
  },
  {
    field: 'strengthSchool',
    label: 'Strength by',
    why: 'Mass balance gives about 131 at cider strength and 135 at wine strength, so the fixed factors are right where they speak.',
    options: [
      { id: 'mass-balance', name: 'mass balance' },
      { id: 'x131.25', name: '× 131.25' },
      { id: 'x135', name: '× 135' },
      { id: 'duty-table', name: 'sliding table' },
    ],
  },
  {
    field: 'theme',
    label: 'Light',
    why: '',
    options: [
      { id: 'system', name: 'as the machine' },
      { id: 'daylight', name: 'daylight' },
      { id: 'lamplight', name: 'lamplight' },
    ],
  },
];

/** Settings: units, the strength school, the hydrometer and the light. */
@Component({
  selector: 'trug-settings-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, QuantityField, ZoneField, TextField, ToggleField, Refusal],
  template: `
    <section class="page">
      <div class="page-head"><h1>Settings</h1></div>
      <p class="book"><a class="link" routerLink="/settings/book">Where it is kept: backups, going back, out and in</a></p>
      <div class="grid">
        @for (choice of choices; track choice.field) {
          <trug-toggle [label]="choice.label" [attr.name]="choice.field" [formControl]="choice.control" [options]="choice.options" [hint]="choice.why" />
        }
        <trug-zone-field
          [zone]="settings().timeZoneChosen ? settings().timeZone : ''"
          [hint]="'Your days begin and end by it: now it is ' + units.moment(now()) + '.'"
          (chosen)="changeZone($event)"
        />
        <trug-quantity
          label="Your hydrometer is marked for"
          name="calibrated"
          dimension="temperature"
          [placeholder]="units.temperature(settings().calibratedAtC)"
          hint="It stands on the stem or its box, often 20 °C or 60 °F."
          [formControl]="calibratedControl"
        />
        <trug-text
          label="In plain water it reads"
          name="offset"
          [placeholder]="(1 - settings().offsetSg).toFixed(3)"
          hint="At the temperature it is marked for. Trug adds the difference to each reading."
          [formControl]="waterControl"
        />
        <trug-quantity
          label="Hottest day your bottles see"
          name="hottest"
          dimension="temperature"
          [placeholder]="units.temperature(settings().hottestC)"
          [formControl]="hottestControl"
        />
      </div>
      <trug-refusal [why]="refusal()" />
      <button class="btn btn-main" type="button" (click)="keepFigures()">Keep these figures</button>
    </section>
  `,
  styles: `
    .book {
      margin: 0 0 1.25rem;
    }
    .grid {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
      gap: 1.25rem 1.375rem;
      margin-bottom: 1.25rem;
    }
  `,
})
export class SettingsPage {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  protected readonly settings = this.store.selectSignal(settingsFeature.selectSettings);
  protected readonly now = this.store.selectSignal(appFeature.selectNow);
  protected readonly choices = CHOICES.map((choice) => ({
    ...choice,
    control: controlOver<string>(
      '',
      computed(() => this.settings()[choice.field]),
      (value) => this.save({ [choice.field]: value }),
    ),
  }));
  protected readonly calibrated = signal('');
  protected readonly water = signal('');
  protected readonly hottest = signal('');
  protected readonly calibratedControl = controlOf(this.calibrated);
  protected readonly waterControl = controlOf(this.water);
  protected readonly hottestControl = controlOf(this.hottest);
  protected readonly refusal = signal<string | null>(null);

  protected changeZone(zone: string): void {
    this.save({ timeZone: zone === '' ? browserZone() : zone, timeZoneChosen: zone !== '' });
  }

  protected keepFigures(): void {
    const calibrated = readQuantity(this.units, this.calibrated(), 'temperature');
    const hottest = readQuantity(this.units, this.hottest(), 'temperature');
    const water = this.water().trim() === '' ? null : Number(this.water().replace(',', '.'));
    const changes: { calibratedAtC?: number; hottestC?: number; offsetSg?: number } = {};
    const why = [
      outside(calibrated, 4, 30) ? this.units.say('A hydrometer is marked for a temperature between 4 and 30 °C.') : null,
      outside(hottest, 5, 50) ? this.units.say('The hottest day lies between 5 and 50 °C.') : null,
      water !== null && !(Math.abs(1 - water) <= 0.02)
        ? 'In plain water a hydrometer reads between 0.980 and 1.020. Further off, it is broken or the wrong instrument.'
        : null,
    ].find((reason) => reason !== null);
    this.refusal.set(why ?? null);
    if (why !== undefined) return;
    if (calibrated?.ok === true) changes.calibratedAtC = calibrated.value.value;
    if (hottest?.ok === true) changes.hottestC = hottest.value.value;
    if (water !== null) changes.offsetSg = 1 - water;
    this.save(changes);
  }

  private save(changes: Partial<Record<keyof VersionedSettings, string | number | boolean>>): void {
    // Each choice is offered by this page from what the contract allows for it.
    void this.writer.choose(changes as Partial<VersionedSettings>);
  }
}

/** Whether something was typed that is unreadable or out of range. */
function outside(read: Attempt<ParsedQuantity> | null, min: number, max: number): boolean {
  return read !== null && (!read.ok || read.value.value < min || read.value.value > max);
}
