import type { Fruit, GuessedFigure, JudgedEntry, PourSource, ShareStory, StateReading } from '@trug/core';
import { MOST_TOLD } from '@trug/core/book/state/share-story';
import { GUESSED_FIGURES } from '@trug/core/matter/liquid/guessed';
import { FRUITS } from '@trug/core/matter/liquid/liquid';
import { LIQUID_LIMITS } from '@trug/core/matter/liquid/liquid-limits';
import { POUR_SOURCES } from '@trug/core/book/state/entry-choices';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { applyDecorators } from '../validation/apply-decorators.js';
import { InRange, InRangeOrNull, Instant, LIMITS, OrNull, Text, Ulid } from '../validation/decorators.js';
import { VesselFillDto } from './liquid-payloads.js';

/** Which figures of a drink nobody measured; absent where all were. */
const Guessed = (): PropertyDecorator => applyDecorators(IsOptional(), IsArray(), ArrayUnique(), IsIn(GUESSED_FIGURES, { each: true }));

/** A liquid as the core knows it. */
export class LiquidDto {
  @InRange(LIQUID_LIMITS.volumeL) volumeL!: number;
  @InRange(LIQUID_LIMITS.sucroseGPerL) sucroseGPerL!: number;
  @InRange(LIQUID_LIMITS.hexoseGPerL) hexoseGPerL!: number;
  @InRange(LIQUID_LIMITS.otherSolidsGPerL) otherSolidsGPerL!: number;
  @InRange(LIQUID_LIMITS.ethanolGPerL) ethanolGPerL!: number;
  @InRange(LIQUID_LIMITS.malicGPerL) malicGPerL!: number;
  @InRange(LIQUID_LIMITS.lacticGPerL) lacticGPerL!: number;
  @InRange(LIQUID_LIMITS.citricGPerL) citricGPerL!: number;
  @InRange(LIQUID_LIMITS.tartaricGPerL) tartaricGPerL!: number;
  @InRange(LIQUID_LIMITS.backgroundMmolPerL) backgroundMmolPerL!: number;
  @InRange(LIQUID_LIMITS.strongCationsMmolPerL) strongCationsMmolPerL!: number;
  @InRange(LIQUID_LIMITS.tanninGPerL) tanninGPerL!: number;
  @InRange(LIQUID_LIMITS.sorbitolGPerL) sorbitolGPerL!: number;
  @InRange(LIQUID_LIMITS.yanMgPerL) yanMgPerL!: number;
  @InRange(LIQUID_LIMITS.freeSo2MgPerL) freeSo2MgPerL!: number;
  @InRange(LIQUID_LIMITS.totalSo2MgPerL) totalSo2MgPerL!: number;
  @InRange(LIQUID_LIMITS.sorbateMgPerL) sorbateMgPerL!: number;
  @InRange(LIQUID_LIMITS.sweetenerGPerL) sweetenerGPerL!: number;
  @IsIn(FRUITS) fruit!: Fruit;
}

export class StoryReadingDto {
  @Text(60) @IsNotEmpty() id!: string;
  @Instant() at!: string;
  @InRange(LIMITS.sg) sg!: number;
  @InRangeOrNull(LIMITS.tempC) tempC!: number | null;
  @InRange(LIMITS.fraction) plusMinus!: number;
  @IsNumber() raw!: number;
  @IsIn(['hydrometer', 'refractometer', 'carton']) instrument!: StateReading['instrument'];
}

export class StoryTempDto {
  @Instant() at!: string;
  @InRange(LIMITS.tempC) tempC!: number;
}

export class JudgedDto {
  @Instant() at!: string;
  @IsIn(['pitched', 'gravity-changed']) kind!: JudgedEntry['kind'];
  @IsOptional() @InRange(LIMITS.movedSg) deltaSg?: number;
  @IsOptional() @IsBoolean() sugarless?: boolean;
}

export class StoryMalolacticDto {
  @Instant() at!: string;
  @IsBoolean() wanted!: boolean;
  @IsBoolean() done!: boolean;
}

export class StoryTestDto {
  @Instant() at!: string;
  @InRange(LIMITS.sugarGPerL) leftGPerL!: number;
  @InRange(LIMITS.sugarGPerL) sdGPerL!: number;
}

/** What is known of a drink, for a share of it. */
export class ShareStoryDto {
  @ValidateNested() @Type(() => LiquidDto) must!: LiquidDto;
  @IsIn(['carton', 'sum', 'glass']) originalBy!: ShareStory['originalBy'];
  @Instant() pitchedAt!: string;
  @InRangeOrNull(LIMITS.smallDoseG) pitchedGPerL!: number | null;
  @IsArray() @ArrayMaxSize(MOST_TOLD) @ValidateNested({ each: true }) @Type(() => StoryReadingDto) readings!: StoryReadingDto[];
  @IsArray() @ArrayMaxSize(MOST_TOLD) @ValidateNested({ each: true }) @Type(() => StoryTempDto) temps!: StoryTempDto[];
  @IsArray() @ArrayMaxSize(MOST_TOLD) @ValidateNested({ each: true }) @Type(() => JudgedDto) judged!: JudgedDto[];
  @OrNull() @Instant() rackedAt!: string | null;
  @OrNull() @ValidateNested() @Type(() => StoryMalolacticDto) malolactic!: StoryMalolacticDto | null;
  @OrNull() @ValidateNested() @Type(() => StoryTestDto) tested!: StoryTestDto | null;
  @IsBoolean() acidMeasured!: boolean;
  @Guessed() guessed?: GuessedFigure[] | undefined;
  @InRange(LIMITS.sugarGPerL) weighedGPerL!: number;
  @IsOptional() @InRange(LIMITS.sugarGPerL) weighedSdGPerL?: number | undefined;
  @OrNull() @Instant() wokenAt!: string | null;
  @OrNull() @Instant() stabilisedAt!: string | null;
}

/** A juice or another batch, poured into a blend. */
export class BlendPartDto {
  @IsIn(POUR_SOURCES) from!: PourSource;
  @Ulid() sourceId!: string;
  @Text(60) @IsNotEmpty() name!: string;
  @ValidateNested() @Type(() => LiquidDto) liquid!: LiquidDto;
  @ValidateIf((p: BlendPartDto) => p.yeastId !== null) @Text(60) @IsNotEmpty() yeastId!: string | null;
  @Guessed() guessed?: GuessedFigure[] | undefined;
  @IsOptional() @ValidateNested() @Type(() => ShareStoryDto) story?: ShareStoryDto;
}

export class BlendedPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => BlendPartDto) parts!: BlendPartDto[];
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRangeOrNull(LIMITS.placeC) tempC!: number | null;
}

/** What left a batch for another. */
export class SplitShareDto {
  @Ulid() batchId!: string;
  @Text(60) @IsNotEmpty() name!: string;
  @InRange(LIMITS.splitL) volumeL!: number;
}

export class SplitPayloadDto {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => SplitShareDto) into!: SplitShareDto[];
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => VesselFillDto) vessels!: VesselFillDto[];
  @InRange(LIMITS.volumeL) lossL!: number;
  @Text(400) why!: string;
}
