import type { CarbonateId, EntryPayloads, Fruit, InstrumentKind } from '@trug/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsNotEmpty, IsOptional, ValidateIf, ValidateNested } from 'class-validator';
import { GravityFigure } from '../validation/gravity-figure.js';
import { InRange, InRangeOrNull, LIMITS, Text, TextList, Ulid } from '../validation/decorators.js';

/** Acidity a drink may be said to have, g/L as malic. */
const TA = LIMITS.taGPerL;

/** A share of the batch in one vessel. */
export class VesselFillDto {
  @Text(40) @IsNotEmpty() vesselId!: string;
  @InRange(LIMITS.volumeL) volumeL!: number;
}

/** A gravity as it was read. */
export class GravityDto {
  @IsIn(['hydrometer', 'refractometer', 'carton']) instrument!: InstrumentKind;
  /** SG, or °Bx for a refractometer. */
  @GravityFigure() reading!: number;
  @InRangeOrNull({ min: 0, max: 100 }) sampleC!: number | null;
  @InRange({ min: 4, max: 30 }) calibratedAtC!: number;
  @InRange({ min: -0.02, max: 0.02 }) offsetSg!: number;
}

export class FilledPayloadDto {
  @Text(120) @IsNotEmpty() source!: string;
  @IsIn(['apple', 'pear', 'other']) fruit!: Fruit;
  @InRange({ min: 0.1, max: LIMITS.volumeL.max }) volumeL!: number;
  @ValidateNested() @Type(() => GravityDto) gravity!: GravityDto;
  @InRangeOrNull(LIMITS.ph) ph!: number | null;
  @InRangeOrNull(TA) taGPerL!: number | null;
  @InRangeOrNull({ min: 0, max: 20 }) tanninGPerL!: number | null;
  @InRangeOrNull({ min: 0, max: 1000 }) yanMgPerL!: number | null;
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRangeOrNull({ min: -10, max: 60 }) tempC!: number | null;
}

export class ReadingPayloadDto {
  @ValidateIf((r: ReadingPayloadDto) => r.gravity !== null) @ValidateNested() @Type(() => GravityDto) gravity!: GravityDto | null;
  @InRangeOrNull(LIMITS.ph) ph!: number | null;
  @InRangeOrNull(TA) taGPerL!: number | null;
  @InRangeOrNull({ min: -10, max: 60 }) placeC!: number | null;
  @TextList({ maxCount: 10, maxLength: 40 }) insistedOn!: string[];
  @IsIn(['none', 'some', 'lively', null]) bubbles!: EntryPayloads['reading']['bubbles'];
  @ValidateIf((r: ReadingPayloadDto) => r.smell !== null) @Text(200) smell!: string | null;
}

const WHAT = ['fermentable', 'acid', 'carbonate', 'water', 'tannin', 'sulfite', 'nutrient', 'enzyme', 'bentonite', 'finings'] as const;
type What = (typeof WHAT)[number];
const isOneOf =
  (...kinds: readonly What[]) =>
  (a: AdditionPayloadDto): boolean =>
    kinds.includes(a.what);

/** An amount taken out of the cupboard. */
export class SupplyUseDto {
  @Ulid() supplyId!: string;
  @InRange({ min: 0, max: 100_000 }) amount!: number;
}

/** What was added; which fields belong to it depends on `what`. */
export class AdditionPayloadDto {
  @IsIn(WHAT) what!: What;
  @ValidateIf(isOneOf('fermentable')) @Text(60) @IsNotEmpty() fermentableId?: string;
  @ValidateIf(isOneOf('acid')) @IsIn(['malic', 'lactic', 'citric', 'tartaric']) acid?: string;
  @ValidateIf(isOneOf('carbonate')) @IsIn(['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate']) carbonate?: CarbonateId;
  @ValidateIf(isOneOf('nutrient', 'enzyme', 'bentonite', 'finings')) @Text(80) @IsNotEmpty() name?: string;
  @ValidateIf((a: AdditionPayloadDto) => a.what !== 'water' && a.what !== 'sulfite') @InRange({ min: 0, max: LIMITS.massG.max }) massG?: number;
  @ValidateIf(isOneOf('water')) @InRange(LIMITS.volumeL) volumeL?: number;
  @ValidateIf(isOneOf('sulfite')) @InRange({ min: 0, max: 500 }) so2MgPerL?: number;
  @IsOptional() @IsArray() @ArrayMaxSize(4) @ValidateNested({ each: true }) @Type(() => SupplyUseDto) supplies?: SupplyUseDto[];
}
