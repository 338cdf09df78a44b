import type { Caution } from './caution.js';
import { FOOD_CAUTIONS } from './food-cautions.js';

/** Every standing caution by id. Texts are general workshop and kitchen safety practice, in our words. */
export const CAUTIONS = {
  'burst-glass': {
    id: 'burst-glass',
    severity: 'caution',
    text: 'Bottles can burst and blind people. Only bottles made for pressure, only when the end is proven.',
    whatToDo: 'Fill one plastic test bottle alongside. Keep the glass in a closed crate; cover eyes and hands and chill before you open a doubtful one.',
  },
  'sealed-ferment': {
    id: 'sealed-ferment',
    severity: 'danger',
    text: 'This is still working, or not proven finished. Gas must get out or the vessel bursts.',
    whatToDo: 'Leave it under an airlock until two equal readings a week apart prove the end, or keep it cold in a keg with a relief valve.',
  },
  'let-gas-out': {
    id: 'let-gas-out',
    severity: 'note',
    text: 'While it works, gas must get out.',
    whatToDo: 'Fit an airlock or leave the cap loose, and never seal it.',
  },
  'malolactic-gas': {
    id: 'malolactic-gas',
    severity: 'danger',
    text: 'Bacteria can still turn its malic acid in the bottle, and that makes gas beyond what the sugar does: it could pass what these bottles stand.',
    whatToDo: 'Wait until the change is over and write that down, stop it with sulfite for its pH, or prime less.',
  },
  're-ferment': {
    id: 're-ferment',
    severity: 'danger',
    text: 'There is sugar in it. Sorbate slows yeast and does not kill it: if it wakes in the bottle, the bottles burst.',
    whatToDo:
      'Keep it cold, in bottles made for pressure or thick plastic, drink it within weeks, and open one each week. A keg with a relief valve, kept cold, is safer.',
  },
  'touch-high': {
    id: 'touch-high',
    severity: 'danger',
    text: 'It ended above where the sums put it, so they count sugar that may still ferment: these bottles would not stand it.',
    whatToDo:
      'Ferment a small sample out in the warm with much yeast, or test it for sugar: then Trug knows what is left. Or keep it cold in a keg with a relief valve.',
  },
  unread: {
    id: 'unread',
    severity: 'danger',
    text: 'Nobody has read its gravity, so nobody knows what sugar is left in it, and Trug cannot tell what the bottles will feel. Bottles with sugar left in them burst.',
    whatToDo:
      'Plastic bottles only, filled first and alone, in the warm. Squeeze one each day for two weeks: hard as a stone, let the gas out of all of them and wait. Glass is for a batch that was read.',
  },
  'open-keg': {
    id: 'open-keg',
    severity: 'caution',
    text: 'A keg under gas throws its lid and its drink when it is opened.',
    whatToDo: 'Chill it, close the gas, let the pressure off at the relief valve until it is silent, and only then open it, with your face away.',
  },
  'test-disagrees': {
    id: 'test-disagrees',
    severity: 'danger',
    text: 'The sums find far more sugar than this test does. One of them is wrong, and bottles may burst by it.',
    whatToDo:
      'Test again with a fresh sample. Only when you know what is in it that does not ferment, such as lactose or the sorbitol of some pears, believe the test.',
  },
  'wrong-bottle': {
    id: 'wrong-bottle',
    severity: 'danger',
    text: 'Ordinary wine, spirit, food and fancy bottles are not made for pressure.',
    whatToDo: 'Use crown-capped, swing-top, sparkling-wine or fizzy-drink plastic bottles for anything that may fizz.',
  },
  'over-pressure': {
    id: 'over-pressure',
    severity: 'danger',
    text: 'The chance that a bottle of this lot passes what it stands on a hot day is more than one in a hundred.',
    whatToDo: 'Lower the fizz, choose stronger bottles, or find out what sugar is left: a sample fermented out in the warm, or a sugar test.',
  },
  keg: {
    id: 'keg',
    severity: 'caution',
    text: 'A keg under gas needs a regulator and a working relief valve, and never more than the limit stamped on it.',
    whatToDo: 'Keep cylinders upright and chained. Check the relief valve before you fill.',
  },
  'valve-stuck': {
    id: 'valve-stuck',
    severity: 'danger',
    text: 'A keg whose relief valve does not lift has nothing that lets gas out before it bursts.',
    whatToDo: 'Close the gas, let the pressure off at the fitting, keep it cold, and put in another valve before any gas goes on again.',
  },
  'co2-room': {
    id: 'co2-room',
    severity: 'note',
    text: 'Carbon dioxide gathers low in closed rooms.',
    whatToDo: 'Air the room before you go down to many working vessels.',
  },
  sulfite: {
    id: 'sulfite',
    severity: 'caution',
    text: 'Sulfite fumes hurt lungs, and some people with asthma react to sulfite in a drink.',
    whatToDo: 'Add it in open air with your face away from the bucket. Name it on the label; many places require that above 10 mg/L and cap the total.',
  },
  'sulfite-total': {
    id: 'sulfite-total',
    severity: 'caution',
    text: 'With this there is more sulfite in it than the 200 mg/L commonly allowed. It will smell of struck matches, and it can harm people with asthma.',
    whatToDo: 'Add less, or blend it with a batch that has little. Look up the limit where you live.',
  },
  'sorbate-benzoate': {
    id: 'sorbate-benzoate',
    severity: 'danger',
    text: 'Juice preserved with sorbate or benzoate will not ferment: the preservative keeps yeast from growing. It slows yeast that already works, and does not stop it.',
    whatToDo: 'Use another carton. Drink this one, or keep it for sweetening a stabilised cider.',
  },
  scald: {
    id: 'scald',
    severity: 'note',
    text: 'Hot syrup scalds, and cracks glass jars.',
    whatToDo: 'Let syrup cool to about the warmth of the drink before it goes in.',
  },
  'hot-juice': {
    id: 'hot-juice',
    severity: 'caution',
    text: 'Hot juice scalds, and cracks glass.',
    whatToDo: 'Pour it slowly into the cold juice in a bucket, never into a glass jar, stir, and look at the thermometer before yeast goes in.',
  },
  'lift-glass': {
    id: 'lift-glass',
    severity: 'caution',
    text: 'A full vessel weighs more than it looks, and a glass neck is not a handle.',
    whatToDo: 'Carry it in a crate with both hands beneath, and look for cracks first.',
  },
  'siphon-mouth': {
    id: 'siphon-mouth',
    severity: 'note',
    text: 'A siphon started by mouth puts your mouth in the cider.',
    whatToDo: 'Start it with a pump or a tube filled with clean water.',
  },
  ...FOOD_CAUTIONS,
  strength: {
    id: 'strength',
    severity: 'note',
    text: 'Strength here is an estimate from your readings, not an analysis.',
    whatToDo: 'Do not drive after drinking, keep it from minors, and follow your local rule before giving or selling any.',
  },
  plastic: {
    id: 'plastic',
    severity: 'note',
    text: 'Thin plastic lets air in: weeks for a fermented drink, not months.',
    whatToDo: 'Move it to glass, steel or thick food-grade plastic, filled to the neck.',
  },
  'ph-high': {
    id: 'ph-high',
    severity: 'caution',
    text: 'Above pH 3.8 spoilage takes hold easily, and above 4.0 food-poisoning bacteria may grow.',
    whatToDo: 'Add acid or blend in sharp juice before you ferment.',
  },
  'ph-high-after': {
    id: 'ph-high-after',
    severity: 'caution',
    text: 'Above pH 3.8 spoilage takes hold easily, and above 4.0 food-poisoning bacteria may grow.',
    whatToDo: 'Stop the change with sulfite for its pH, or put malic or tartaric acid back afterwards, and measure again.',
  },
  'mill-press': {
    id: 'mill-press',
    severity: 'caution',
    text: 'Mills and presses take fingers.',
    whatToDo: 'Keep hands and sleeves out of the mill, switch it off before you clear it, bolt the press down and stand clear of a loaded screw.',
  },
  rot: {
    id: 'rot',
    severity: 'caution',
    text: 'Mould and rot leave poisons, such as patulin, of which fermenting takes away only a part. Bruises are all right, mould and rot are not.',
    whatToDo: 'Throw rotten fruit out; from a sound one cut a spot away with two fingers of good flesh around it. Wash what is left.',
  },
  pips: {
    id: 'pips',
    severity: 'note',
    text: 'Whole pips are harmless; ground fine they give off prussic acid.',
    whatToDo: 'Mill and chop coarsely, and do not grind or blend the cores.',
  },
  'hot-bottles': {
    id: 'hot-bottles',
    severity: 'danger',
    text: 'Pressure multiplies when filled bottles are heated.',
    whatToDo:
      'At most 2.5 volumes and at least 5 % headspace, glass made for pressure, warmed slowly from cold, a lid over the bath, a thermometer in a control bottle, the whole face covered. Let them cool under cover.',
  },
  'heat-due': {
    id: 'heat-due',
    severity: 'danger',
    text: 'Until they are heated these bottles hold sugar and live yeast: left as they are, they burst.',
    whatToDo: 'Have the bath ready before you fill, and heat them all today. What cannot be heated within a day is chilled, opened and poured back.',
  },
  'methanol-still': {
    id: 'methanol-still',
    severity: 'danger',
    text: 'Distilling, or freezing to strengthen, is not covered: it is illegal for most, and dangerous.',
    whatToDo: 'Leave it. Fermented cider holds only harmless traces of methanol; what concentrates the alcohol concentrates those too.',
  },
  law: {
    id: 'law',
    severity: 'note',
    text: 'Making, giving, selling, labelling and taxing drink differ by place.',
    whatToDo: 'Check your local rule first, and do not sell without a licence.',
  },
  'raw-juice': {
    id: 'raw-juice',
    severity: 'note',
    text: 'Raw juice can carry dangerous bacteria.',
    whatToDo: 'Wash fruit, use none from ground where animals graze, and keep raw juice from children, the old, the pregnant and the ill.',
  },
  'ph-low': {
    id: 'ph-low',
    severity: 'note',
    text: 'Below pH 3.0 it will taste sour, and some yeasts start badly.',
    whatToDo: 'Blend in a softer juice, or take some acid out with a carbonate and measure again.',
  },
  'sulfite-and-yeast': {
    id: 'sulfite-and-yeast',
    severity: 'caution',
    text: 'Sulfite is still strong on the day it goes in: yeast pitched now starts late and weakly.',
    whatToDo: 'Wait about 24 hours after sulfite before you pitch.',
  },
  'wild-in-heated': {
    id: 'wild-in-heated',
    severity: 'caution',
    text: 'Shop juice has been heated, so nothing wild lives in it: what comes from the air first is as likely mould or vinegar as yeast.',
    whatToDo: 'Pitch a packet, or a starter made from fresh fruit. Wild yeast is for juice pressed raw.',
  },
  'hot-pitch': {
    id: 'hot-pitch',
    severity: 'danger',
    text: 'Yeast dies in juice hotter than it can stand.',
    whatToDo: 'Let the juice cool into the yeast’s range, then pitch.',
  },
  'over-tolerance': {
    id: 'over-tolerance',
    severity: 'caution',
    text: 'The strength you want is near or past what this kind of yeast survives, so it may stop sweet.',
    whatToDo: 'Aim lower, choose a stronger kind, or plan for a sweet, stabilised cider.',
  },
  'foam-room': {
    id: 'foam-room',
    severity: 'caution',
    text: 'There is too little room above the juice for foam, which will lift the bung.',
    whatToDo: 'Leave about a tenth of the vessel empty at first, or fit a blow-off tube and a tray.',
  },
  'foam-over': {
    id: 'foam-over',
    severity: 'caution',
    text: 'A drink full of gas foams over when it is stirred, fed, sweetened or given yeast, and a tight bung can be thrown.',
    whatToDo: 'Loosen the bung first, keep your face away, leave a sixth of the vessel empty, and go slowly with a tray underneath.',
  },
  'mouldy-film': {
    id: 'mouldy-film',
    severity: 'caution',
    text: 'A dusty white skin is film yeast. Fur, or any colour but white, is mould, and its poisons stay in the drink when it is skimmed.',
    whatToDo: 'Pour mouldy cider away untasted. Clean what it touched with hot washing soda, with gloves and eyes covered, and rinse.',
  },
  ropy: {
    id: 'ropy',
    severity: 'note',
    text: 'Slime is made by bacteria. It usually harms nobody, but Trug cannot see what else grows in it.',
    whatToDo: 'When in doubt, pour it out. Clean vessel, hose and bung twice before the next batch.',
  },
  vinegar: {
    id: 'vinegar',
    severity: 'note',
    text: 'Vinegar spreads by drops, flies and wood.',
    whatToDo: 'Keep it out of the room where cider is made. Boil or replace hoses and bungs it touched.',
  },
  caustic: {
    id: 'caustic',
    severity: 'caution',
    text: 'Washing soda and strong cleaners burn eyes and skin, and cleaners mixed with one another or with bleach give off poison gas.',
    whatToDo: 'Gloves on and eyes covered, one cleaner at a time, and rinse well.',
  },
  'air-space': {
    id: 'air-space',
    severity: 'caution',
    text: 'There is too much air over a finished drink, and air is how vinegar starts.',
    whatToDo: 'Use a smaller vessel, or top up with like cider.',
  },
} as const satisfies Record<string, Caution>;

/** The id of a standing caution. */
export type CautionId = keyof typeof CAUTIONS;

/**
 * Looks a standing caution up.
 *
 * @param id - its id
 * @returns the caution
 */
export function caution(id: CautionId): Caution {
  return CAUTIONS[id];
}
