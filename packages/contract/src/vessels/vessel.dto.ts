import { IsIn, IsNotEmpty, ValidateIf } from 'class-validator';
import { InRange, Instant, LIMITS, Text, Ulid } from '../validation/decorators.js';
import { VESSEL_KINDS, type VesselKindId } from './vessel-kinds.js';

/** A vessel as the maker adds it. */
export class NewVesselDto {
  @Ulid() id!: string;
  @Text(40) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  @IsIn(VESSEL_KINDS.map((k) => k.id)) kind!: VesselKindId;
  @InRange(LIMITS.vesselL) capacityL!: number;
}

/** A vessel as stored. */
export interface VesselDto {
  readonly id: string;
  readonly name: string;
  readonly kind: VesselKindId;
  readonly capacityL: number;
  /** When it was last cleaned; null or absent when nobody said. */
  readonly cleanedAt?: string | null | undefined;
}

/** A vessel was cleaned. */
export class CleanedDto {
  @Instant() at!: string;
}

const isGiven = (_dto: object, value: unknown): boolean => value !== null;

/** When a vessel was last cleaned, put right; null when never. */
export class CleaningDto {
  @ValidateIf(isGiven) @Instant() at!: string | null;
  /** What it said before, by which another cleaning since is noticed. */
  @ValidateIf(isGiven) @Instant() was!: string | null;
}
