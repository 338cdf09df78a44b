import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideMockStore } from '@ngrx/store/testing';
import { DEFAULT_SETTINGS, type VersionedSettings } from '@trug/contract/plain';
import type { Caution } from '@trug/core';
import { caution } from '@trug/core/base/cautions/catalogue';
import { acknowledges, CautionList } from './caution-list';

async function render(cautions: readonly Caution[], settings: Partial<VersionedSettings> = {}): Promise<HTMLElement> {
  const store = provideMockStore({ initialState: { settings: { settings: { ...DEFAULT_SETTINGS, ...settings } } } });
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), store] });
  const fixture = TestBed.createComponent(CautionList);
  fixture.componentRef.setInput('cautions', cautions);
  fixture.componentRef.setInput('acknowledge', true);
  await fixture.whenStable();
  return fixture.nativeElement as HTMLElement;
}

describe('CautionList', () => {
  it('asks for words before a danger, and not for less', async () => {
    expect((await render([caution('wrong-bottle')])).querySelector('input')).not.toBeNull();
    TestBed.resetTestingModule();
    expect((await render([caution('scald')])).querySelector('input')).toBeNull();
  });
  it('speaks in the maker’s units', async () => {
    const hot: Caution = { id: 'x', severity: 'caution', text: 'Above 25 °C it is too warm.', whatToDo: 'Draw off 2 L.' };
    expect((await render([hot], { temperature: 'degF', volume: 'us-gal' })).textContent).toContain('Above 77 °F it is too warm. Draw off 0.53 US gal.');
  });
  it('says on what footing it speaks', async () => {
    expect((await render([caution('burst-glass')])).textContent).toContain('not a licence or medical advice');
  });
});

it.each([
  ['I understand', true],
  [' i understand. ', true],
  ['yes', false],
  ['', false],
])('acknowledges %p: %p', (typed, is) => {
  expect(acknowledges(typed)).toBe(is);
});
