import { sgFromBrix } from '../density/brix.js';
import { gaugeNamed, gaugesOf, PLAIN_STEM, rawGravityBy } from './gauge.js';

const plain = { calibratedAtC: 15.6, offsetSg: 0.001 };
const own = (id: string, kind: string, offset: number) => ({ id, kind, name: `my ${id}`, calibratedAtC: 20, offset });

describe('the gauges of a cupboard', () => {
  it('has a plain one of each kind where the maker has none, marked as the settings say', () => {
    expect(gaugesOf([own('pH 1', 'ph-meter', 0.1)], plain)).toEqual([
      { id: 'hydrometer', kind: 'hydrometer', name: 'hydrometer', calibratedAtC: 15.6, offsetSg: 0.001, offsetBrix: 0 },
      { id: 'refractometer', kind: 'refractometer', name: 'refractometer', calibratedAtC: 15.6, offsetSg: 0, offsetBrix: 0 },
    ]);
  });
  it('takes a check’s offset in the instrument’s own unit', () => {
    const [stem, lens] = gaugesOf([own('lens', 'refractometer', -0.2), own('stem', 'hydrometer', 0.002)], plain);
    expect(stem).toMatchObject({ id: 'stem', offsetSg: 0.002, offsetBrix: 0 });
    expect(lens).toMatchObject({ id: 'lens', offsetSg: 0, offsetBrix: -0.2 });
  });
  it('finds one by its id, else by its kind, else the first', () => {
    const gauges = gaugesOf([own('old', 'hydrometer', 0), own('new', 'hydrometer', 0)], plain);
    expect(['new', 'refractometer', 'broken', ''].map((chosen) => gaugeNamed(gauges, chosen)?.id)).toEqual(['new', 'refractometer', 'old', 'old']);
  });
});

describe('a gravity by a gauge', () => {
  it('is stored as a stem showed it, to be corrected later', () => {
    expect(rawGravityBy({ ...PLAIN_STEM, ...plain }, 1.05, 30)).toEqual({
      instrument: 'hydrometer',
      reading: 1.05,
      sampleC: 30,
      calibratedAtC: 15.6,
      offsetSg: 0.001,
    });
  });
  it('is stored in °Bx where a lens showed it, put right by its check and never below water', () => {
    const lens = { ...PLAIN_STEM, kind: 'refractometer' as const, offsetBrix: -0.3 };
    expect(rawGravityBy(lens, sgFromBrix(12), null).reading).toBeCloseTo(11.7, 3);
    expect(rawGravityBy(lens, sgFromBrix(0.1), null).reading).toBe(0);
  });
});
