import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsInt, IsNotEmpty, ValidateIf, ValidateNested } from 'class-validator';
import { InRange, InRangeOrNull, LIMITS, Text } from '../validation/decorators.js';
import { LiquidDto } from './blend-payloads.js';
import { type SupplyUseDto, SupplyUses, VesselFillDto } from './liquid-payloads.js';

/** A sugar or syrup by weight. */
export class WeighedSugarDto {
  @Text(60) @IsNotEmpty() fermentableId!: string;
  @InRange(LIMITS.sugarG) massG!: number;
}

export class SteepedPayloadDto {
  @InRange(LIMITS.steepedKg) fruitKg!: number;
  @ValidateIf((s: SteepedPayloadDto) => s.fruitId !== null) @Text(60) @IsNotEmpty() fruitId!: string | null;
  @Text(120) @IsNotEmpty() source!: string;
  @ValidateNested() @Type(() => LiquidDto) liquid!: LiquidDto;
  @IsBoolean() hot!: boolean;
  @IsBoolean() loose!: boolean;
  @InRange(LIMITS.batchL) waterL!: number;
  @IsArray() @ArrayMaxSize(6) @ValidateNested({ each: true }) @Type(() => WeighedSugarDto) sugars!: WeighedSugarDto[];
  @InRange(LIMITS.smallDoseG) acidG!: number;
  @InRange(LIMITS.teaCups) teaCups!: number;
  @InRange(LIMITS.driedFruitG) driedFruitG!: number;
  @IsInt() @InRange(LIMITS.steepDays) days!: number;
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRangeOrNull(LIMITS.placeC) tempC!: number | null;
  @SupplyUses() supplies?: SupplyUseDto[];
}

export class StrainedPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @IsBoolean() squeezed!: boolean;
}
