import { ChangeDetectionStrategy, Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { provideMockStore } from '@ngrx/store/testing';
import { DEFAULT_SETTINGS } from '@trug/contract/plain';
import { NumberField } from '../field/number-field';
import { Refusal } from './refusal';

@Component({
  selector: 'trug-test-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, Refusal],
  template: `
    <form [formGroup]="form">
      <trug-number label="pH" name="ph" figure="ph" formControlName="ph" />
      <trug-number label="Acid" name="ta" figure="taGPerL" formControlName="ta" />
      <trug-refusal [why]="why()" />
    </form>
  `,
})
class TestForm {
  readonly form = new FormGroup({ ph: new FormControl('3.4', { nonNullable: true }), ta: new FormControl('5', { nonNullable: true }) });
  readonly why = signal<string | null>(null);
}

let fixture: ComponentFixture<TestForm>;
const focused = (): string | null => document.activeElement?.getAttribute('name') ?? null;
beforeEach(async () => {
  TestBed.configureTestingModule({
    providers: [provideZonelessChangeDetection(), provideMockStore({ initialState: { settings: { settings: DEFAULT_SETTINGS } } })],
  });
  fixture = TestBed.createComponent(TestForm);
  await fixture.whenStable();
});

it('is told, and leads to the first field that is wrong', async () => {
  const { form, why } = fixture.componentInstance;
  form.controls.ta.setValue('lots');
  await fixture.whenStable();
  expect(focused()).toBeNull();
  why.set('That is no acidity.');
  await fixture.whenStable();
  expect((fixture.nativeElement as HTMLElement).querySelector('[role=alert]')?.textContent).toBe('That is no acidity.');
  expect(focused()).toBe('ta');
});

it('leaves the focus where nothing is wrong beside a field, and comes into sight itself', async () => {
  const brought = jest.spyOn(Element.prototype, 'scrollIntoView');
  fixture.componentInstance.why.set('The server did not answer.');
  await fixture.whenStable();
  expect(focused()).toBeNull();
  expect(brought.mock.contexts).toEqual([(fixture.nativeElement as HTMLElement).querySelector('[role=alert]')]);
  fixture.componentInstance.why.set(null);
  await fixture.whenStable();
  expect((fixture.nativeElement as HTMLElement).querySelector('[role=alert]')).toBeNull();
});
