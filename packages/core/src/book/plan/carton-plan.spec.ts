import { gravityOf } from '../../matter/liquid/views.js';
import { rawGravity } from '../../testing/made-logs.js';
import { cartonPlan, type CartonInputs, type CartonPlan } from './carton-plan.js';

const input: CartonInputs = {
  fruit: 'apple',
  volumeL: 20,
  sugarGPer100Ml: null,
  read: rawGravity(1.048),
  ph: null,
  preservative: 'none',
  targetAbv: 7,
  fermentableId: 'sucrose',
  yeastId: 'crisp-cider',
  tempC: 18,
  cleanStart: 'none',
  sulfiteForm: 'tablet',
  capacityL: 23,
  methodId: 'carton-quick',
  startAt: '2026-11-23T10:00:00.000Z',
};
const plan = (changes: Partial<CartonInputs>): CartonPlan => {
  const outcome = cartonPlan({ ...input, ...changes });
  if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome));
  return outcome.plan;
};

describe('cartonPlan', () => {
  it('finds the sugar for the strength, the room and the yeast', () => {
    const p = plan({});
    expect(p.dryAbv).toBeCloseTo(7, 3);
    expect(p.sugar?.massG).toBeCloseTo(158, 0);
    expect(p.room).toBe('good');
    expect(p.pitchG).toBeCloseTo(5, 1);
  });
  it('stops at preserved juice with the reason', () => {
    expect(cartonPlan({ ...input, preservative: 'sorbate-benzoate' })).toMatchObject({ kind: 'refused', why: expect.stringContaining('will not ferment') });
  });
  it('asks for what is missing before anything else', () => {
    expect(cartonPlan({ ...input, volumeL: null })).toMatchObject({ kind: 'untold' });
    expect(cartonPlan({ ...input, read: null })).toMatchObject({ kind: 'untold', what: expect.stringContaining('sugar') });
  });
  it('takes the carton’s sugar when there is no reading, and trusts the reading when there are both', () => {
    expect(plan({ read: null, sugarGPer100Ml: 10.6 }).gravity.instrument).toBe('carton');
    expect(plan({ sugarGPer100Ml: 10.6 }).gravity).toMatchObject({ instrument: 'hydrometer', reading: 1.048 });
  });
  it('corrects a warm sample, and reads a lens', () => {
    expect(gravityOf(plan({ read: { ...rawGravity(1.048), sampleC: 30 } }).juice)).toBeCloseTo(1.0504, 3);
    expect(gravityOf(plan({ read: { ...rawGravity(12), instrument: 'refractometer' } }).juice)).toBeCloseTo(1.0484, 3);
  });
  it('says so when the juice alone is stronger, or the yeast too weak', () => {
    expect(plan({ targetAbv: 4 })).toMatchObject({ sugar: null, unsugared: 'This juice alone reaches 6.5 %, so no sugar goes in.' });
    expect(plan({ targetAbv: 11, yeastId: 'english-ale' }).cautions.map((c) => c.id)).toContain('over-tolerance');
  });
  it('doses sulfite in the maker’s form and warns of too little room', () => {
    expect(plan({ cleanStart: 'sulfite' }).sulfite?.amount).toMatch(/tablets/);
    expect(plan({ capacityL: 20.5 }).room).toBe('too-full-for-foam');
    expect(plan({ capacityL: 15 }).room).toBe('will-not-fit');
  });
  it.each([{ volumeL: -3 }, { volumeL: 9000 }, { read: rawGravity(1.5) }, { ph: 35 }])('refuses %p in words, naming the limits', (wrong) => {
    const outcome = cartonPlan({ ...input, ...wrong });
    expect(outcome.kind).toBe('refused');
    expect(outcome.kind === 'refused' && outcome.why).not.toMatch(/volumeL|undefined|NaN/);
  });
});
