import type { Fruit } from '@trug/core';
import { FRUITS } from '@trug/core/matter/liquid/liquid';
import { CONDITIONS, JUICE_ORIGINS, RIPENESS, type FruitLot, type JuiceOrigin } from '@trug/core/juice/fruit/juice';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsNotEmpty, IsOptional, ValidateIf, ValidateNested } from 'class-validator';
import { GravityDto } from '../entries/liquid-payloads.js';
import { InRange, InRangeOrNull, Instant, InstantList, LIMITS, Text, Ulid } from '../validation/decorators.js';
import type { StoredJuice } from './stored-juice.js';
import { TAPES } from '../batches/tapes.js';

/** Fruit of one kind, as weighed. */
export class FruitLotDto {
  @ValidateIf((l: FruitLotDto) => l.fruitId !== null) @Text(60) @IsNotEmpty() fruitId!: string | null;
  @InRange(LIMITS.fruitKg) massKg!: number;
  @IsIn(RIPENESS) ripeness!: FruitLot['ripeness'];
  @IsIn(CONDITIONS) condition!: FruitLot['condition'];
}

/** Juice caught between two looks at the press. */
export class PressRunDto {
  @Instant() at!: string;
  @InRange(LIMITS.pourL) volumeL!: number;
  @Text(40) into!: string;
}

export class PressingDto {
  @Text(60) @IsNotEmpty() pressId!: string;
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => FruitLotDto) lots!: readonly FruitLotDto[];
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => PressRunDto) runs!: readonly PressRunDto[];
}

/** Pulp steeping in water. */
export class SteepingDto {
  @Instant() startedAt!: string;
  @IsInt() @InRange(LIMITS.steepDays) days!: number;
  @IsBoolean() hot!: boolean;
  @InRange(LIMITS.steepedKg) fruitKg!: number;
  @InRange(LIMITS.volumeL) waterL!: number;
  @InRange(LIMITS.sugarG) sugarG!: number;
  @InRange(LIMITS.smallDoseG) acidG!: number;
  @InRange(LIMITS.teaCups) teaCups!: number;
  @InRange(LIMITS.driedFruitG) driedFruitG!: number;
  @InstantList(200) stirredAt!: readonly string[];
  @ValidateIf((s: SteepingDto) => s.strainedAt !== null) @Instant() strainedAt!: string | null;
}

/** A juice as stored and sent. */
export class JuiceDto implements StoredJuice {
  @Ulid() id!: string;
  /** Raised by the server at each change; 0 before the first. */
  @IsInt() @InRange(LIMITS.version) version!: number;
  @Text(60) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  @IsIn(TAPES) tape!: string;
  @IsIn(JUICE_ORIGINS) origin!: JuiceOrigin;
  @IsIn(FRUITS) fruit!: Fruit;
  @ValidateIf((j: JuiceDto) => j.fruitId !== null) @Text(60) @IsNotEmpty() fruitId!: string | null;
  @Instant() madeAt!: string;
  @InRange(LIMITS.volumeL) volumeL!: number;
  @ValidateIf((j: JuiceDto) => j.gravity !== null) @ValidateNested() @Type(() => GravityDto) gravity!: GravityDto | null;
  @InRangeOrNull(LIMITS.ph) ph!: number | null;
  @InRangeOrNull(LIMITS.taGPerL) taGPerL!: number | null;
  @InRangeOrNull(LIMITS.tanninGPerL) tanninGPerL!: number | null;
  @InRangeOrNull(LIMITS.yanMgPerL) yanMgPerL!: number | null;
  @InRangeOrNull(LIMITS.costPerL) costPerL!: number | null;
  @IsBoolean() preserved!: boolean;
  @IsBoolean() vitaminC!: boolean;
  @IsOptional() @IsBoolean() fromConcentrate?: boolean;
  @ValidateIf((j: JuiceDto) => j.pressing !== null) @ValidateNested() @Type(() => PressingDto) pressing!: PressingDto | null;
  @ValidateIf((j: JuiceDto) => j.steeping !== null) @ValidateNested() @Type(() => SteepingDto) steeping!: SteepingDto | null;
  @InRange(LIMITS.volumeL) goneL!: number;
  @Text(2000) note!: string;
}
