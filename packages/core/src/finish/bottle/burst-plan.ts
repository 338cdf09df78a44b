import { caution } from '../../base/cautions/catalogue.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { bottleById, type BottleKind } from '../../base/reference/bottle-kinds.js';
import { bottlePressure } from './co2-solubility.js';
import { BOTTLE_HEADSPACE_FRACTION } from './sealed-gas.js';

/** Bottles that gush, have burst, or may. */
export interface SuspectBottles {
  readonly kindIds: readonly string[];
  /** All the gas they may hold, volumes, 0–20. */
  readonly co2Volumes: number;
  /** How warm they stand, °C, 0–60. */
  readonly standsC: number;
  readonly abv: number;
}

/** One thing to do, in order. */
export interface BurstStep {
  readonly what: string;
  readonly how: string;
}

/** As cold as a household makes it, °C. */
const COLD_C = 2;
/** What a crate that gushes holds at least, whatever its sums say, volumes. @source estimate: a bottle that gushes when opened with care is past what crown glass is meant for */
const GUSHES_FROM_VOLUMES = 4;

const OPENS: Readonly<Record<BottleKind['closure'], string>> = {
  crown: 'Lift a crown just until it hisses, hold it there until it is quiet, and press it back',
  swing: 'Put a folded towel over a swing top, hold the ball down, and let it up a little at a time',
  'wired-cork': 'Leave the wire on a cork until a towel lies over it; then loosen it with the thumb on top, and let the cork come slowly',
  cork: 'Hold a cork down through a towel and let it come slowly',
  screw: 'Turn a screw cap a quarter until it hisses, and close it when it is quiet',
};

/**
 * What to do with bottles that gush or burst: who stays away, how they are made colder, how gas is let out, and what becomes of
 * the drink. Nobody has to open them: cold and covered they may stand until someone who knows can help.
 *
 * @param bottles - which they are and the gas they may hold
 * @returns the steps in order, with the pressure warm and cold as working
 * @throws {CoreError} OUT_OF_RANGE; UNKNOWN_ID
 * @source usual practice: distance, eyes and hands, cold before anything is opened
 */
export function burstPlan({ kindIds, co2Volumes, standsC, abv }: SuspectBottles): Worked<readonly BurstStep[]> {
  const volumes = Math.max(GUSHES_FROM_VOLUMES, co2Volumes);
  const at = (tempC: number): number => bottlePressure({ co2Volumes: volumes, tempC, headspaceFraction: BOTTLE_HEADSPACE_FRACTION, abv });
  const [warmBar, coldBar] = [at(Math.max(standsC, COLD_C)), at(COLD_C)];
  const ways = [...new Set(kindIds.map((id) => bottleById(id).closure))].map((closure) => OPENS[closure]);
  const steps: readonly BurstStep[] = [
    {
      what: 'Everyone out, animals too',
      how: 'Children, guests and pets stay out of the room until it is over. Do not carry a warm crate, shake it, or bend over it to look.',
    },
    {
      what: 'Eyes, hands and arms first',
      how: 'Goggles or a face shield, thick gloves, long sleeves. Without them, stop here and leave the room shut.',
    },
    {
      what: 'Cover the crate',
      how: 'Lay two thick blankets or a door mat over the closed crate, from the side and not from above. They stay on until the end.',
    },
    {
      what: 'Make the room cold, and wait a day',
      how: `Heating off, window open, or ice around the crate. At ${celsius(standsC)} they may press with ${figure(warmBar, 1)} bar; at ${COLD_C} °C it is ${figure(coldBar, 1)} bar. Carry the crate out only once it is cold, under its cover.`,
    },
    {
      what: 'Let the gas out, one at a time, cold',
      how: `Over a sink or outdoors, each under a towel, turned away from your face. ${ways.join('. ')}. Again each day until none hisses.`,
    },
    {
      what: 'Or pour them back',
      how: 'What goes on gushing goes cold into a clean vessel under an airlock: it is a working drink again, and its end must be proven anew before any of it is sealed.',
    },
    {
      what: 'Where one has burst',
      how: 'Sweep with gloves on, wash down, and throw away whatever stood open beside it. Drink nothing that glass may have fallen into.',
    },
    {
      what: 'If you would rather not',
      how: 'Nobody has to open them. Cold and covered, behind a shut door, they can wait for someone who knows, and your local rules say who fetches what may explode.',
    },
  ];
  return worked(
    steps,
    [
      {
        label: 'Pressure as they stand and cold',
        expression: `${figure(volumes, 1)} volumes at ${celsius(standsC)} and at ${COLD_C} °C`,
        result: `${figure(warmBar, 1)} and ${figure(coldBar, 1)} bar`,
        source: 'Henry’s law; four volumes at least, since they gush',
      },
    ],
    [caution('burst-glass')],
  );
}
