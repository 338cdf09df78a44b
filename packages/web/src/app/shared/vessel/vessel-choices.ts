import type { VesselDto } from '@trug/contract/plain';
import type { Units } from '../../units/units';
import type { Choice } from '../field/select-field';

/**
 * Free vessels as a field offers them.
 *
 * @param units - how the maker writes
 * @param vessels - the free ones, each with whether it is clean
 * @returns choices that say what each holds
 */
export const vesselChoices = (
  units: Units,
  vessels: readonly (Pick<VesselDto, 'id' | 'name' | 'capacityL'> & { readonly clean: boolean })[],
): readonly Choice[] =>
  vessels.map(({ id, name, capacityL, clean }) => ({ id, name: `${name}, holds ${units.volume(capacityL)}${clean ? '' : ', to be cleaned first'}` }));
