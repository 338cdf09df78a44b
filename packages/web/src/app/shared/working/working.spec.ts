import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { correctHydrometer } from '@trug/core/matter/measure/correct-hydrometer';
import { PageHarness } from '../../../testing/page-harness';
import { Icon } from '../icon/icon';
import { Tape } from '../tape/tape';
import { Working } from './working';

beforeEach(() => {
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
});

it('Working shows each line with the maker’s figures, the result and the source', async () => {
  const { steps } = correctHydrometer({ reading: 1.05, sampleC: 30, calibratedAtC: 20 });
  const page = await PageHarness.open(Working, { inputs: { steps }, settings: { temperature: 'degF' } });
  // A sum stays as it was reckoned, whatever the maker's units; what it is called does not.
  for (const words of ['1.0500', '30.0 °C', '= 1.0524', 'Kell 1975']) expect(page.text()).toContain(words);
  const named = await PageHarness.open(Working, {
    inputs: { steps: [{ label: 'Pressure on a 26 °C day', expression: '', result: '', source: '' }] },
    settings: { temperature: 'degF' },
  });
  expect(named.text('b')).toBe('Pressure on a 79 °F day');
});

it('Tape carries a name and a line in its colour', async () => {
  const fixture = TestBed.createComponent(Tape);
  fixture.componentRef.setInput('name', 'Back jar');
  fixture.componentRef.setInput('line', '5 L');
  fixture.componentRef.setInput('tape', 'moss');
  await fixture.whenStable();
  const host = fixture.nativeElement as HTMLElement;
  expect(host.textContent).toBe('Back jar5 L');
  expect(host.style.getPropertyValue('--tape')).toBe('var(--tape-moss)');
});

it.each(['shelf', 'juice', 'year', 'cellar', 'practice', 'cupboard', 'settings', 'yes', 'note', 'warn', 'add', 'write'] as const)(
  'Icon draws %s, hidden from readers',
  async (name) => {
    const fixture = TestBed.createComponent(Icon);
    fixture.componentRef.setInput('name', name);
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg');
    expect(svg?.getAttribute('aria-hidden')).toBe('true');
    expect(svg?.querySelectorAll('path').length).toBeGreaterThan(0);
  },
);
