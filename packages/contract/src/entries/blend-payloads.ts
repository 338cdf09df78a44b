import type { Fruit } from '@trug/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsNotEmpty, ValidateIf, ValidateNested } from 'class-validator';
import { InRange, InRangeOrNull, LIMITS, Text, Ulid } from '../validation/decorators.js';
import { VesselFillDto } from './liquid-payloads.js';

const SUGAR = { min: 0, max: 900 };
const ACID = { min: 0, max: 100 };
const SULFITE = { min: 0, max: 1000 };

/** A liquid as the core knows it. */
export class LiquidDto {
  @InRange(LIMITS.volumeL) volumeL!: number;
  @InRange(SUGAR) sucroseGPerL!: number;
  @InRange(SUGAR) hexoseGPerL!: number;
  @InRange({ min: -5, max: 900 }) otherSolidsGPerL!: number;
  @InRange({ min: 0, max: 250 }) ethanolGPerL!: number;
  @InRange(ACID) malicGPerL!: number;
  @InRange(ACID) lacticGPerL!: number;
  @InRange(ACID) citricGPerL!: number;
  @InRange(ACID) tartaricGPerL!: number;
  @InRange({ min: 0, max: 2000 }) backgroundMmolPerL!: number;
  @InRange({ min: -500, max: 1000 }) strongCationsMmolPerL!: number;
  @InRange({ min: 0, max: 50 }) tanninGPerL!: number;
  @InRange({ min: 0, max: 200 }) sorbitolGPerL!: number;
  @InRange({ min: 0, max: 5000 }) yanMgPerL!: number;
  @InRange(SULFITE) freeSo2MgPerL!: number;
  @InRange(SULFITE) totalSo2MgPerL!: number;
  @InRange({ min: 0, max: 2000 }) sorbateMgPerL!: number;
  @InRange({ min: 0, max: 1000 }) sweetenerGPerL!: number;
  @IsIn(['apple', 'pear', 'other']) fruit!: Fruit;
}

/** A juice or another batch, poured into a blend. */
export class BlendPartDto {
  @IsIn(['juice', 'batch']) from!: 'juice' | 'batch';
  @Ulid() sourceId!: string;
  @Text(60) @IsNotEmpty() name!: string;
  @ValidateNested() @Type(() => LiquidDto) liquid!: LiquidDto;
  @ValidateIf((p: BlendPartDto) => p.yeastId !== null) @Text(60) @IsNotEmpty() yeastId!: string | null;
}

export class BlendedPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => BlendPartDto) parts!: BlendPartDto[];
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRangeOrNull({ min: -10, max: 60 }) tempC!: number | null;
}

/** What left a batch for another. */
export class SplitShareDto {
  @Ulid() batchId!: string;
  @Text(60) @IsNotEmpty() name!: string;
  @InRange({ min: 0.05, max: LIMITS.volumeL.max }) volumeL!: number;
}

export class SplitPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => SplitShareDto) into!: SplitShareDto[];
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRange(LIMITS.volumeL) lossL!: number;
  @Text(400) why!: string;
}
