import type { Caution } from '../../base/cautions/caution.js';
import { CoreError } from '../../base/errors/core-error.js';
import { celsius, figure, gravityText } from '../../base/worked/figures.js';
import type { Step } from '../../base/worked/worked.js';
import { heatBottles, LEAST_HEADSPACE } from '../../finish/bottle/heat-bottles.js';
import { kegPressure } from '../../finish/bottle/co2-solubility.js';
import { primingSugar } from '../../finish/bottle/priming-sugar.js';
import { waterForGravity } from '../../juice/adjust/dilution.js';
import { sugarForGravity } from '../../juice/adjust/sugar-for-gravity.js';
import { sulfiteDose } from '../../juice/adjust/sulfite-dose.js';
import { brixFromSg } from '../../matter/density/brix.js';
import { solidsFromSg } from '../../matter/density/solids.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { abvFromGravities } from '../../matter/measure/abv-from-gravities.js';
import { correctHydrometer } from '../../matter/measure/correct-hydrometer.js';
import { STRENGTH_SCHOOL_WORDS } from '../../matter/measure/strength-schools.js';
import { refractometerGravity } from '../../matter/measure/refractometer-gravity.js';
import type { TypedFigureId } from '../../matter/typed/typed-figures.js';
import { coolDown, coolingText } from '../../juice/warmth/cool-down.js';
import { mixedWarmth } from '../../juice/warmth/mixed-warmth.js';
import { PAN_C, warmUp } from '../../juice/warmth/warm-up.js';

/** What a sum asks for: a quantity in any unit, or a plain figure. */
export interface QuickField {
  readonly name: string;
  readonly label: string;
  readonly as: { readonly dimension: 'gravity' | 'volume' | 'temperature' } | { readonly figure: TypedFigureId };
  /** What may stand there, in Trug's own units. */
  readonly example: number;
  /** What it is where nothing is said; without one it must be said. */
  readonly usual?: number;
}

/** A line of an answer. */
export interface QuickLine {
  readonly name: string;
  readonly text: string;
  /** Whether it stays as it is in whatever units the maker reads. */
  readonly literal: boolean;
}

/** What came out. */
export interface QuickAnswer {
  readonly lines: readonly QuickLine[];
  /** On what it rests. */
  readonly note?: string;
  readonly steps: readonly Step[];
  readonly cautions: readonly Caution[];
}

/** A sum that belongs to no batch. */
export interface QuickSum {
  readonly id: string;
  readonly title: string;
  readonly fields: readonly QuickField[];
  /**
   * @param of - each field's figure: SG, L, °C or plain
   * @returns the answer
   * @throws {CoreError} as the sum it asks does
   */
  readonly work: (of: (name: string) => number) => QuickAnswer;
}

const said = (name: string, text: string): QuickLine => ({ name, text, literal: false });
const asIs = (name: string, text: string): QuickLine => ({ name, text, literal: true });
const plain = (...lines: readonly QuickLine[]): QuickAnswer => ({ lines, steps: [], cautions: [] });

const gravity = (name: string, label: string, example: number): QuickField => ({ name, label, as: { dimension: 'gravity' }, example });
const volume = (name: string, label: string, example = 20): QuickField => ({ name, label, as: { dimension: 'volume' }, example });
const warmth = (name: string, label: string, example = 20, usual?: number): QuickField => ({
  name,
  label,
  as: { dimension: 'temperature' },
  example,
  ...(usual === undefined ? {} : { usual }),
});
const plainFigure = (name: string, label: string, id: TypedFigureId, example: number): QuickField => ({ name, label, as: { figure: id }, example });

/** A juice of which only the gravity is known. */
const juice = (volumeL: number, sg: number): Liquid => liquidFromReadings({ volumeL, sg });
/** A drink fermented out, of which nothing is known: what priming is reckoned on. */
function dryCider(volumeL: number): Liquid {
  const must = juice(volumeL, 1.05);
  return fermentTo(must, dryGravityOf(must));
}

/** Every sum that belongs to no batch, the most asked first. */
export const QUICK_SUMS: readonly QuickSum[] = [
  {
    id: 'scales',
    title: 'A gravity on every scale',
    fields: [gravity('sg', 'Read as', 1.05)],
    work: (of) => {
      const sg = of('sg');
      const potential = sg > 1 ? abvFromGravities({ originalSg: sg, currentSg: 1 }).value : 0;
      return plain(
        asIs('Gravity', gravityText(sg)),
        asIs('Points', figure((sg - 1) * 1000, 0)),
        asIs('Brix', `${figure(brixFromSg(sg), 1)} °Bx`),
        asIs('Solids', `${figure(solidsFromSg(sg), 0)} g/L`),
        asIs('Strength down to 1.000', `${figure(potential, 1)} %`),
      );
    },
  },
  {
    id: 'stem',
    title: 'A stem in a warm or cold sample',
    fields: [gravity('reading', 'The stem shows', 1.046), warmth('sampleC', 'The sample is at', 28), warmth('calibratedAtC', 'The stem is marked for', 20, 20)],
    work: (of) => {
      const { value, steps, cautions } = correctHydrometer({ reading: of('reading'), sampleC: of('sampleC'), calibratedAtC: of('calibratedAtC') });
      return { lines: [said('It is', `${gravityText(value.sg)}, give or take ${figure(value.plusMinus * 1000, 0)} points`)], steps, cautions };
    },
  },
  {
    id: 'lens',
    title: 'A refractometer once there is alcohol',
    fields: [plainFigure('before', 'Before the yeast it showed, °Bx', 'brix', 12.4), plainFigure('now', 'Now it shows, °Bx', 'brix', 7)],
    work: (of) => {
      const { value, steps, cautions } = refractometerGravity({ originalBrix: of('before'), currentBrix: of('now') });
      return { lines: [said('Gravity now', `about ${gravityText(value.sg)}, give or take ${figure(value.plusMinus * 1000, 0)} points`)], steps, cautions };
    },
  },
  {
    id: 'strength',
    title: 'Strength from two gravities',
    fields: [gravity('first', 'Before the yeast', 1.05), gravity('last', 'Now', 0.999)],
    work: (of) => {
      const asked = STRENGTH_SCHOOL_WORDS.map(({ id, name }) => ({
        name,
        answer: abvFromGravities({ originalSg: of('first'), currentSg: of('last'), school: id }),
      }));
      return {
        lines: asked.map(({ name, answer }) => asIs(name, `${figure(answer.value, 1)} %`)),
        steps: asked[0]?.answer.steps ?? [],
        cautions: [],
      };
    },
  },
  {
    id: 'sugar',
    title: 'Sugar up to a gravity',
    fields: [volume('volumeL', 'Juice'), gravity('sg', 'At', 1.046), gravity('wanted', 'Up to', 1.055)],
    work: (of) => {
      const { value, steps, cautions } = sugarForGravity({ liquid: juice(of('volumeL'), of('sg')), targetSg: of('wanted'), fermentableId: 'sucrose' });
      return {
        lines: [
          said('White sugar', `${figure(value.massG, 0)} g`),
          said('Volume with it', `${figure(value.volumeAfterL, 2)} L`),
          asIs('Strength if dry', `${figure(value.dryAbv, 1)} %`),
        ],
        steps,
        cautions,
      };
    },
  },
  {
    id: 'water',
    title: 'Water down to a gravity',
    fields: [volume('volumeL', 'Juice'), gravity('sg', 'At', 1.058), gravity('wanted', 'Down to', 1.045)],
    work: (of) => {
      const { value, steps, cautions } = waterForGravity({ liquid: juice(of('volumeL'), of('sg')), targetSg: of('wanted') });
      return { lines: [said('Water', `${figure(value, 2)} L`)], steps, cautions };
    },
  },
  {
    id: 'mix',
    title: 'Two juices together',
    fields: [volume('oneL', 'The one', 12), gravity('oneSg', 'at', 1.048), volume('otherL', 'The other', 6), gravity('otherSg', 'at ', 1.06)],
    work: (of) => {
      const both = blendLiquids([juice(of('oneL'), of('oneSg')), juice(of('otherL'), of('otherSg'))]);
      return plain(said('Together', `${figure(both.volumeL, 2)} L at ${gravityText(gravityOf(both))}`));
    },
  },
  {
    id: 'warmth',
    title: 'Warm and cold together',
    fields: [volume('oneL', 'The one', 4), warmth('oneC', 'at', 60), volume('otherL', 'The other', 16), warmth('otherC', 'at ', 12)],
    work: (of) => {
      const tempC = mixedWarmth([
        { volumeL: of('oneL'), tempC: of('oneC') },
        { volumeL: of('otherL'), tempC: of('otherC') },
      ]);
      return plain(said('Together', `${figure(of('oneL') + of('otherL'), 2)} L at about ${celsius(tempC)}`));
    },
  },
  {
    id: 'warm-up',
    title: 'Part of it heated, to warm the whole',
    fields: [
      volume('volumeL', 'All of it'),
      warmth('isC', 'It is at', 10),
      warmth('wantedC', 'It should come to', 18),
      warmth('panC', 'The pan is made', 60, PAN_C),
    ],
    work: (of) => {
      const { value, steps, cautions } = warmUp({ volumeL: of('volumeL'), isC: of('isC'), wantedC: of('wantedC'), panC: of('panC') });
      return { lines: [said('Heat', `${figure(value.heatL, 2)} L to ${celsius(value.panC)}, and stir it in`)], steps, cautions };
    },
  },
  {
    id: 'cool-down',
    title: 'How long it cools',
    fields: [volume('volumeL', 'All of it'), warmth('isC', 'It is at', 60), warmth('wantedC', 'It should come to', 25), warmth('aroundC', 'Around it', 16)],
    work: (of) => {
      const asked = { volumeL: of('volumeL'), isC: of('isC'), wantedC: of('wantedC'), aroundC: of('aroundC') };
      const [air, water] = [coolDown({ ...asked, way: 'air' }), coolDown({ ...asked, way: 'water' })];
      return {
        lines: [asIs('In still air', coolingText(air.value.hours)), asIs('In a bath of water, stirred', coolingText(water.value.hours))],
        note: 'By our estimate: lids, draughts and shapes differ. The thermometer decides.',
        steps: [...air.steps, ...water.steps],
        cautions: [],
      };
    },
  },
  {
    id: 'sulfite',
    title: 'Sulfite for fresh juice',
    fields: [volume('volumeL', 'Juice'), plainFigure('ph', 'pH', 'ph', 3.5)],
    work: (of) => {
      const { value, steps, cautions } = sulfiteDose({ ph: of('ph'), volumeL: of('volumeL'), aim: 'juice', form: 'potassium-metabisulfite' });
      return {
        lines: [
          said('Potassium metabisulfite', `${figure(value.massG ?? 0, 1)} g`),
          asIs('which is', `${figure(value.so2MgPerL, 0)} mg/L`),
          asIs('Before bought yeast, wait', `${value.waitH} hours`),
        ],
        steps,
        cautions,
      };
    },
  },
  {
    id: 'priming',
    title: 'Sugar for fizz, of a drink proven dry',
    fields: [volume('volumeL', 'Drink'), plainFigure('volumes', 'Fizz wanted, volumes', 'fizz', 2.4), warmth('warmestC', 'The warmest since it stopped', 18)],
    work: (of) => {
      const asked = { liquid: dryCider(of('volumeL')), targetVolumes: of('volumes'), warmestSinceEndC: of('warmestC') };
      const { value, steps, cautions } = primingSugar({ ...asked, fermentableId: 'sucrose', mode: 'bulk' });
      return {
        lines: [said('White sugar', `${figure(value.massG, 0)} g`), asIs('For each litre', `${figure(value.gPerL, 1)} g`)],
        note: 'Only where two equal readings a week apart proved it dry. A batch’s own bottle bench counts what is left in it.',
        steps,
        cautions,
      };
    },
  },
  {
    id: 'keg',
    title: 'Pressure on a keg',
    fields: [plainFigure('volumes', 'Fizz wanted, volumes', 'fizz', 2.4), warmth('tempC', 'The keg is at', 6)],
    work: (of) => plain(said('Set the regulator to', `${figure(kegPressure({ targetVolumes: of('volumes'), tempC: of('tempC') }), 2)} bar`)),
  },
  {
    id: 'heat',
    title: 'Heat for filled bottles',
    fields: [plainFigure('volumes', 'Fizz in the bottles, volumes', 'fizz', 1.5), warmth('coreC', 'The middle of the coldest bottle gets', 65)],
    work: (of) => {
      const { value, steps, cautions } = heatBottles({ co2Volumes: of('volumes'), headspace: LEAST_HEADSPACE, coreC: of('coreC') });
      return {
        lines: [
          asIs('Hold it there for', `${figure(value.minutes, 0)} minutes`),
          said('On the glass meanwhile', `${figure(value.gaugeBar, 1)} bar`),
          asIs('Room to leave at the filling', `${figure(LEAST_HEADSPACE * 100, 0)} % at least`),
        ],
        note: 'Count from when a thermometer in a bottle of water in the middle of the bath shows it. Only bottles whose maker says that they stand this pressure hot: none of those that Trug knows has such a figure.',
        steps,
        cautions,
      };
    },
  },
];

/**
 * Works a sum out.
 *
 * @param sum - which
 * @param figures - what was said, by field; what is missing is taken as usual
 * @returns the answer; null while something that must be said is not
 * @throws {CoreError} as the sum it asks does
 */
export function workQuickSum(sum: QuickSum, figures: ReadonlyMap<string, number>): QuickAnswer | null {
  const given = new Map(sum.fields.flatMap(({ name, usual }) => [[name, figures.get(name) ?? usual] as const]));
  if ([...given.values()].includes(undefined)) return null;
  return sum.work((name) => {
    const value = given.get(name);
    if (value === undefined) throw new CoreError('UNKNOWN_ID', `this sum has no ${name}`, { field: name });
    return value;
  });
}
