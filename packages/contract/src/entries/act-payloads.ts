import { CLEARING_MEANS, TIMED_PLANS, VENTS, type CapColour, type ClearingMeans, type EntryPayloads, type TimedPlan, type Vent } from '@trug/core/log/entry';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsEmpty,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsObject,
  IsOptional,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { InRange, InRangeOrNull, LIMITS, Text, TextList } from '../validation/decorators.js';
import { GravityDto, SupplyUseDto, VesselFillDto } from './liquid-payloads.js';

/** How hot or cold a place may be, °C. */
const PLACE_C = { min: -10, max: 60 };
const COUNT = { min: 0, max: 5000 };
const isForced = (test: { readonly by: string }): boolean => test.by !== 'sugar-test';

export class PitchedPayloadDto {
  @Text(60) @IsNotEmpty() yeastId!: string;
  @InRange({ min: 0, max: 5000 }) massG!: number;
  @IsIn(['sprinkled', 'rehydrated', 'starter', 'wild']) method!: EntryPayloads['pitched']['method'];
  @InRangeOrNull(PLACE_C) juiceC!: number | null;
  @IsOptional() @Text(60) @IsNotEmpty() withYeastId?: string;
  @IsOptional() @IsArray() @ArrayMaxSize(4) @ValidateNested({ each: true }) @Type(() => SupplyUseDto) supplies?: SupplyUseDto[];
}

export class SteppedPayloadDto {
  @IsIn(TIMED_PLANS) plan!: TimedPlan;
  @Text(400) @IsNotEmpty() done!: string;
  @IsInt() @InRange({ min: 1, max: 30 }) step!: number;
  @IsInt() @InRange({ min: 1, max: 30 }) of!: number;
  @ValidateIf((s: SteppedPayloadDto) => s.next !== null) @Text(400) @IsNotEmpty() next!: string | null;
  /** Sixty days at most. */
  @InRange({ min: 0, max: 86_400 }) waitMin!: number;
}

/** An act that needs no figures. A class without any rule would be refused as unknown, so it has one. */
export class NoFiguresDto {
  @IsEmpty() nothing?: undefined;
}

export class MovedPayloadDto {
  @Text(80) @IsNotEmpty() place!: string;
  @InRange(PLACE_C) tempC!: number;
}

export class RackedPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRange(LIMITS.volumeL) lossL!: number;
}

export class ClarifiedPayloadDto {
  @IsIn(CLEARING_MEANS) means!: ClearingMeans;
  @InRange({ min: 0, max: 5000 }) massG!: number;
  @InRange({ min: 0, max: 365 }) waitDays!: number;
  @IsOptional() @IsArray() @ArrayMaxSize(4) @ValidateNested({ each: true }) @Type(() => SupplyUseDto) supplies?: SupplyUseDto[];
}

export class MalolacticPayloadDto {
  @InRange(LIMITS.fraction) turnedFraction!: number;
  @IsBoolean() wanted!: boolean;
  @IsBoolean() bacteria!: boolean;
  @IsBoolean() done!: boolean;
}

export class VentedPayloadDto {
  @IsIn(VENTS) vent!: Vent;
}

export class StabilisedPayloadDto {
  @InRange({ min: 0, max: 500 }) so2MgPerL!: number;
  @InRange({ min: 0, max: 1000 }) sorbateMgPerL!: number;
}

/** A sample fermented out in the warm, or a test for sugar: which of them decides what else must be there. */
export class TestedPayloadDto {
  @IsIn(['forced-ferment', 'sugar-test']) by!: EntryPayloads['tested']['by'];
  @ValidateIf(isForced) @IsObject() @ValidateNested() @Type(() => GravityDto) before?: GravityDto;
  @ValidateIf(isForced) @IsObject() @ValidateNested() @Type(() => GravityDto) after?: GravityDto;
  @ValidateIf(isForced) @InRange({ min: 0.5, max: 60 }) days?: number;
  @ValidateIf(isForced) @InRange({ min: 0, max: 45 }) tempC?: number;
  @ValidateIf((t: TestedPayloadDto) => t.by !== 'forced-ferment') @InRange({ min: 0, max: 200 }) sugarGPerL?: number;
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
}

export class SweetenedPayloadDto {
  @Text(60) @IsNotEmpty() sweetenerId!: string;
  @InRange({ min: 0, max: 100_000 }) massG!: number;
}

export class PrimedPayloadDto {
  @Text(60) @IsNotEmpty() fermentableId!: string;
  @InRange({ min: 0, max: 100_000 }) massG!: number;
  @IsIn(['bulk', 'per-bottle']) mode!: 'bulk' | 'per-bottle';
  @InRange({ min: 0, max: 6 }) targetVolumes!: number;
  @InRange({ min: 0, max: 60 }) warmestSinceEndC!: number;
}

export class BottleCountDto {
  @Text(60) @IsNotEmpty() kindId!: string;
  @IsInt() @InRange(COUNT) count!: number;
}

export class BottledPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => BottleCountDto) bottles!: BottleCountDto[];
  @IsBoolean() testBottle!: boolean;
  @InRange(LIMITS.volumeL) lossL!: number;
  @Text(80) @IsNotEmpty() crate!: string;
  @IsIn(['rust', 'slate', 'leaf', 'straw', 'plum']) capColour!: CapColour;
  @InRange({ min: 0, max: 60 }) hottestC!: number;
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
}

export class KeggedPayloadDto {
  @ValidateNested() @Type(() => VesselFillDto) vessel!: VesselFillDto;
  @InRange(LIMITS.volumeL) lossL!: number;
  @InRange({ min: 0, max: 6 }) targetVolumes!: number;
  @InRange({ min: -2, max: 30 }) storeC!: number;
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
}

export class OpenedPayloadDto {
  @Text(60) @IsNotEmpty() kindId!: string;
  @IsInt() @InRange({ min: 1, max: 5000 }) count!: number;
}

export class TastedPayloadDto {
  @Text(2000) text!: string;
  @IsIn(['flat', 'soft', 'lively', 'gushing', null]) sparkle!: EntryPayloads['tasted']['sparkle'];
  @ValidateIf((t: TastedPayloadDto) => t.again !== null) @IsBoolean() again!: boolean | null;
}

export class NotePayloadDto {
  @Text(4000) @IsNotEmpty() text!: string;
}

export class DiscardedPayloadDto {
  @InRange(LIMITS.volumeL) volumeL!: number;
  @Text(400) why!: string;
}
