import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import type { HarnessLoader } from '@angular/cdk/testing';
import { ChangeDetectionStrategy, Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatAutocompleteHarness } from '@angular/material/autocomplete/testing';
import { MatButtonToggleGroupHarness } from '@angular/material/button-toggle/testing';
import { MatCheckboxHarness } from '@angular/material/checkbox/testing';
import { MatDatepickerInputHarness } from '@angular/material/datepicker/testing';
import { MatInputHarness } from '@angular/material/input/testing';
import { MatRadioGroupHarness } from '@angular/material/radio/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { provideMockStore } from '@ngrx/store/testing';
import { DEFAULT_SETTINGS } from '@trug/contract/plain';
import { appFeature } from '../../state/app.reducer';
import { ChoiceField } from './choice-field';
import { controlOf } from './control-of';
import { DateField } from './date-field';
import { NO_DAY } from './no-day';
import { DayField } from './day-field';
import { NumberField } from './number-field';
import { OfferedLine } from './offered-line';
import { QuantityField } from './quantity-field';
import { SelectField } from './select-field';
import { TextField } from './text-field';
import { TickField } from './tick-field';
import { ToggleField } from './toggle-field';

const NOW = '2026-10-16T10:00:00.000Z';
const text = (value = ''): FormControl<string> => new FormControl(value, { nonNullable: true });

@Component({
  selector: 'trug-test-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, ChoiceField, DateField, DayField, OfferedLine, NumberField, QuantityField, SelectField, TextField, TickField, ToggleField],
  template: `
    <form [formGroup]="form">
      <trug-offered label="Place" name="place" formControlName="place" [offers]="['the shed', 'the porch']" />
      <trug-quantity label="Volume" name="volume" dimension="volume" formControlName="volume" hint="to the brim" />
      <trug-number label="pH" name="ph" figure="ph" formControlName="ph" />
      <trug-select label="Sugar" name="sugar" formControlName="sugar" none="nothing" usual="" [options]="sugars" />
      <trug-select label="Way" name="way" formControlName="way" usual="dry" [options]="ways" />
      <trug-choice label="It is" name="is" formControlName="is" [options]="ways" />
      <trug-toggle label="Scale" name="scale" formControlName="scale" [options]="ways" />
      <trug-tick name="sure" formControlName="sure">I am sure</trug-tick>
      <trug-date label="Until" name="until" formControlName="until" />
      <trug-day formControlName="day" />
      <trug-text label="Note" name="note" [formControl]="noteControl" [rows]="3" />
    </form>
  `,
})
class TestForm {
  readonly form = new FormGroup({
    place: text(),
    volume: text(),
    ph: text('3.4'),
    sugar: text(),
    way: text(),
    is: text('wet'),
    scale: text('wet'),
    sure: new FormControl(false, { nonNullable: true }),
    until: text('2026-12-31'),
    day: text(),
  });
  readonly note = signal('as it was');
  readonly noteControl = controlOf(this.note);
  readonly ways = [
    { id: 'wet', name: 'wet' },
    { id: 'dry', name: 'dry', note: 'when in doubt' },
  ];
  readonly sugars = [
    { id: 'cane', name: 'cane sugar', group: 'ferments' },
    { id: 'milk', name: 'milk sugar', group: 'stays' },
  ];
}

let page: TestForm;
let loader: HarnessLoader;
let root: HTMLElement;
let stable: () => Promise<unknown>;
beforeEach(async () => {
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideMockStore({
        initialState: { settings: { settings: DEFAULT_SETTINGS } },
        selectors: [{ selector: appFeature.selectClock, value: { now: NOW, atMs: Date.now() } }],
      }),
    ],
  });
  const fixture = TestBed.createComponent(TestForm);
  page = fixture.componentInstance;
  root = fixture.nativeElement as HTMLElement;
  loader = TestbedHarnessEnvironment.loader(fixture);
  stable = () => fixture.whenStable();
  await stable();
});

const line = (name: string): Promise<MatInputHarness> => loader.getHarness(MatInputHarness.with({ selector: `[name="${name}"]` }));
const list = (name: string): Promise<MatSelectHarness> => loader.getHarness(MatSelectHarness.with({ ancestor: `[name="${name}"]` }));
const says = (name: string): string => root.querySelector(`[name="${name}"] .hint, [name="${name}"] .field-error`)?.textContent.trim() ?? '';

describe('typed fields', () => {
  it('tell the form what was typed, as it was typed, and say beneath what was understood', async () => {
    const volume = await line('volume');
    await volume.setValue('5 gal');
    expect(page.form.value.volume).toBe('5 gal');
    expect(says('volume')).toBe('to the brim');
    await volume.setValue('5');
    expect(says('volume')).toBe('taken as 5 L');
  });
  it('are wrong to the ear as to the eye, and name what says so', async () => {
    const ph = await (await line('ph')).host();
    expect(await ph.getAttribute('aria-invalid')).toBe('false');
    await (await line('ph')).setValue('34');
    expect(await ph.getAttribute('aria-invalid')).toBe('true');
    expect(root.querySelector(`#${(await ph.getAttribute('aria-describedby')) ?? ''}`)?.textContent).toBe(says('ph'));
    expect(says('ph')).not.toBe('');
    expect(page.form.value.ph).toBe('34');
  });
  it('follow the form, and a signal held beside it', async () => {
    page.form.controls.volume.setValue('4 L');
    page.note.set('changed elsewhere');
    await stable();
    expect(await (await line('volume')).getValue()).toBe('4 L');
    expect(await (await line('note')).getValue()).toBe('changed elsewhere');
    await (await line('note')).setValue('by hand');
    expect(page.note()).toBe('by hand');
  });
  it('offer what is known, filtered by what is typed; anything else may be typed', async () => {
    const place = await loader.getHarness(MatAutocompleteHarness.with({ selector: '[name="place"]' }));
    await place.focus();
    await place.enterText('po');
    expect(await Promise.all((await place.getOptions()).map((o) => o.getText()))).toEqual(['the porch']);
    await place.selectOption({ text: 'the porch' });
    expect(page.form.value.place).toBe('the porch');
  });
});

describe('fields to choose from', () => {
  it('show what holds, under its heading, and what is meant while nothing was chosen', async () => {
    expect(await (await list('sugar')).getValueText()).toBe('nothing');
    expect(await (await list('way')).getValueText()).toBe('dry');
    const sugar = await list('sugar');
    await sugar.open();
    expect(await Promise.all((await sugar.getOptionGroups()).map((g) => g.getLabelText()))).toEqual(['ferments', 'stays']);
    await sugar.clickOptions({ text: 'milk sugar' });
    expect(await sugar.getValueText()).toBe('milk sugar');
    expect(page.form.value).toMatchObject({ sugar: 'milk', way: '' });
  });
  it('are named by their label', async () => {
    const host = await (await list('way')).host();
    expect(root.querySelector(`#${((await host.getAttribute('aria-labelledby')) ?? '').trim()}`)?.textContent).toBe('Way');
  });
  it('stand side by side where they are few', async () => {
    await (await loader.getHarness(MatRadioGroupHarness)).checkRadioButton({ label: /dry/ });
    const [, dry] = await (await loader.getHarness(MatButtonToggleGroupHarness)).getToggles();
    await dry?.check();
    await (await loader.getHarness(MatCheckboxHarness)).check();
    expect(page.form.value).toMatchObject({ is: 'dry', scale: 'dry', sure: true });
  });
});

describe('days', () => {
  it('are picked or typed, and what is no day is kept and told', async () => {
    const until = await loader.getHarness(MatDatepickerInputHarness.with({ selector: '[name="until"]' }));
    expect(await until.getValue()).toBe('Thu, 31 Dec 2026');
    await until.setValue('5 Jan 2027');
    expect(page.form.value.until).toBe('2027-01-05');
    // The tenth of March or the third of October: nobody can tell.
    await until.setValue('3/10/2026');
    expect(page.form.value.until).toBe(NO_DAY);
    for (const [typed, day] of [
      ['16/10/2026', '2026-10-16'],
      ['10/16/2026', '2026-10-16'],
      ['2026-10-16', '2026-10-16'],
      ['3.3.2026', '2026-03-03'],
      ['31/2/2026', NO_DAY],
    ] as const) {
      await until.setValue(typed);
      expect([typed, page.form.value.until]).toEqual([typed, day]);
    }
    await until.setValue('never');
    expect(page.form.value.until).toBe(NO_DAY);
    expect(says('until')).toContain('no day');
    await until.setValue('');
    expect(page.form.value.until).toBe('');
  });
  it('know the maker’s today, not this machine’s', async () => {
    const until = await loader.getHarness(MatDatepickerInputHarness.with({ selector: '[name="until"]' }));
    await until.setValue('');
    await until.openCalendar();
    const calendar = await until.getCalendar();
    const [today] = await calendar.getCells({ today: true });
    expect([await today?.getText(), await calendar.getCurrentViewLabel()]).toEqual(['16', 'OCT 2026']);
    await until.closeCalendar();
  });
  it('are named while they are near, and opened on a calendar once they are not', async () => {
    const day = await list('dayChoice');
    await day.clickOptions({ text: 'yesterday' });
    expect(page.form.value.day).toBe('2026-10-15');
    await day.clickOptions({ text: 'an earlier day' });
    expect(page.form.value.day).toBe('2026-10-09');
    const earlier = await loader.getHarness(MatDatepickerInputHarness.with({ selector: '[name="day"]' }));
    await earlier.setValue('1 Sep 2026');
    expect(page.form.value.day).toBe('2026-09-01');
    await day.clickOptions({ text: 'now' });
    expect(page.form.value.day).toBe('');
    page.form.controls.day.setValue('2026-10-14');
    await stable();
    expect(await day.getValueText()).toMatch(/14 Oct/);
  });
});
