import { SUPPLY_KINDS, type SupplyKind } from '@trug/core/book/cupboard/supply-kinds';
import { IsIn, IsInt, IsNotEmpty, IsOptional, ValidateIf } from 'class-validator';
import { Day, InRange, InRangeOrNull, LIMITS, Text, Ulid } from '../validation/decorators.js';

export { SUPPLY_KINDS, type SupplyKind };

/** How supplies are counted. */
export const SUPPLY_UNITS = ['packet', 'g', 'tablet', 'mL', 'bottle'] as const;

/** A packet, jar or box in the cupboard. */
export class SupplyDto {
  @Ulid() id!: string;
  @IsInt() @InRange(LIMITS.version) version!: number;
  @IsIn(SUPPLY_KINDS) kind!: SupplyKind;
  /** The kind of yeast, or what it is of its kind; null when that does not matter. */
  @ValidateIf((s: SupplyDto) => s.refId !== null) @Text(60) @IsNotEmpty() refId!: string | null;
  @Text(60) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  @InRange(LIMITS.supplyAmount) amount!: number;
  @IsIn(SUPPLY_UNITS) unit!: (typeof SUPPLY_UNITS)[number];
  /** What one packet holds, g; null when it is not counted in packets. */
  @InRangeOrNull(LIMITS.packetG) packetG!: number | null;
  /** What a level teaspoon of it weighs, g, as the maker weighed it; absent where nobody did. */
  @IsOptional() @InRange(LIMITS.teaspoonG) teaspoonG?: number | undefined;
  /** How much of it its packet asks for in a litre, g; absent where nobody said. */
  @IsOptional() @InRange(LIMITS.packetGPerL) doseGPerL?: number | undefined;
  @ValidateIf((s: SupplyDto) => s.bestBefore !== null)
  @Day()
  bestBefore!: string | null;
  /** What was paid for all that was brought in, in the maker's money; absent where nobody said. */
  @IsOptional() @InRange(LIMITS.paid) paid?: number | undefined;
}
