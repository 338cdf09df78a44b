import type { Liquid } from '@trug/core';
import { strengthOf } from '@trug/core/matter/measure/strength-of';
import type { Units } from './units';

/** The strength of a drink by the school that the maker trusts. */
export const strengthText = (units: Units, liquid: Liquid, must: Liquid | null): string =>
  units.percent(strengthOf(liquid, must, units.preferences().strengthSchool));
