import { IsBoolean, IsIn, IsInt, IsNotEmpty, IsOptional, ValidateIf } from 'class-validator';
import { Day, InRange, LIMITS, Text, Ulid } from '../validation/decorators.js';
import { InstrumentOffset } from '../validation/instrument-figures.js';

/** What a maker measures with. */
export const INSTRUMENT_KINDS = ['hydrometer', 'refractometer', 'thermometer', 'ph-meter', 'scale', 'floating-hydrometer'] as const;

/** One of them. */
export type InstrumentKindId = (typeof INSTRUMENT_KINDS)[number];

/** An instrument in the cupboard. One that posts its own readings is a device, and may stand in a batch. */
export class InstrumentDto {
  @Ulid() id!: string;
  @IsInt() @InRange(LIMITS.version) version!: number;
  @IsIn(INSTRUMENT_KINDS) kind!: InstrumentKindId;
  @Text(40) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  /** Where its scale is true, °C. */
  @InRange(LIMITS.calibratedAtC) calibratedAtC!: number;
  /** What must be added to what it shows, in its own unit: SG, °Bx, pH, °C or g. */
  @InstrumentOffset() offset!: number;
  /** The day it was last checked; null when it never was. */
  @ValidateIf((i: InstrumentDto) => i.checkedOn !== null)
  @Day()
  checkedOn!: string | null;
  /** Whether it posts its readings. */
  @IsBoolean() posts!: boolean;
  /** The batch it stands in; null when it lies in the cupboard. */
  @ValidateIf((i: InstrumentDto) => i.batchId !== null) @Ulid() batchId!: string | null;
  /** The day it was put away for good, broken or lost; null or absent while it is used. */
  @IsOptional() @Day() retiredOn?: string | null;
}
