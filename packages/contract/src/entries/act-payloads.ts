import type { CapColour, ClearingMeans, EntryPayloads, PrimingMode, TimedPlan, Vent } from '@trug/core';
import { KEG_WAY_IDS } from '@trug/core/finish/bottle/keg-ways';
import { SQUEEZE_FEELS, type SqueezeFeel } from '@trug/core/finish/bottle/test-bottle';
import { GONE_WAYS } from '@trug/core/book/kinds/opened';
import { PRIMING_MODES } from '@trug/core/finish/bottle/priming-sugar';
import { CAP_COLOURS, PITCH_METHODS, SUGAR_TESTS, TIMED_PLANS, VENTS } from '@trug/core/book/state/entry-choices';
import { CLEARING_MEANS } from '@trug/core/ferment/clear/clearing-means';
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
import { InRange, InRangeOrNull, LIMITS, Text, TextList, Ulid } from '../validation/decorators.js';
import { TAPES } from '../batches/tapes.js';
import { GravityDto, type SupplyUseDto, SupplyUses, VesselFillDto } from './liquid-payloads.js';

const isForced = (test: { readonly by: string }): boolean => test.by !== 'sugar-test';

export class PitchedPayloadDto {
  @Text(60) @IsNotEmpty() yeastId!: string;
  @InRange(LIMITS.smallDoseG) massG!: number;
  @IsIn(PITCH_METHODS) method!: EntryPayloads['pitched']['method'];
  @InRangeOrNull(LIMITS.placeC) juiceC!: number | null;
  @IsOptional() @Text(60) @IsNotEmpty() withYeastId?: string;
  @SupplyUses() supplies?: SupplyUseDto[];
}

export class SteppedPayloadDto {
  @IsIn(TIMED_PLANS) plan!: TimedPlan;
  @Text(400) @IsNotEmpty() done!: string;
  @IsInt() @InRange(LIMITS.steps) step!: number;
  @IsInt() @InRange(LIMITS.steps) of!: number;
  @ValidateIf((s: SteppedPayloadDto) => s.next !== null) @Text(400) @IsNotEmpty() next!: string | null;
  @InRange(LIMITS.waitMin) waitMin!: number;
}

/** An act that needs no figures. A class without any rule would be refused as unknown, so it has one. */
export class NoFiguresDto {
  @IsEmpty() nothing?: undefined;
}

export class SqueezedPayloadDto {
  @Ulid() crateId!: string;
  @IsIn(SQUEEZE_FEELS) feel!: SqueezeFeel;
}

export class LetOffPayloadDto {
  @IsBoolean() lifts!: boolean;
}

export class MovedPayloadDto {
  @Text(80) @IsNotEmpty() place!: string;
  @InRange(LIMITS.placeC) tempC!: number;
  @IsOptional() @Ulid() crateId?: string;
}

export class RackedPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRange(LIMITS.volumeL) lossL!: number;
}

export class ClarifiedPayloadDto {
  @IsIn(CLEARING_MEANS) means!: ClearingMeans;
  @InRange(LIMITS.smallDoseG) massG!: number;
  @InRange(LIMITS.waitDays) waitDays!: number;
  @SupplyUses() supplies?: SupplyUseDto[];
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
  @InRange(LIMITS.so2MgPerL) so2MgPerL!: number;
  @InRange(LIMITS.sorbateMgPerL) sorbateMgPerL!: number;
  @SupplyUses() supplies?: SupplyUseDto[];
}

/** A sample fermented out in the warm, or a test for sugar: which of them decides what else must be there. */
export class TestedPayloadDto {
  @IsIn(SUGAR_TESTS) by!: EntryPayloads['tested']['by'];
  @ValidateIf(isForced) @IsObject() @ValidateNested() @Type(() => GravityDto) before?: GravityDto;
  @ValidateIf(isForced) @IsObject() @ValidateNested() @Type(() => GravityDto) after?: GravityDto;
  @ValidateIf(isForced) @InRange(LIMITS.forcedFermentDays) days?: number;
  @ValidateIf(isForced) @InRange(LIMITS.forcedFermentC) tempC?: number;
  @ValidateIf((t: TestedPayloadDto) => t.by !== 'forced-ferment') @InRange(LIMITS.sugarGPerL) sugarGPerL?: number;
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
}

export class SweetenedPayloadDto {
  @Text(60) @IsNotEmpty() sweetenerId!: string;
  @InRange(LIMITS.sugarG) massG!: number;
  @SupplyUses() supplies?: SupplyUseDto[];
}

export class PrimedPayloadDto {
  @Text(60) @IsNotEmpty() fermentableId!: string;
  @InRange(LIMITS.sugarG) massG!: number;
  @IsIn(PRIMING_MODES) mode!: PrimingMode;
  @InRange(LIMITS.fizzVolumes) targetVolumes!: number;
  @InRange(LIMITS.hottestC) warmestSinceEndC!: number;
  @IsOptional() @InRange(LIMITS.smallDoseG) freshYeastG?: number;
}

export class BottleCountDto {
  @Text(60) @IsNotEmpty() kindId!: string;
  @IsInt() @InRange(LIMITS.bottles) count!: number;
}

/** Bottles filled to be heated. */
export class ToHeatDto {
  @InRange(LIMITS.heatedRoom) headspace!: number;
}

export class BottledPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => BottleCountDto) bottles!: BottleCountDto[];
  @IsBoolean() testBottle!: boolean;
  @InRange(LIMITS.volumeL) lossL!: number;
  @Text(80) @IsNotEmpty() crate!: string;
  @IsIn(CAP_COLOURS) capColour!: CapColour;
  @InRange(LIMITS.hottestC) hottestC!: number;
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
  @IsOptional() @ValidateNested() @Type(() => ToHeatDto) toHeat?: ToHeatDto;
}

export class HeatStepDto {
  @InRange(LIMITS.heatedMin) minutes!: number;
  @InRange(LIMITS.sampleC) coreC!: number;
}

export class HeatedPayloadDto {
  @Ulid() crateId!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => HeatStepDto) steps!: HeatStepDto[];
  @IsOptional() @InRangeOrNull(LIMITS.sg) openedSg?: number | null;
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
}

export class KeggedPayloadDto {
  @ValidateNested() @Type(() => VesselFillDto) vessel!: VesselFillDto;
  @InRange(LIMITS.volumeL) lossL!: number;
  @InRange(LIMITS.fizzVolumes) targetVolumes!: number;
  @InRange(LIMITS.storeC) storeC!: number;
  @IsOptional() @IsIn([...KEG_WAY_IDS]) way?: EntryPayloads['kegged']['way'];
  @TextList({ maxCount: 20, maxLength: 40 }) acknowledged!: string[];
}

export class PouredBackPayloadDto {
  @Ulid() crateId!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => BottleCountDto) bottles!: BottleCountDto[];
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
}

export class OpenedPayloadDto {
  @Text(60) @IsNotEmpty() kindId!: string;
  @IsInt() @InRange(LIMITS.opened) count!: number;
  @IsOptional() @Text(40) @IsNotEmpty() crateId?: string;
  @IsOptional() @IsIn([...GONE_WAYS]) how?: EntryPayloads['opened']['how'];
}

export class InfusedPayloadDto {
  @Text(60) @IsNotEmpty() infusionId!: string;
  @InRange(LIMITS.massG) massG!: number;
  @IsInt() @InRange(LIMITS.infusionDays) days!: number;
  @SupplyUses() supplies?: SupplyUseDto[];
}

export class LiftedPayloadDto {
  @Ulid() infusedId!: string;
  @Text(120) @IsNotEmpty() name!: string;
}

export class NotePayloadDto {
  @Text(4000) @IsNotEmpty() text!: string;
}

/** What a batch is called, and on which tape. */
export class CalledDto {
  @Text(60) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  @IsIn(TAPES) tape!: string;
}

export class RenamedPayloadDto extends CalledDto {
  @ValidateNested() @Type(() => CalledDto) was!: CalledDto;
}

export class DiscardedPayloadDto {
  @InRange(LIMITS.volumeL) volumeL!: number;
  @Text(400) why!: string;
}
