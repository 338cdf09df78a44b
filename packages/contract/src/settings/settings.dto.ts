import type { StrengthSchool, UnitPreferences } from '@trug/core';
import { IsBoolean, IsIn, IsInt } from 'class-validator';
import { InRange, LIMITS, Zone } from '../validation/decorators.js';

/** A maker's choices. */
export class SettingsDto {
  @IsIn(['L', 'us-gal', 'imp-gal']) volume!: UnitPreferences['volume'];
  @IsIn(['metric', 'imperial']) mass!: UnitPreferences['mass'];
  @IsIn(['degC', 'degF']) temperature!: UnitPreferences['temperature'];
  @IsIn(['SG', 'Bx', 'g/L']) gravity!: UnitPreferences['gravity'];
  @IsIn(['bar', 'psi']) pressure!: UnitPreferences['pressure'];
  @IsIn(['mass-balance', 'x131.25', 'x135', 'duty-table']) strengthSchool!: StrengthSchool;
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
