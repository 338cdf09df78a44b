import { MOST_PUT_OFF } from '@trug/core/book/plan/put-off';
import type { StrengthSchool, UnitPreferences } from '@trug/core';
import { STRENGTH_SCHOOLS } from '@trug/core/matter/measure/abv-from-gravities';
import { UNIT_CHOICES } from '@trug/core/matter/quantity/format-quantity';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, ValidateIf, ValidateNested } from 'class-validator';
import { Day, InRange, LIMITS, Text, Zone } from '../validation/decorators.js';

/** A job that the maker put off, or does without. */
export class PutOffDto {
  @Text(120) jobId!: string;
  /** The day it comes back; null when it is not for this maker. */
  @ValidateIf((p: PutOffDto) => p.until !== null) @Day() until!: string | null;
}

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
  /** What is not to be done yet, or not at all. */
  @IsArray() @ArrayMaxSize(MOST_PUT_OFF) @ValidateNested({ each: true }) @Type(() => PutOffDto) putOff!: PutOffDto[];
  /** The version this change was made from; another window may have been quicker. */
  @IsInt() @InRange(LIMITS.version) version!: number;
}
