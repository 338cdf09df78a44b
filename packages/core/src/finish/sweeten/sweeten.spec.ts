import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { waterOf, type Liquid } from '../../matter/liquid/liquid.js';
import { dryGravityOf, fermentableGPerL, gravityOf, sweetnessGPerL } from '../../matter/liquid/views.js';
import { sweetenFor, SWEETENERS, sweetenToGravity } from './sweeten-for.js';
import { SWEETNESS_LEVELS, sweetnessBalance, sweetnessWord } from './sweetness.js';

const juice = liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL: 6, ph: 3.5 });
const dry: Liquid = { ...fermentTo(juice, dryGravityOf(juice)), hexoseGPerL: 0, sucroseGPerL: 0, sorbitolGPerL: 0 };

describe('sweetenFor', () => {
  it('weighs sucrose by the balance, its own volume counted', () => {
    // 20 L to 20 g/L: 20 × 20 ÷ (1000 − 20 × 0.618) kg = 405.0 g, and a quarter litre more.
    const { massG, after } = sweetenFor({ liquid: dry, sweetenerId: 'sucrose', targetGPerL: 20 }).value;
    expect(massG).toBeCloseTo(405.0, 1);
    expect(after.volumeL - dry.volumeL).toBeCloseTo(0.405 * 0.618, 4);
    expect(sweetnessGPerL(after)).toBeCloseTo(20, 6);
    // Half of it again takes what is there for granted.
    const more = sweetenFor({ liquid: after, sweetenerId: 'sucrose', targetGPerL: 30 }).value.massG;
    expect(massG + more).toBeCloseTo(sweetenFor({ liquid: dry, sweetenerId: 'sucrose', targetGPerL: 30 }).value.massG, 2);
  });
  it.each([
    // As sweet as 20 g/L: erythritol 0.65 of sucrose by weight; drops level off, C = K R ÷ (R_m − R).
    ['erythritol', 629, 20],
    ['xylitol', 405, 20],
    ['sucralose', 0.406, 20],
    ['stevia', 1.0, 20],
    ['stevia', 4.0, 50],
  ])('of %s takes about %d g for %d g/L, and leaves nothing for yeast', (sweetenerId, massG, targetGPerL) => {
    const { value } = sweetenFor({ liquid: dry, sweetenerId, targetGPerL });
    expect(Math.abs(value.massG / massG - 1)).toBeLessThan(0.02);
    expect(fermentableGPerL(value.after)).toBe(0);
    expect(sweetnessGPerL(value.after)).toBeCloseTo(targetGPerL, 4);
  });
  it('says so when it is sweeter already, or drops never get there, and asks nothing of what is as wished', () => {
    const sweet = addFermentable(dry, { fermentableId: 'sucrose', massG: 800 });
    expect(() => sweetenFor({ liquid: sweet, sweetenerId: 'sucrose', targetGPerL: 12 })).toThrow(/tastes of 39 g\/L of sugar already/);
    expect(() => sweetenFor({ liquid: dry, sweetenerId: 'stevia', targetGPerL: 120 })).toThrow(/alone does not make it that sweet/);
    expect(sweetenFor({ liquid: sweet, sweetenerId: 'sucrose', targetGPerL: sweetnessGPerL(sweet) }).value.massG).toBe(0);
  });
  it('offers what the sums taste as the tables do', () => {
    const ids = SWEETENERS.map((s) => s.id);
    expect(ids).toEqual(expect.arrayContaining(['sucrose', 'honey', 'apple-concentrate', 'erythritol', 'xylitol', 'lactose', 'sucralose', 'stevia']));
    expect(ids).not.toEqual(expect.arrayContaining(['dextrose-monohydrate']));
    expect(ids).not.toContain('saccharin');
    for (const { id, sweetnessVsSucrose } of SWEETENERS) {
      if (sweetnessVsSucrose > 10) continue;
      const litre = addFermentable(waterOf(1), { fermentableId: id, massG: 5 });
      expect(Math.abs((sweetnessGPerL(litre) * litre.volumeL) / (5 * sweetnessVsSucrose) - 1)).toBeLessThanOrEqual(0.2);
    }
  });
  it('moves the gravity of a sugared drink by its sugar, and of drops hardly', () => {
    const gravityWith = (sweetenerId: string): number => gravityOf(sweetenFor({ liquid: dry, sweetenerId, targetGPerL: 25 }).value.after) - gravityOf(dry);
    expect(gravityWith('sucrose') * 1000).toBeGreaterThan(9);
    expect(gravityWith('sucralose') * 1000).toBeLessThan(0.1);
  });
});

describe('sweetenToGravity', () => {
  it('weighs sugar by the hydrometer: 10 points in 20 L are about 530 g of sucrose', () => {
    // A kilogram in a litre shows 384 points; what grows thins a little.
    const targetSg = gravityOf(dry) + 0.01;
    const { massG, after } = sweetenToGravity({ liquid: dry, sweetenerId: 'sucrose', targetSg }).value;
    expect(Math.abs(massG / ((20 * 10) / 0.384) - 1)).toBeLessThan(0.03);
    expect(gravityOf(after)).toBeCloseTo(targetSg, 6);
  });
  it('asks for nothing that cannot be: no lower gravity, none by drops', () => {
    expect(() => sweetenToGravity({ liquid: dry, sweetenerId: 'sucrose', targetSg: 0.99 })).toThrow(/stands at 0\.99\d already/);
    expect(() => sweetenToGravity({ liquid: dry, sweetenerId: 'stevia', targetSg: 1.01 })).toThrow(/hardly moves a gravity/);
    expect(() => sweetenToGravity({ liquid: dry, sweetenerId: 'sucrose', targetSg: 11 })).toThrow(/sg must lie/);
  });
});

describe('how sweet a drink is called', () => {
  it('is the level its grams lie in, each of which is what its aim tastes of', () => {
    expect([0, 7, 7.1, 18.1, 35.1, 60.1].map(sweetnessWord)).toEqual(['dry', 'dry', 'off dry', 'medium', 'sweet', 'very sweet']);
    for (const { name, aimGPerL } of SWEETNESS_LEVELS) expect(sweetnessWord(aimGPerL)).toBe(name);
  });
  it('goes with its acid', () => {
    const words = [0, 5, 15, 35, 70, 130].map(
      (targetGPerL) => sweetnessBalance(sweetenFor({ liquid: dry, sweetenerId: 'sucrose', targetGPerL }).value.after).word,
    );
    expect(words).toEqual(['sharp', 'sharp', 'brisk', 'balanced', 'soft', 'cloying']);
  });
});
