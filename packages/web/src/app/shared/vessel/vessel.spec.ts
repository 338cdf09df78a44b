import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { VESSEL_KINDS, type VesselKindId } from '@trug/contract/plain';
import { Vessel, type DrinkLook } from './vessel';
import { vesselScale, vesselShape } from './vessel-geometry';

const QUIET: DrinkLook = { fruit: 'apple', haze: 0.1, sedimentMm: 10, working: false };

async function draw(kind: VesselKindId, look: Partial<DrinkLook> = {}, fillFraction = 0.9): Promise<SVGSVGElement> {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  const fixture = TestBed.createComponent(Vessel);
  fixture.componentRef.setInput('kind', kind);
  fixture.componentRef.setInput('fillFraction', fillFraction);
  fixture.componentRef.setInput('look', { ...QUIET, ...look });
  fixture.componentRef.setInput('label', 'Big glass');
  await fixture.whenStable();
  const svg = (fixture.nativeElement as HTMLElement).querySelector('svg');
  if (!svg) throw new Error('nothing was drawn');
  return svg;
}

describe('Vessel', () => {
  it.each(VESSEL_KINDS.map((k) => [k.id, k] as const))('draws a %s true to its size', async (id, kind) => {
    const svg = await draw(id);
    const shape = vesselShape(id);
    expect([shape.widthMm, shape.heightMm]).toEqual([kind.widthMm, kind.heightMm]);
    expect(Number(svg.getAttribute('width')) / 0.375).toBeGreaterThanOrEqual(kind.widthMm);
    expect(svg.getAttribute('aria-label')).toBe('Big glass');
  });
  it('keeps vessels to one scale', async () => {
    const width = async (kind: VesselKindId): Promise<number> => Number((await draw(kind)).getAttribute('width'));
    expect((await width('carboy')) / (await width('jar'))).toBeCloseTo((290 + 16) / (175 + 16), 6);
  });
  it('shows work as foam and bubbles, not as colour alone', async () => {
    const working = await draw('carboy', { working: true });
    expect(working.querySelectorAll('.foam').length).toBeGreaterThan(5);
    expect(working.querySelectorAll('.bubble').length).toBeGreaterThan(5);
    const quiet = await draw('carboy');
    expect(quiet.querySelectorAll('.foam, .bubble')).toHaveLength(0);
  });
  it('stands higher the fuller it is, and tells perry from cider', async () => {
    const level = async (fill: number): Promise<number> => Number((await draw('jar', {}, fill)).querySelector('.drink')?.getAttribute('height'));
    expect(await level(0.9)).toBeGreaterThan(await level(0.4));
    expect((await draw('jar', { fruit: 'pear' })).querySelector('.drink')?.getAttribute('data-fruit')).toBe('pear');
  });
  it('gives each drawing its own clip, so that many stand on one page', async () => {
    const ids = [await draw('jar'), await draw('jar')].map((svg) => svg.querySelector('clipPath')?.id);
    expect(new Set(ids).size).toBe(2);
  });
  it('is drawn as large as it is, beside others of its kind', () => {
    expect(vesselScale('bucket', 25)).toBe(1);
    expect(vesselScale('bucket', null)).toBe(1);
    // Half the volume has sides of four fifths.
    expect(vesselScale('bucket', 12.5)).toBeCloseTo(0.794, 3);
    expect(vesselScale('jar', 0.1)).toBe(0.5);
    expect(vesselScale('keg', 1000)).toBe(1.6);
  });
});
