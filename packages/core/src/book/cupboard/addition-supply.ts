import type { AdditionId } from '../../juice/adjust/addition-types.js';
import type { Need } from './supply-for.js';

/** Of which there is only one in a cupboard. */
const ONE_OF_A_KIND: readonly AdditionId[] = ['tannin', 'enzyme', 'bentonite'];

/**
 * What of the cupboard an addition draws on.
 *
 * @param what - the addition
 * @param refId - which of its kind
 * @returns null for what no cupboard keeps, such as water, lemons and tea
 */
export function supplyOfAddition(what: AdditionId, refId: string): Pick<Need, 'kind' | 'refId'> | null {
  if (what === 'water' || refId === 'lemon' || refId === 'tea') return null;
  return { kind: what, refId: ONE_OF_A_KIND.includes(what) ? null : refId };
}
