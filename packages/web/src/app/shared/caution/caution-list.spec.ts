import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Caution } from '@trug/core';
import { caution } from '@trug/core/cautions/catalogue';
import { acknowledges, CautionList } from './caution-list';

async function render(cautions: readonly Caution[]): Promise<HTMLElement> {
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
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
