import { TestBed } from '@angular/core/testing';
import { provideMockStore } from '@ngrx/store/testing';
import { DEFAULT_SETTINGS, type VersionedSettings } from '@trug/contract/plain';
import { filled, finishedLog, pitched, reading, sampleEntry, sampleView } from '../../testing/sample-batch';
import { readQuantity } from './field/quantity-field';
import { newId } from '../browser/new-id';
import { typedQuantity } from '../units/typed-quantity';
import { Units } from '../units/units';
import { drinkLook } from './vessel/drink-look';

function unitsOf(settings: Partial<VersionedSettings> = {}): Units {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideMockStore({ initialState: { settings: { settings: { ...DEFAULT_SETTINGS, ...settings } } } })] });
  return TestBed.inject(Units);
}

describe('Units', () => {
  it('reads bare numbers in the maker’s own unit, and any unit that is named', () => {
    const units = unitsOf({ volume: 'imp-gal', temperature: 'degF', mass: 'imperial' });
    expect(typedQuantity('2', 'volume', units.preferences()).value).toBeCloseTo(9.09218, 5);
    expect(typedQuantity('2 gal', 'volume', units.preferences()).value).toBeCloseTo(9.09218, 5);
    expect(typedQuantity('64', 'temperature', units.preferences()).value).toBeCloseTo(17.78, 2);
    expect(typedQuantity('18 C', 'temperature', units.preferences()).value).toBe(18);
    expect(typedQuantity('8', 'mass', units.preferences()).value).toBeCloseTo(226.8, 1);
  });
  it('writes what it would read back', () => {
    const units = unitsOf({ volume: 'us-gal', temperature: 'degF', pressure: 'psi' });
    expect([units.volume(18.927), units.temperature(18), units.pressure(2), units.percent(6.53)]).toEqual(['5 US gal', '64 °F', '29 psi', '6.5 %']);
  });
  it('tells an amount as near as the marks on its vessel, and less than a litre by a jug’s', () => {
    expect([0.15, 0.347, 12.96].map((litres) => unitsOf().volumeAbout(litres))).toEqual(['150 mL', '350 mL', '13 L']);
    expect(unitsOf({ volume: 'us-gal' }).volumeAbout(18.927)).toBe('5 US gal');
  });
  it('knows nothing typed from something unreadable', () => {
    const units = unitsOf();
    expect(readQuantity(units, '  ', 'volume')).toBeNull();
    expect(readQuantity(units, 'some', 'volume')).toMatchObject({ ok: false, error: { code: 'UNREADABLE' } });
    expect(readQuantity(units, '5 L', 'volume')).toMatchObject({ ok: true, value: { value: 5 } });
  });
});

describe('newId', () => {
  it('makes ULIDs that keep the order in which they were made', () => {
    const ids = Array.from({ length: 200 }, () => newId());
    expect([...ids].sort()).toEqual(ids);
    expect(new Set(ids).size).toBe(200);
    expect(ids[0]).toMatch(/^[0-9A-HJKMNP-TV-Z]{26}$/);
  });
});

describe('drinkLook', () => {
  const look = (log: Parameters<typeof sampleView>[0], today: number): ReturnType<typeof drinkLook> => {
    const view = sampleView(log, today);
    return drinkLook(view.state, view.verdict?.value ?? null, new Date(Date.UTC(2026, 9, 1 + today, 10)).toISOString());
  };
  it('bubbles while it works and not before or after', () => {
    expect(look([filled()], 0).working).toBe(false);
    expect(look([filled(), pitched()], 1).working).toBe(true);
    expect(look([filled(), pitched(), reading(4, 1.03), reading(7, 1.02)], 7).working).toBe(true);
    expect(look(finishedLog(), 26).working).toBe(false);
  });
  it('clears with rest, and leaves its lees behind when racked', () => {
    const racked = [...finishedLog(), sampleEntry('racked', 27, { vessels: [{ vesselId: 'V', volumeL: 19.5 }], lossL: 0.5 })];
    expect(look(racked, 60).haze).toBeLessThan(look(racked, 28).haze);
    expect(look(racked, 28).sedimentMm).toBeLessThan(look(finishedLog(), 26).sedimentMm);
  });
});
