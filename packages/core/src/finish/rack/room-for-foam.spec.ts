import { blowOffRisk } from '../../book/care/blow-off-risk.js';
import { headspaceCheck } from './headspace.js';

const kind = (foam: 'low' | 'medium' | 'high'): Parameters<typeof blowOffRisk>[0]['yeast'] => ({ name: 'A kind', foam, tempC: [10, 14, 20, 28] });
const risk = (volumeL: number, changes: Partial<Parameters<typeof blowOffRisk>[0]> = {}): ReturnType<typeof blowOffRisk> =>
  blowOffRisk({ volumeL, capacityL: 10, tempC: 20, yeast: kind('medium'), cloudy: false, ...changes });
const wanted = (changes: Partial<Parameters<typeof blowOffRisk>[0]>): number => risk(9, changes).value.wantedFraction;

describe('blowOffRisk', () => {
  it('wants room by the kind, more by 0.8 % for each degree too warm, more for pulp, and never none', () => {
    expect([wanted({ yeast: kind('low') }), wanted({}), wanted({ yeast: kind('high') })]).toEqual([0.05, 0.09, 0.14]);
    expect(wanted({ tempC: 25 })).toBeCloseTo(0.13, 9);
    expect(wanted({ tempC: 15 })).toBeCloseTo(0.05, 9);
    expect(wanted({ tempC: 25, cloudy: true })).toBeCloseTo(0.169, 9);
    expect(wanted({ yeast: kind('low'), tempC: 8 })).toBe(0.02);
  });
  it('is low with all of it, some with half, and high with less', () => {
    expect([9.0, 9.11, 9.54, 9.56].map((volumeL) => risk(volumeL).value.risk)).toEqual(['low', 'some', 'some', 'high']);
    expect([9.0, 9.11, 9.56].map((volumeL) => risk(volumeL).cautions.map((c) => c.id))).toEqual([[], ['foam-room'], ['foam-room']]);
  });
  it('says how much room there is and is wanted, and what to do', () => {
    expect(risk(9).value.text).toBe('Room for foam: 10 % of it is empty, and this yeast at 20 °C may want about 9 %.');
    expect(risk(9.3).value.text).toMatch(/^Foam may reach the bung: 7 % of it is empty.* about 9 %\. Stand it in a tray/);
    expect(risk(9.7).value.text).toMatch(/^Foam will likely reach the bung: 3 % of it is empty.*Draw off 0\.6 L, or fit a blow-off tube\.$/);
    expect(risk(9.96).value.text).toContain('Draw off 0.9 L');
    expect(risk(9, { tempC: 23 }).steps[0]).toMatchObject({ expression: '9 % for medium foam + 3 °C × 0.8 %', result: '11 %' });
    expect(risk(9, { tempC: 17, cloudy: true }).steps[0]?.expression).toBe('9 % for medium foam − 3 °C × 0.8 % × 1.3 for pulp');
    expect(risk(9).steps[0]?.expression).toContain('+ 0 °C');
  });
});

describe('headspaceCheck', () => {
  const check = (volumeL: number, stage: 'working' | 'resting'): ReturnType<typeof headspaceCheck> => headspaceCheck({ volumeL, capacityL: 25, stage });
  const said = (volumeL: number, stage: 'working' | 'resting'): readonly [string, readonly string[]] => {
    const found = check(volumeL, stage);
    return [found.value.verdict, found.cautions.map((c) => c.id)];
  };
  it('wants 8 % for foam while it works, and no more air than that once it rests', () => {
    expect(said(23, 'working')).toEqual(['good', []]);
    expect(said(23.1, 'working')).toEqual(['too-full-for-foam', ['foam-room']]);
    expect(said(23, 'resting')).toEqual(['good', []]);
    expect(said(22.9, 'resting')).toEqual(['too-much-air', ['air-space']]);
    expect(said(22.9, 'working')).toEqual(['good', []]);
    expect(said(24.9, 'resting')).toEqual(['good', []]);
  });
  it('takes no more than there is room for, to the brim', () => {
    expect(said(25.01, 'resting')).toEqual(['will-not-fit', []]);
    expect(said(25, 'resting')).toEqual(['good', []]);
    expect(check(20, 'resting').steps).toMatchObject([{ label: 'Room', expression: '25.0 L − 20.0 L', result: '5.0 L, 20 %' }]);
  });
});
