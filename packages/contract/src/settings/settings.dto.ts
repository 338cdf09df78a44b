import type { StrengthSchool, UnitPreferences } from '@trug/core';
import { STRENGTH_SCHOOLS } from '@trug/core/matter/measure/abv-from-gravities';
import { UNIT_CHOICES } from '@trug/core/matter/quantity/format-quantity';
import { IsBoolean, IsIn, IsInt } from 'class-validator';
import { InRange, LIMITS, Zone } from '../validation/decorators.js';

/** A maker's choices. */
export class SettingsDto {
  @IsIn(UNIT_CHOICES.volume) volume!: UnitPreferences['volume'];
  @IsIn(UNIT_CHOICES.mass) mass!: UnitPreferences['mass'];
  @IsIn(UNIT_CHOICES.temperature) temperature!: UnitPreferences['temperature'];
  @IsIn(UNIT_CHOICES.gravity) gravity!: UnitPreferences['gravity'];
  @IsIn(UNIT_CHOICES.pressure) pressure!: UnitPreferences['pressure'];
  @IsIn(STRENGTH_SCHOOLS) strengthSchool!: StrengthSchool;
  @IsIn(['daylight', 'lamplight', 'system']) theme!: 'daylight' | 'lamplight' | 'system';
  /** What the maker's hydrometer is marked for, °C. */
  @InRange(LIMITS.calibratedAtC) calibratedAtC!: number;
  /** Added to its readings, SG. */
  @InRange(LIMITS.offsetSg) offsetSg!: number;
  /** The hottest day bottles will see, °C. */
  @InRange(LIMITS.plannedHottestC) hottestC!: number;
  /** Where the maker's days begin and end: an IANA time zone. */
  @Zone() timeZone!: string;
  /** Whether the zone was chosen by hand; until then it follows the browser. */
  @IsBoolean() timeZoneChosen!: boolean;
  /** The version this change was made from; another window may have been quicker. */
  @IsInt() @InRange(LIMITS.version) version!: number;
}
