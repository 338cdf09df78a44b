import { MOST_RANKED, MOST_TASTERS } from '@trug/core/finish/trial/taste-tests';
import { TRIAL_WAYS, type TrialWay } from '@trug/core/finish/trial/trial-substance';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsNotEmpty, ValidateNested } from 'class-validator';
import { Text } from '../validation/decorators.js';

const POSITIONS = [...Array(MOST_RANKED).keys()];

/** Who judges, by the numbers on the glasses alone: which drink is in one stays with whoever poured. */
export class TasterDto {
  @Text(40) @IsNotEmpty() name!: string;
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(MOST_RANKED) @IsInt({ each: true }) codes!: number[];
  /** Positions named so far, best first. */
  @IsArray() @ArrayMaxSize(MOST_RANKED) @IsIn(POSITIONS, { each: true }) pressed!: number[];
}

/** A blind tasting that everybody judges on a phone of their own. */
export class TastingDto {
  @IsIn(TRIAL_WAYS) way!: TrialWay;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MOST_TASTERS) @ValidateNested({ each: true }) @Type(() => TasterDto) tasters!: TasterDto[];
}
