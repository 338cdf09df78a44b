import fc from 'fast-check';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { EMPTY_STATE, type BatchState } from '../state/batch-state.js';
import { FAULTS, type FaultId } from './fault-data.js';
import { FAULT_QUESTIONS, type FaultAnswers } from './fault-questions.js';
import { factsOfBatch } from './facts-of-batch.js';
import { findFaults } from './find-faults.js';
import { answersOf, signsInNotes } from './signs-in-notes.js';

const first = (answers: FaultAnswers): FaultId | undefined => findFaults(answers).value[0]?.fault.id;

describe('findFaults', () => {
  it.each([
    ['egg', { smell: 'egg', gravity: 'falls' }],
    ['set-sulfide', { smell: 'onion' }],
    ['vinegar', { smell: 'vinegar', surface: 'jelly' }],
    ['film', { surface: 'film', smell: 'clean' }],
    ['mould', { surface: 'fur', smell: 'musty' }],
    ['rope', { pour: 'oil' }],
    ['rope', { pour: 'strings', look: 'silky' }],
    ['mouse', { smell: 'mouse', look: 'clear' }],
    ['solvent', { smell: 'solvent' }],
    ['sickness', { smell: 'banana', look: 'milky' }],
    ['geranium', { smell: 'geranium' }],
    ['oxidised', { smell: 'stale', look: 'brown' }],
    ['pectin-haze', { look: 'haze', hazeTest: 'pectin' }],
    ['starch-haze', { look: 'haze', hazeTest: 'starch' }],
    ['chill-haze', { look: 'cold-haze', hazeTest: 'warms-clear' }],
    ['yeast-haze', { look: 'haze', hazeTest: 'settles', smell: 'clean' }],
    ['bacterial-haze', { look: 'silky', hazeTest: 'none', pour: 'water' }],
    ['stuck', { gravity: 'high', smell: 'clean' }],
    ['gusher', { fizz: 'gush', smell: 'clean' }],
    ['flat', { fizz: 'flat' }],
    ['late-malolactic', { fizz: 'prickle', smell: 'clean' }],
    ['sound', { smell: 'clean', surface: 'nothing', look: 'clear', pour: 'water', gravity: 'end' }],
  ] as const)('finds %s', (fault, answers) => {
    const [best] = findFaults(answers).value;
    expect(best?.fault.id).toBe(fault);
    expect(best?.chance).toBeGreaterThan(0.4);
  });
  it('claims little when little was looked at', () => {
    const [best] = findFaults({}).value;
    expect(best).toMatchObject({ fault: { id: 'sound' }, confidence: 'likely' });
    expect(findFaults({ look: 'haze' }).value.length).toBeGreaterThanOrEqual(3);
    expect(findFaults({ look: 'haze' }).value.every((c) => c.confidence !== 'very likely')).toBe(true);
  });
  it('never calls mould drinkable, and shows its caution', () => {
    const found = findFaults({ surface: 'fur' });
    expect(found.value[0]?.fault.drink.verdict).toBe('no');
    expect(found.cautions.map((c) => c.id)).toContain('mouldy-film');
  });
  it('warns of glass where it gushes', () => expect(findFaults({ fizz: 'gush' }).cautions.map((c) => c.id)).toContain('burst-glass'));
  it('weighs what the log knows', () => {
    const chance = (times: number): number =>
      findFaults({ smell: 'vinegar' }, [{ id: 'film', times, why: 'air' }]).value.find((c) => c.fault.id === 'film')?.chance ?? 0;
    expect(chance(40)).toBeGreaterThan(chance(1));
  });
  it('gives chances that are none below 0 and together at most 1, whatever is answered', () => {
    const answer = fc.record(Object.fromEntries(FAULT_QUESTIONS.map((q) => [q.id, fc.constantFrom(...q.answers.map((a) => a.id), undefined)])));
    fc.assert(
      fc.property(answer, (answers) => {
        const found = findFaults(answers as FaultAnswers).value;
        const sum = found.reduce((total, c) => total + c.chance, 0);
        expect(sum).toBeLessThanOrEqual(1 + 1e-9);
        expect(found.map((c) => c.chance)).toEqual([...found.map((c) => c.chance)].sort((a, b) => b - a));
      }),
      { seed: 3 },
    );
  });
});

describe('the tables', () => {
  it.each(FAULT_QUESTIONS.map((q) => [q.id, q] as const))('%s shares sound drinks out among its answers', (_id, question) => {
    expect(question.answers.reduce((sum, a) => sum + a.inSound, 0)).toBeCloseTo(1, 2);
  });
  it.each(FAULTS.map((f) => [f.id, f] as const))('%s names answers there are, and tells what to do', (_id, fault) => {
    for (const [id, shows] of Object.entries(fault.shows)) {
      const question = FAULT_QUESTIONS.find((q) => q.id === id);
      expect(Object.keys(shows).every((a) => question?.answers.some((b) => b.id === a))).toBe(true);
      expect(Object.values(shows).reduce((sum, p) => sum + p, 0)).toBeLessThanOrEqual(1);
    }
    expect(fault.now.length).toBeGreaterThan(0);
    expect(`${fault.drink.text} ${fault.now.join(' ')}`).not.toMatch(/\b(is|are|perfectly) safe\b/i);
  });
});

describe('signsInNotes', () => {
  const note = (text: string, day = 1): { at: string; text: string } => ({ at: `2026-11-0${day}T10:00:00Z`, text });
  it.each([
    ['Thick lees. Bad eggs when opened.', { smell: 'egg' }],
    ['A white film in the neck, smells of vinegar', { smell: 'vinegar', surface: 'film' }],
    ['Still hazy, no vinegar', { look: 'haze' }],
    ['Eggy smell, gone by evening.', {}],
    ['Not mousy at all', {}],
    ['pours ropy', { pour: 'strings' }],
    ['Still hazy. Strings in the spirit test.', { look: 'haze', hazeTest: 'pectin' }],
    ['Looked for a fault. Mould, likely. Seen: furry spots', {}],
  ])('reads %s', (text, answers) => expect(answersOf(signsInNotes([note(text)]))).toEqual(answers));
  it('takes the newest word on each question, and says where it stands', () => {
    const signs = signsInNotes([note('smells of vinegar', 1), note('nail varnish now', 5)]);
    expect(signs).toEqual([{ question: 'smell', answer: 'solvent', from: 'your note of 5 Nov: “nail varnish now”' }]);
  });
});

describe('factsOfBatch', () => {
  const must = liquidFromReadings({ volumeL: 20, sg: 1.05, ph: 3.9, taGPerL: 4, yanMgPerL: 60 });
  const state: BatchState = { ...EMPTY_STATE, must, liquid: fermentTo(must, 1), lastLiquid: fermentTo(must, 1), pitchedAt: '2026-08-01' };
  const ids = (s: BatchState, emptyFraction: number | null = null): readonly string[] =>
    factsOfBatch(s, null, { today: '2026-11-01', emptyFraction })
      .filter((f) => f.times > 1)
      .map((f) => f.id);
  it('minds acidity, air, old lees and sorbate', () => {
    expect(ids(state)).toEqual(expect.arrayContaining(['rope', 'mouse', 'autolysis']));
    expect(ids(state)).not.toContain('vinegar');
    expect(ids(state, 0.3)).toEqual(expect.arrayContaining(['vinegar', 'film', 'oxidised']));
    const sorbated = { ...state, lastLiquid: { ...fermentTo(must, 1), sorbateMgPerL: 200 } };
    expect(ids(sorbated)).toContain('geranium');
    expect(first({ smell: 'geranium' })).toBe('geranium');
  });
});
