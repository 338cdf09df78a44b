import { refusalCode } from '../../testing/expect-within.js';
import { freshYeast, type TiredDrink } from './fresh-yeast.js';

const young: TiredDrink = { volumeL: 20, daysSinceYeast: 45, fined: false, abv: 6.2, freeSo2MgPerL: 5 };
const why = (changes: Partial<TiredDrink>): readonly string[] | undefined => freshYeast({ ...young, ...changes })?.value.why;

describe('fresh yeast for the fizz', () => {
  it.each<[string, Partial<TiredDrink>]>([
    ['of a young drink', {}],
    ['of one fined a fortnight after its yeast', { fined: true, daysSinceYeast: 59 }],
    ['of one a day short of half a year', { daysSinceYeast: 179 }],
    ['of one that nobody pitched', { daysSinceYeast: null }],
    ['a point under strong', { abv: 9.9 }],
    ['with a little sulfite', { freeSo2MgPerL: 19 }],
  ])('is not asked for: its own yeast will do, %s', (_what, changes) => {
    expect(why(changes)).toBeUndefined();
  });
  it('is asked for by age, sooner where it was fined, by strength and by sulfite, each said', () => {
    expect(why({ daysSinceYeast: 180 })).toEqual(['its yeast went in 180 days ago']);
    expect(why({ fined: true, daysSinceYeast: 60 })).toEqual(['its yeast went in 60 days ago', 'it was fined']);
    expect(why({ abv: 10 })).toEqual(['it has 10.0 %']);
    expect(why({ freeSo2MgPerL: 20, fined: true })).toEqual(['it was fined', 'it has 20 mg/L of free sulfite']);
  });
  it('is a fifth of a packet to 20 L, and never less than can be weighed', () => {
    expect(freshYeast({ ...young, abv: 12 })?.value.massG).toBe(1);
    expect(freshYeast({ ...young, abv: 12, volumeL: 45 })?.value.massG).toBe(2.3);
    expect(freshYeast({ ...young, abv: 12, volumeL: 4 })?.value.massG).toBe(0.5);
    expect(refusalCode(() => freshYeast({ ...young, volumeL: -1 }))).toBe('OUT_OF_RANGE');
  });
});
