import { applyDecorators } from '../validation/apply-decorators.js';
import type { AcidId, CarbonateId, EntryPayloads, Fruit, ReadingInstrument } from '@trug/core';
import { WEAK_ACIDS } from '@trug/core/matter/liquid/acid-chemistry';
import { CARBONATES } from '@trug/core/matter/liquid/add-acid';
import { FRUITS } from '@trug/core/matter/liquid/liquid';
import { BUBBLES } from '@trug/core/book/state/entry-choices';
import { ADDED } from '@trug/core/juice/adjust/addition-payload';
import { READING_INSTRUMENTS } from '@trug/core/matter/measure/raw-gravity';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsNotEmpty, IsOptional, ValidateIf, ValidateNested } from 'class-validator';
import { GravityFigure } from '../validation/instrument-figures.js';
import { InRange, InRangeOrNull, LIMITS, Text, TextList, Ulid } from '../validation/decorators.js';

/** A share of the batch in one vessel. */
export class VesselFillDto {
  @Text(40) @IsNotEmpty() vesselId!: string;
  @InRange(LIMITS.volumeL) volumeL!: number;
}

/** A gravity as it was read. */
export class GravityDto {
  @IsIn(READING_INSTRUMENTS) instrument!: ReadingInstrument;
  /** SG, or °Bx for a refractometer. */
  @GravityFigure() reading!: number;
  @InRangeOrNull(LIMITS.sampleC) sampleC!: number | null;
  @InRange(LIMITS.calibratedAtC) calibratedAtC!: number;
  @InRange(LIMITS.offsetSg) offsetSg!: number;
}

export class FilledPayloadDto {
  @Text(120) @IsNotEmpty() source!: string;
  @IsIn(FRUITS) fruit!: Fruit;
  @InRange(LIMITS.batchL) volumeL!: number;
  @ValidateNested() @Type(() => GravityDto) gravity!: GravityDto;
  @InRangeOrNull(LIMITS.ph) ph!: number | null;
  @InRangeOrNull(LIMITS.taGPerL) taGPerL!: number | null;
  @InRangeOrNull(LIMITS.tanninGPerL) tanninGPerL!: number | null;
  @InRangeOrNull(LIMITS.yanMgPerL) yanMgPerL!: number | null;
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRangeOrNull(LIMITS.placeC) tempC!: number | null;
}

export class ReadingPayloadDto {
  @ValidateIf((r: ReadingPayloadDto) => r.gravity !== null) @ValidateNested() @Type(() => GravityDto) gravity!: GravityDto | null;
  @InRangeOrNull(LIMITS.ph) ph!: number | null;
  @InRangeOrNull(LIMITS.taGPerL) taGPerL!: number | null;
  @InRangeOrNull(LIMITS.placeC) placeC!: number | null;
  @TextList({ maxCount: 10, maxLength: 40 }) insistedOn!: string[];
  @IsIn([...BUBBLES, null]) bubbles!: EntryPayloads['reading']['bubbles'];
  @ValidateIf((r: ReadingPayloadDto) => r.smell !== null) @Text(200) smell!: string | null;
}

type What = (typeof ADDED)[number];
const isOneOf =
  (...kinds: readonly What[]) =>
  (a: AdditionPayloadDto): boolean =>
    kinds.includes(a.what);

/** An amount taken out of the cupboard. */
export class SupplyUseDto {
  @Ulid() supplyId!: string;
  @InRange(LIMITS.supplyAmount) amount!: number;
}

/** What an act used up of the cupboard: a few things, or nothing said of it. */
export const SupplyUses = (): PropertyDecorator =>
  applyDecorators(
    IsOptional(),
    IsArray(),
    ArrayMaxSize(4),
    ValidateNested({ each: true }),
    Type(() => SupplyUseDto),
  );

/** What was added; which fields belong to it depends on `what`. */
export class AdditionPayloadDto {
  @IsIn(ADDED) what!: What;
  @ValidateIf(isOneOf('fermentable')) @Text(60) @IsNotEmpty() fermentableId?: string;
  @ValidateIf(isOneOf('acid')) @IsIn(Object.keys(WEAK_ACIDS)) acid?: AcidId;
  @ValidateIf(isOneOf('carbonate')) @IsIn(Object.keys(CARBONATES)) carbonate?: CarbonateId;
  @ValidateIf(isOneOf('nutrient', 'enzyme', 'bentonite', 'finings')) @Text(80) @IsNotEmpty() name?: string;
  @ValidateIf((a: AdditionPayloadDto) => a.what !== 'water' && a.what !== 'sulfite') @InRange(LIMITS.massG) massG?: number;
  @ValidateIf(isOneOf('water')) @InRange(LIMITS.volumeL) volumeL?: number;
  @ValidateIf(isOneOf('sulfite')) @InRange(LIMITS.so2MgPerL) so2MgPerL?: number;
  @SupplyUses() supplies?: SupplyUseDto[];
}
