import type { Clarity, EntryPayloads, TasteColour } from '@trug/core';
import { SPARKLES } from '@trug/core/book/state/entry-choices';
import { CLARITIES, TASTE_COLOURS, TASTE_SCALES } from '@trug/core/finish/taste/taste-sheet';
import { TASTE_WORD_IDS } from '@trug/core/finish/taste/taste-words';
import { MOST_RANKED, MOST_TASTERS } from '@trug/core/finish/trial/taste-tests';
import { TRIAL_KINDS, TRIAL_WAYS, type TrialKind, type TrialWay } from '@trug/core/finish/trial/trial-substance';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { InRange, LIMITS, Text, Ulid } from '../validation/decorators.js';

/** Glasses by number. */
const GLASSES = [...Array(MOST_RANKED).keys()];
const STEPS = [...TASTE_SCALES.nose.keys(), null];

export class TasteScalesDto {
  @IsIn(STEPS) nose!: number | null;
  @IsIn(STEPS) sweetness!: number | null;
  @IsIn(STEPS) acid!: number | null;
  @IsIn(STEPS) tannin!: number | null;
  @IsIn(STEPS) body!: number | null;
  @IsIn(STEPS) length!: number | null;
}

export class TasteSheetDto {
  @ValidateIf((t: TasteSheetDto) => t.crateId !== null) @Text(40) @IsNotEmpty() crateId!: string | null;
  @IsIn([...CLARITIES, null]) clarity!: Clarity | null;
  @IsIn([...TASTE_COLOURS, null]) colour!: TasteColour | null;
  @ValidateNested() @Type(() => TasteScalesDto) scales!: TasteScalesDto;
  @IsArray() @ArrayMaxSize(TASTE_WORD_IDS.length) @ArrayUnique() @IsIn([...TASTE_WORD_IDS], { each: true }) words!: string[];
  @ValidateIf((t: TasteSheetDto) => t.score !== null) @IsInt() @InRange(LIMITS.tasteScore) score!: number | null;
  @Text(400) next!: string;
}

export class TastedPayloadDto {
  @Text(2000) text!: string;
  @IsIn([...SPARKLES, null]) sparkle!: EntryPayloads['tasted']['sparkle'];
  @ValidateIf((t: TastedPayloadDto) => t.again !== null) @IsBoolean() again!: boolean | null;
  @IsOptional() @ValidateNested() @Type(() => TasteSheetDto) sheet?: TasteSheetDto;
}

export class TrialSubstanceDto {
  @IsIn(TRIAL_KINDS) kind!: TrialKind;
  @Text(60) id!: string;
  @Text(80) name!: string;
}

export class TrialJudgementDto {
  @Text(40) @IsNotEmpty() name!: string;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MOST_RANKED) @IsInt({ each: true }) @IsIn(GLASSES, { each: true }) said!: number[];
}

export class TrialledPayloadDto {
  @ValidateNested() @Type(() => TrialSubstanceDto) substance!: TrialSubstanceDto;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(MOST_RANKED)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  @Min(LIMITS.trialDose.min, { each: true })
  @Max(LIMITS.trialDose.max, { each: true })
  doses!: number[];
  @InRange(LIMITS.trialGlassMl) glassMl!: number;
  @IsIn(TRIAL_WAYS) way!: TrialWay;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MOST_TASTERS) @ValidateNested({ each: true }) @Type(() => TrialJudgementDto) judged!: TrialJudgementDto[];
  @IsIn([...GLASSES, null]) chosen!: number | null;
  @Text(400) text!: string;
}

export class ComparedDrinkDto {
  @Ulid() batchId!: string;
  @Text(80) @IsNotEmpty() name!: string;
  @ValidateIf((d: ComparedDrinkDto) => d.crateId !== null) @Ulid() crateId!: string | null;
}

export class ComparedPayloadDto {
  @Ulid() tastingId!: string;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(MOST_RANKED)
  @ValidateNested({ each: true })
  @Type(() => ComparedDrinkDto)
  drinks!: ComparedDrinkDto[];
  @IsIn(GLASSES) own!: number;
  @InRange(LIMITS.trialGlassMl) glassMl!: number;
  @IsIn(TRIAL_WAYS) way!: TrialWay;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MOST_TASTERS) @ValidateNested({ each: true }) @Type(() => TrialJudgementDto) judged!: TrialJudgementDto[];
  @Text(400) text!: string;
}
