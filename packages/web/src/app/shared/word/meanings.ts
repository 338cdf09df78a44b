import type { CraftWord } from './labels';

/** What each word of the craft means, as a maker would have it told. Fetched when one is asked for. @source usual practice; figures as in the core's docstrings */
export const MEANINGS: Readonly<Record<CraftWord, string>> = {
  Acid: 'How sour it is, by how much lye it takes to cancel it, written as if all of it were malic acid. 4 g/L is soft, 6 fresh, 8 sharp.',
  Airlock: 'A bent tube with water in it: gas goes out, no air comes in.',
  Bentonite: 'A clay that takes protein haze down with it. Early in the must, or in the finished drink; it wants soaking first.',
  Dry: 'All the sugar that yeast can use is gone. Dry cider floats a stem at about 0.996 to 1.000; what does not ferment keeps some higher.',
  Enzyme: 'Breaks down pectin, which holds juice in the fruit and haze in the drink. It works best warm and before the sulfite.',
  Finings: 'What makes haze clump and sink. Some are made of shellfish: tell who drinks it.',
  Fizz: 'Litres of gas in a litre of drink. 1 is still, 2 lively, 2.5 like most sparkling cider, above 3 only in heavy bottles.',
  Gravity: 'How heavy it is beside water. Sugar makes it heavier, alcohol lighter: 1.050 is fifty points, about 110 g of sugar in a litre of juice.',
  Headspace: 'The room above the drink. A working one needs it for foam, a finished one wants none: air turns it.',
  Lees: 'What sinks: yeast, then fruit. Fresh lees feed the drink, old ones taste of it.',
  'Malic acid': 'The sharp acid of apples. Yeast uses some of it, and bacteria can turn the rest into soft lactic acid.',
  'Malolactic change': 'Bacteria turn malic acid into lactic acid and gas. Softer, and fizz in a closed bottle.',
  Must: 'Juice made ready for yeast, sugar and all, before it ferments.',
  Nutrient: 'Nitrogen that yeast can use. Old trees and shop juice are often short of it; too much late feeds other things.',
  pH: 'How strongly sour: below 3.8 keeps better, and decides how well sulfite protects. Sourness to the tongue is the acid, not the pH.',
  Pitch: 'To put the yeast in.',
  Points: 'The last three figures of a gravity: 1.050 is fifty points.',
  Priming: 'A little sugar with the bottling, weighed, which makes the fizz. Too much breaks glass.',
  Racking: 'Moving the drink off what has settled, quietly, through a tube.',
  Sorbate:
    'Slows yeast so that a sweetened drink does not start again. It does not kill: only with sulfite, only when finished, and never with bacteria at work.',
  Strength: 'Alcohol, in parts of a hundred by volume. Reckoned from what fermented; no instrument of a kitchen measures it.',
  Stuck: 'It stopped well above where it should end, and the yeast could still go on.',
  'Sugar left': 'What yeast could still ferment, by the sums. In a closed bottle each gram a litre is about a quarter of a volume of gas.',
  Sulfite: 'Keeps wild things and air off. In all is what went in; only the free part protects, more of it the lower the pH. Some people react to it.',
  Tannin: 'What grips the tongue, as strong tea does. 0.5 g/L is soft, 1.5 has some grip, 2.5 is bitter.',
  Tolerance: 'The strength at which a kind of yeast gives up. What sugar is left then stays, until something else wakes it.',
};
