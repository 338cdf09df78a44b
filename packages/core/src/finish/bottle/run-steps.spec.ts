import { CLEANING_WAYS } from './cleaning-ways.js';
import { runSteps, syrupWaterMl } from './run-steps.js';

const run = {
  bottleCount: 24,
  testBottle: true,
  freshYeastG: null,
  heatedRoom: null,
  capColour: 'rust',
  cleanedBy: 'no-rinse' as const,
  today: '2026-11-23T10:00:00.000Z',
};
const bulk = { massG: 76, litres: null, of: 'white sugar', mode: 'bulk' as const };
const ids = (steps: readonly { readonly id: string }[]): readonly string[] => steps.map((s) => s.id);

describe('the steps of a bottle run', () => {
  it('dissolve the sugar, stir, and keep a test bottle where fizz is made', () => {
    const steps = runSteps({ ...run, priming: bulk });
    expect(ids(steps)).toEqual(['clean', 'syrup', 'stir', 'fill', 'test', 'cap', 'warm']);
    expect(steps[1]?.how).toContain('76 g of white sugar in 200 mL');
    expect(steps.at(-1)?.text).toBe('In the warm until Mon 14 Dec');
  });
  it('wake the yeast before the sugar goes in, and clean with what there is, each with its time', () => {
    const steps = runSteps({ ...run, priming: bulk, freshYeastG: 1.2, cleanedBy: 'oven' });
    expect(ids(steps)).toEqual(['clean', 'yeast', 'syrup', 'stir', 'fill', 'test', 'cap', 'warm']);
    expect(steps[0]?.how).toMatch(/^Hold each to the light.*out only when it is cold/);
    expect(steps.map((s) => s.waitMin ?? 0)).toEqual([60, 15, 0, 0, 0, 0, 0, 0]);
    expect(steps[1]?.text).toBe('1.2 g of fresh yeast, woken and stirred in');
    for (const { id, how, waitMin } of CLEANING_WAYS) {
      expect(runSteps({ ...run, priming: null, cleanedBy: id })[0]).toMatchObject({ how: expect.stringContaining(how), waitMin });
    }
  });
  it('dose bottle by bottle, or not at all', () => {
    expect(ids(runSteps({ ...run, priming: { ...bulk, mode: 'per-bottle' } }))).toContain('dose');
    expect(ids(runSteps({ ...run, priming: null, testBottle: false }))).toEqual(['clean', 'fill', 'cap', 'rest']);
  });
  it('pour a juice by the litre, with no syrup to boil', () => {
    const juice = { massG: 1900, litres: 1.81, of: 'apple juice', mode: 'bulk' as const };
    const steps = runSteps({ ...run, priming: juice });
    expect(ids(steps).slice(1, 3)).toEqual(['syrup', 'stir']);
    expect(steps[1]?.how).toMatch(/^1\.81 L of it/);
    expect(steps[1]?.how).not.toContain('boiled');
    expect(runSteps({ ...run, priming: { ...juice, mode: 'per-bottle' } })[1]?.how).toContain('syringe');
  });
  it('leave the room that heat wants, and end in the bath', () => {
    const steps = runSteps({ ...run, priming: null, testBottle: false, heatedRoom: 0.07 });
    expect(ids(steps)).toEqual(['clean', 'fill', 'cap', 'bath']);
    expect(steps[1]?.how).toMatch(/^Leave 7 % of each empty/);
  });
  it('count the days on the maker’s calendar', () => {
    expect(runSteps({ ...run, today: '2026-11-23T12:00:00.000Z', zone: 'Pacific/Auckland', priming: bulk }).at(-1)?.text).toBe('In the warm until Tue 15 Dec');
  });
  it('take water for a syrup that pours, in steps a jug shows', () => {
    expect([10, 76, 130].map(syrupWaterMl)).toEqual([50, 200, 350]);
  });
});
