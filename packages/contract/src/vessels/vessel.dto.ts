import { IsIn, IsNotEmpty } from 'class-validator';
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
