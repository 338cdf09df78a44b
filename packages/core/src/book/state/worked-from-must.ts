import { AT_END_SG } from '../../ferment/verdict/judge-facts.js';
import { BELOW_DRY_SG } from '../../ferment/verdict/question-reading.js';
import { agreeWithReading } from '../../matter/liquid/ferment-to.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { dryGravityOf, fermentableGPerL } from '../../matter/liquid/views.js';
import type { BatchState } from './batch-state.js';
import { hasFreshReading, withoutSugar } from './sugar-known.js';

type ReadState = Pick<BatchState, 'must' | 'pitch' | 'tested' | 'readings' | 'judged'>;
/** What a reading changes: what stands in the vessels, and the unfermented must behind it where that was misjudged. */
type Worked = Pick<BatchState, 'must' | 'pitch'> & { readonly liquid: Liquid };

/** The same change to the must and to what the forecast counts from. */
const mustOf = ({ must, pitch }: ReadState, act: (liquid: Liquid) => Liquid): Pick<BatchState, 'must' | 'pitch'> => ({
  must: must && act(must),
  pitch: pitch && { ...pitch, liquid: act(pitch.liquid) },
});

/** A must that ends no higher than it was once read: there was less in it that does not ferment than assumed. */
function lightened(must: Liquid, sg: number): Liquid {
  const drySg = dryGravityOf(must);
  if (sg >= drySg - AT_END_SG || sg < drySg - BELOW_DRY_SG) return must;
  const solids = (drySg: number): number => agreeWithReading(must, drySg).otherSolidsGPerL;
  return { ...must, otherSolidsGPerL: must.otherSolidsGPerL + solids(sg + AT_END_SG) - solids(drySg) };
}

/**
 * A drink as a reading shows it, worked from its must each time: what an earlier reading made of it, which may have been
 * mistyped, rough or of another batch, decides nothing. A drink once read lighter than its must can end tells of the must,
 * and sugar that comes in later is found above that; a test that was made without a reading is believed by the next one.
 *
 * @param state - the batch, with yeast in it
 * @param liquid - as last known
 * @param sg - a corrected reading
 * @returns what stands in the vessels, at that gravity, and the must
 */
export function workedFromMust(state: ReadState, liquid: Liquid, sg: number): Worked {
  const { must, tested } = state;
  if (!must) return { liquid: agreeWithReading(liquid, sg), must, pitch: state.pitch };
  if (tested && !state.readings.some((r) => r.at > tested.at) && !hasFreshReading(state, tested.at)) {
    const found = agreeWithReading(liquid, sg);
    const goneGPerL = fermentableGPerL(agreeWithReading(must, sg)) - fermentableGPerL(found);
    return { liquid: found, ...mustOf(state, (l) => withoutSugar(l, goneGPerL)) };
  }
  const known = mustOf(state, (l) => lightened(l, sg));
  const { sucroseGPerL, hexoseGPerL, otherSolidsGPerL, ethanolGPerL } = agreeWithReading(known.must ?? must, sg);
  return { ...known, liquid: { ...liquid, sucroseGPerL, hexoseGPerL, otherSolidsGPerL, ethanolGPerL } };
}
