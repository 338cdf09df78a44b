import { Type } from 'class-transformer';
import { IsIn, IsNotEmpty, ValidateIf, ValidateNested } from 'class-validator';
import { Day, InRange, Instant, LIMITS, Text, Ulid } from '../validation/decorators.js';
import { VESSEL_KINDS, type VesselKindId } from './vessel-kinds.js';

/** What a vessel is. */
class VesselMakeDto {
  @Text(40) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  @IsIn(VESSEL_KINDS.map((k) => k.id)) kind!: VesselKindId;
  @InRange(LIMITS.vesselL) capacityL!: number;
}

/** A vessel as the maker adds it. */
export class NewVesselDto extends VesselMakeDto {
  @Ulid() id!: string;
}

/** A vessel as stored. */
export interface VesselDto {
  readonly id: string;
  readonly name: string;
  readonly kind: VesselKindId;
  readonly capacityL: number;
  /** When it was last cleaned; null or absent when nobody said. */
  readonly cleanedAt?: string | null | undefined;
  /** The day it was put away for good; null or absent while it is used. */
  readonly retiredOn?: string | null | undefined;
}

/** A vessel was cleaned. */
export class CleanedDto {
  @Instant() at!: string;
}

const isGiven = (_dto: object, value: unknown): boolean => value !== null;

/** What a maker may change about a vessel. */
export class VesselFactsDto extends VesselMakeDto {
  @ValidateIf(isGiven) @Day() retiredOn!: string | null;
}

/** A vessel put right, or put away for good. */
export class VesselChangeDto extends VesselFactsDto {
  /** As it was read, by which a change of another window is noticed. */
  @ValidateNested() @Type(() => VesselFactsDto) was!: VesselFactsDto;
}

/** When a vessel was last cleaned, put right; null when never. */
export class CleaningDto {
  @ValidateIf(isGiven) @Instant() at!: string | null;
  /** What it said before, by which another cleaning since is noticed. */
  @ValidateIf(isGiven) @Instant() was!: string | null;
}
