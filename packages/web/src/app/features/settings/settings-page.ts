import { ResourceWriter } from '../../writing/resource-writer';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { VersionedSettings } from '@trug/contract/plain';
import type { Attempt, ParsedQuantity } from '@trug/core';
import { firstRefusal, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { Units } from '../../units/units';
import { ZoneField } from './zone-field';
import { browserZone } from '../../browser/browser-zone';
import { appFeature } from '../../state/app.reducer';
import { settingsFeature } from '../../state/settings.reducer';
import { controlOf, controlOver } from '../../shared/field/control-of';
import type { Choice } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { plainNumber } from '../../shared/field/plain-number';
import { isWithin, type Range } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import { checkInstrument } from '@trug/core/book/device/instrument-check';
import { STRENGTH_SCHOOL_WORDS } from '@trug/core/matter/measure/strength-schools';
import { ChoiceField } from '../../shared/field/choice-field';
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
    why: '',
    options: STRENGTH_SCHOOL_WORDS,
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
  imports: [ReactiveFormsModule, RouterLink, QuantityField, ZoneField, TextField, ToggleField, ChoiceField, Refusal],
  template: `
    <section class="page">
      <div class="page-head"><h1>Settings</h1></div>
      <p class="book"><a class="link" routerLink="/settings/book">Where it is kept: backups, going back, out and in</a></p>
      <div class="grid">
        @for (choice of choices; track choice.field) {
          @if (choice.field === 'strengthSchool') {
            <trug-choice class="wide" [label]="choice.label" [name]="choice.field" [formControl]="choice.control" [options]="choice.options" />
          } @else {
            <trug-toggle [label]="choice.label" [attr.name]="choice.field" [formControl]="choice.control" [options]="choice.options" [hint]="choice.why" />
          }
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
          [error]="problems().calibrated"
          [formControl]="calibratedControl"
        />
        <trug-text
          label="In plain water it reads"
          name="offset"
          [placeholder]="(1 - settings().offsetSg).toFixed(3)"
          hint="At the temperature it is marked for. Trug adds the difference to each reading."
          [error]="problems().water"
          [formControl]="waterControl"
        />
        <trug-quantity
          label="Hottest day your bottles see"
          name="hottest"
          dimension="temperature"
          [placeholder]="units.temperature(settings().hottestC)"
          [error]="problems().hottest"
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
  private readonly writer = inject(ResourceWriter);
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

  /** What is typed, and what it was found to be. */
  private readonly typed = computed(() => {
    const calibrated = readQuantity(this.units, this.calibrated(), 'temperature');
    const isMark = calibrated?.ok === true && isWithin(calibrated.value.value, LIMITS.calibratedAtC);
    const calibratedAtC = isMark ? calibrated.value.value : this.settings().calibratedAtC;
    return {
      calibrated,
      hottest: readQuantity(this.units, this.hottest(), 'temperature'),
      water: this.water().trim() === '' ? null : checkInstrument('hydrometer', plainNumber(this.water()) ?? NaN, { calibratedAtC, sampleC: calibratedAtC }),
    };
  });
  protected readonly problems = computed(() => {
    const { calibrated, hottest, water } = this.typed();
    return {
      calibrated: this.outside(calibrated, LIMITS.calibratedAtC, 'A hydrometer is marked for a temperature'),
      hottest: this.outside(hottest, LIMITS.plannedHottestC, 'The hottest day lies'),
      water: water?.ok === false ? water.text : null,
    };
  });

  protected keepFigures(): void {
    const { calibrated, hottest, water } = this.typed();
    const refused = firstRefusal([calibrated, hottest]) ?? Object.values(this.problems()).find((why) => why !== null) ?? null;
    this.refusal.set(refused);
    if (refused !== null) return;
    this.save({
      ...(calibrated?.ok === true ? { calibratedAtC: calibrated.value.value } : {}),
      ...(hottest?.ok === true ? { hottestC: hottest.value.value } : {}),
      ...(water?.ok === true ? { offsetSg: water.offset } : {}),
    });
  }

  private outside(read: Attempt<ParsedQuantity> | null, limits: Range, what: string): string | null {
    if (read?.ok !== true || isWithin(read.value.value, limits)) return null;
    return `${what} between ${this.units.temperature(limits.min)} and ${this.units.temperature(limits.max)}.`;
  }

  private save(changes: Partial<Record<Exclude<keyof VersionedSettings, 'putOff'>, string | number | boolean>>): void {
    // Each choice is offered by this page from what the contract allows for it.
    void this.writer.choose(changes as Partial<VersionedSettings>);
  }
}
