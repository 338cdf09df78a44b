import type { FaultQuestionId } from './fault-questions.js';

/** What a fault is, what to do, and whether the drink is worth keeping. */
export interface Fault {
  readonly id: FaultId;
  readonly name: string;
  /** What causes it, in a sentence. */
  readonly what: string;
  readonly now: readonly string[];
  readonly drink: { readonly verdict: 'yes' | 'as you like' | 'no'; readonly text: string };
  readonly next: readonly string[];
  /** Share of home batches that meet it, before anything is looked at. */
  readonly usual: number;
  /** Chance of each answer where this fault is; answers not named share the rest as they do in sound drinks. */
  readonly shows: Partial<Record<FaultQuestionId, Readonly<Record<string, number>>>>;
}

/** The faults by id. */
export type FaultId =
  | 'sound'
  | 'egg'
  | 'set-sulfide'
  | 'vinegar'
  | 'film'
  | 'mould'
  | 'rope'
  | 'mouse'
  | 'solvent'
  | 'sickness'
  | 'stable'
  | 'geranium'
  | 'oxidised'
  | 'autolysis'
  | 'pectin-haze'
  | 'starch-haze'
  | 'chill-haze'
  | 'yeast-haze'
  | 'bacterial-haze'
  | 'stuck'
  | 'gusher'
  | 'flat'
  | 'late-malolactic';

const DOUBT = 'When in doubt, pour it out.';
const HARMLESS = `Not known to harm anyone. ${DOUBT}`;

/** Faults of cider and perry. @source usual craft knowledge in our words; shares and chances are our estimates */
export const FAULTS: readonly Fault[] = [
  {
    id: 'sound',
    name: 'Nothing wrong',
    what: 'Young cider is often hazy, sharp and a little yeasty, and a working one stinks now and then.',
    now: ['Leave it, keep the vessel full and the airlock topped up, and look again in a fortnight.'],
    drink: { verdict: 'yes', text: 'As far as these signs go. They cannot show everything.' },
    next: [],
    usual: 0.45,
    shows: {},
  },
  {
    id: 'egg',
    name: 'Bad eggs',
    what: 'Hungry or hot yeast makes hydrogen sulfide. While it works most of it leaves with the gas.',
    now: [
      'While it works and is not past two thirds: feed it, in two halves a day apart, and open the vent slowly because it foams.',
      'Once it is done: rack it with a little splash, wait two weeks, smell again. That is the one time splashing helps.',
      'If it stays: stir a glass with a bright copper coil. If the smell goes, it can still be mended; treating a batch with copper needs a measured dose and local rules.',
    ],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Give nitrogen where the juice is poor in it, pitch enough yeast, and keep it cooler.', 'Spray no sulfur in the last weeks before picking.'],
    usual: 0.07,
    shows: { smell: { egg: 0.93 }, gravity: { falls: 0.7 } },
  },
  {
    id: 'set-sulfide',
    name: 'Onion and drains',
    what: 'Bad-egg smell that was left on thick lees turns into compounds that racking does not drive out.',
    now: [
      'Rack it off the lees at once.',
      'Try a glass with a bright copper coil. If that does not help, it will not go: keep it for the kitchen, or pour it away.',
    ],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Act on bad eggs within days, and do not leave a weak cider on thick lees past six weeks.'],
    usual: 0.01,
    shows: { smell: { onion: 0.9, egg: 0.05 } },
  },
  {
    id: 'vinegar',
    name: 'Turning to vinegar',
    what: 'Acetic bacteria make vinegar out of alcohol where there is air.',
    now: [
      'Take the air away today: fill the vessel to the neck with like cider, or rack into a smaller one.',
      'Sulfite for its pH stops the bacteria, not the vinegar that is there.',
      'If it is plain, give in: keep it apart with a cloth over it and make vinegar. Nothing brings cider back.',
    ],
    drink: { verdict: 'as you like', text: 'Vinegar is food. It is no longer cider, and it spoils whatever it is blended with.' },
    next: [
      'Keep vessels full and airlocks wet. Never open a resting vessel to look.',
      'Keep flies out, and this hose, cask or bung away from sound cider until it has been boiled or soaked in hot washing soda and rinsed.',
    ],
    usual: 0.03,
    shows: { smell: { vinegar: 0.85, solvent: 0.1 }, surface: { jelly: 0.3, film: 0.2 } },
  },
  {
    id: 'film',
    name: 'Film yeast',
    what: 'Yeasts that live on air make a dusty white skin and eat alcohol and acid.',
    now: [
      'Do not shake it under. Draw the cider off from below the skin, or float the skin out with like cider until the neck is full.',
      'Sulfite for its pH, and leave no air.',
    ],
    drink: { verdict: 'as you like', text: `The skin itself is usually harmless and tastes dull. ${DOUBT}` },
    next: ['Fill to the neck once the foam is over. A jug of air over it is enough.'],
    usual: 0.04,
    shows: { surface: { film: 0.94 }, smell: { clean: 0.5, stale: 0.2, solvent: 0.1, vinegar: 0.05 } },
  },
  {
    id: 'mould',
    name: 'Mould',
    what: 'Furry growth is mould, on pulp, a dirty neck or rotten fruit. Some moulds leave poisons, patulin among them, that stay in the drink: fermenting takes away part of some, and nobody can taste what is left.',
    now: ['Do not taste it. Pour it away, and clean the vessel with hot washing soda before anything else goes in.'],
    drink: { verdict: 'no', text: 'No. Neither straining nor fermenting makes it safe.' },
    next: [
      'Use no mouldy or rotten fruit: patulin comes with it, and cutting the soft part away does not take all of it. Stir pulp twice a day, wipe necks and bungs clean.',
    ],
    usual: 0.005,
    shows: { surface: { fur: 0.95 }, smell: { musty: 0.6 } },
  },
  {
    id: 'rope',
    name: 'Rope',
    what: 'Lactic bacteria in a drink low in acid and sulfite spin slime, so that it pours like oil.',
    now: [
      'Beat it hard with a clean whisk to break the slime, add sulfite up to 100 mg/L where the total stays under 200 mg/L with it (Adjust reckons what is in already), leave it a week and rack it.',
      'Test the pH and bring it under 3.7 with malic acid.',
    ],
    drink: { verdict: 'as you like', text: `Usually harmless, and no pleasure. ${DOUBT}` },
    next: ['Keep pH under 3.8 and a little sulfite in what is stored.', 'Clean everything it touched with hot washing soda, and rinse.'],
    usual: 0.01,
    shows: { pour: { oil: 0.6, strings: 0.38 }, look: { silky: 0.4 } },
  },
  {
    id: 'mouse',
    name: 'Mouse',
    what: 'Bacteria and wild yeasts in low acid and air leave a taste that comes only after the sip. About one person in three cannot taste it.',
    now: [
      'To be sure: mix a pinch of baking soda into a spoonful and taste again. It comes out strongly when it is there. Spit it out.',
      'There is no cure. Do not blend it away: it spreads.',
    ],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Keep pH under 3.7, air out and some sulfite in, and rack clean.', 'Clean this vessel and hose twice.'],
    usual: 0.01,
    shows: { smell: { mouse: 0.95 } },
  },
  {
    id: 'solvent',
    name: 'Glue and nail varnish',
    what: 'Wild yeasts at the start, heat, or the first air of vinegar make ethyl acetate.',
    now: ['A little may fade over months. Keep it full and cool and taste again.', 'If it stings the nose, it will not go.'],
    drink: { verdict: 'as you like', text: `Unpleasant before it is harmful. ${DOUBT}` },
    next: ['Sulfite the juice or pitch soon after pressing, and keep it under the warmest the yeast likes.'],
    usual: 0.02,
    shows: { smell: { solvent: 0.92, vinegar: 0.05 } },
  },
  {
    id: 'sickness',
    name: 'Cider sickness',
    what: 'Bacteria that like sweet, low-acid cider make gas, banana skins and a milky haze, most often in spring.',
    now: [
      'Add acid to bring it under pH 3.7, and sulfite for that pH. Drink the batch before summer: it does not get better.',
      'In bottles: chill them, cover eyes and hands, and let the gas out.',
    ],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Ferment dry before storing, or keep sweet cider cold, sharp and sulfited.'],
    usual: 0.006,
    shows: { smell: { banana: 0.9 }, look: { milky: 0.75 }, fizz: { gush: 0.25, prickle: 0.15, vessel: 0.5 } },
  },
  {
    id: 'stable',
    name: 'Stable and sticking plaster',
    what: 'Some bacteria and wild yeasts turn the tannin of bittersweet fruit into clove, smoke and stable. A little belongs to some ciders.',
    now: ['Stop it where you like it: sulfite for its pH, rack, keep it cool.'],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Where it is not wanted, pitch bought yeast, keep pH under 3.8 and use sulfite.'],
    usual: 0.02,
    shows: { smell: { stable: 0.93 } },
  },
  {
    id: 'geranium',
    name: 'Geranium',
    what: 'Lactic bacteria have eaten sorbate. It cannot be undone.',
    now: ['Nothing takes it out. Keep it apart.'],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Never sorbate without sulfite, and never into a drink in malolactic change.'],
    usual: 0.002,
    shows: { smell: { geranium: 0.96 } },
  },
  {
    id: 'oxidised',
    name: 'Stale from air',
    what: 'Air after the ferment browns it and turns fruit into sherry and cardboard.',
    now: ['Fill up, sulfite for its pH, and drink it soon, or mull it.'],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Rack without splashing, keep vessels full, leave nothing in thin plastic past some weeks.'],
    usual: 0.03,
    shows: { smell: { stale: 0.9 }, look: { brown: 0.5 } },
  },
  {
    id: 'autolysis',
    name: 'Too long on dead yeast',
    what: 'Yeast that lies for months in a weak or warm cider falls apart and tastes of bread and bouillon.',
    now: ['Rack it off the lees. It fades in part over months.'],
    drink: { verdict: 'yes', text: HARMLESS },
    next: ['Under about 8 %, off the lees within six weeks. Stronger and cold can lie for months.'],
    usual: 0.015,
    shows: { smell: { bread: 0.92 } },
  },
  {
    id: 'pectin-haze',
    name: 'Pectin haze',
    what: 'Pectin from ripe, stored, cooked or steeped fruit holds the haze up.',
    now: ['Add pectic enzyme at twice the juice dose, for alcohol slows it, keep it at 15–20 °C for two weeks, then rack.', 'Finings alone will not clear it.'],
    drink: { verdict: 'yes', text: 'A haze of this kind is only a look. It says nothing of the rest.' },
    next: ['Put enzyme into the juice, 12 hours before bentonite.'],
    usual: 0.05,
    shows: { look: { haze: 0.93 }, hazeTest: { pectin: 0.9 } },
  },
  {
    id: 'starch-haze',
    name: 'Starch haze',
    what: 'Unripe fruit brings starch into the juice.',
    now: ['Bentonite takes some. Amylase enzyme for brewing and baking takes the rest. Or leave it.'],
    drink: { verdict: 'yes', text: 'A haze of this kind is only a look. It says nothing of the rest.' },
    next: ['Let apples ripen in store until a cut one no longer goes blue with iodine.'],
    usual: 0.008,
    shows: { look: { haze: 0.95 }, hazeTest: { starch: 0.93 } },
  },
  {
    id: 'chill-haze',
    name: 'Chill haze',
    what: 'Tannin and protein join in the cold and part again in the warm.',
    now: ['Keep it at about 0 °C for two weeks and rack it while it is still that cold. Bentonite, or gelatine where there is tannin, helps.'],
    drink: { verdict: 'yes', text: 'A haze of this kind is only a look, and only when cold.' },
    next: ['Bentonite in the juice, with time for the tannin to settle.'],
    usual: 0.03,
    shows: { look: { 'cold-haze': 0.9 }, hazeTest: { 'warms-clear': 0.92 } },
  },
  {
    id: 'yeast-haze',
    name: 'Yeast that has not settled',
    what: 'Yeast is still in it, because it works or because it is a light kind.',
    now: ['Wait, as cold as you can, four weeks or more. Then rack, or use two-part finings.'],
    drink: { verdict: 'yes', text: 'Much yeast loosens the bowels.' },
    next: ['Rack carefully, and leave the last few glasses behind.'],
    usual: 0.12,
    shows: { look: { haze: 0.9 }, hazeTest: { settles: 0.85 }, smell: { clean: 0.8, bread: 0.15 } },
  },
  {
    id: 'bacterial-haze',
    name: 'Bacterial haze',
    what: 'Lactic bacteria shimmer like silk when the glass is turned.',
    now: ['Sulfite for its pH, wait two weeks, rack. If it turns softer and not worse, it may be the malolactic change, which some want.'],
    drink: { verdict: 'as you like', text: HARMLESS },
    next: ['Sulfite after the ferment where the change is not wanted, and keep pH low.'],
    usual: 0.015,
    shows: { look: { silky: 0.88 }, hazeTest: { none: 0.93 } },
  },
  {
    id: 'stuck',
    name: 'Stuck',
    what: 'It stopped with sugar left that this yeast could still eat: cold, hungry, or worn out.',
    now: [
      'See the batch’s verdict. Warm it first; then rouse, feed, and last restart it with strong yeast.',
      'Do not bottle it: what sleeps in the cold wakes in the warm.',
    ],
    drink: { verdict: 'yes', text: 'There is nothing wrong with it but its sugar. Sealed, it is dangerous.' },
    next: ['Enough yeast, nitrogen and warmth until it is two thirds through.'],
    usual: 0.03,
    shows: { gravity: { high: 0.96 } },
  },
  {
    id: 'gusher',
    name: 'Over-primed or bottled too soon',
    what: 'There was more sugar in the bottles than they should hold, or something woke in them that eats what yeast left.',
    now: [
      'Treat every bottle of the lot as one that may burst. Gloves, eyes covered, a thick cloth over the crate. Chill them as cold as you can for two days.',
      'Open each one in the cold, over a sink, under a cloth, let the gas out, and cap it again; repeat in a week.',
    ],
    drink: {
      verdict: 'as you like',
      text: 'The glass is the first danger. Why it gushes nobody can see from outside: too much sugar leaves a sound drink, but wild yeast or bacteria may have made the gas. Smell and taste a little once it is open, and pour it away when in doubt.',
    },
    next: ['Two equal readings a week apart before sugar goes in. Weigh the sugar. One plastic test bottle in every lot.'],
    usual: 0.02,
    shows: { fizz: { gush: 0.94 } },
  },
  {
    id: 'flat',
    name: 'Flat',
    what: 'The yeast was gone, killed or cold, or the caps leak.',
    now: [
      'Turn the bottles over once and stand them at 18–20 °C for two weeks.',
      'Still flat: open one, add a few grains of dry yeast to each, and cap again. Never more sugar.',
    ],
    drink: { verdict: 'yes', text: 'It is a still cider.' },
    next: ['Fresh yeast with the sugar when it is older than half a year or was fined. No sulfite and sorbate before priming.'],
    usual: 0.02,
    shows: { fizz: { flat: 0.95 } },
  },
  {
    id: 'late-malolactic',
    name: 'Malolactic change in the bottle',
    what: 'Lactic bacteria turned malic acid into lactic and gas: softer, with a prickle.',
    now: ['Chill them and drink them within the year. Open one with care to see how lively they are.'],
    drink: { verdict: 'yes', text: HARMLESS },
    next: ['Let it happen before bottling, or sulfite for the pH when it is filled.'],
    usual: 0.012,
    shows: { fizz: { prickle: 0.88 } },
  },
];
