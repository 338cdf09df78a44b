import { METHODS } from '@trug/core/book/plan/method';
import { RECIPE_KINDS, type KeptStep, type RecipeKind } from '@trug/core/book/recipe/recipe-step';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsInt, IsNotEmpty, IsObject, IsOptional, ValidateBy, ValidateNested } from 'class-validator';
import { payloadDtoOf } from '../entries/payload-dtos.js';
import { checkDto } from '../validation/check-dto.js';
import { Day, InRange, LIMITS, Text, Ulid } from '../validation/decorators.js';

/** A payload that the class of its kind accepts. */
function OfItsKind(): PropertyDecorator {
  const refusalOf = (value: unknown, step: object): string | null => {
    const kind = RECIPE_KINDS.find((own) => 'kind' in step && step.kind === own);
    if (!kind) return null;
    const check = checkDto(payloadDtoOf(kind), value);
    return check.ok ? null : check.fields.map(({ path, message }) => `${path} ${message}`).join('; ');
  };
  return ValidateBy({
    name: 'ofItsKind',
    validator: {
      validate: (value, args) => args !== undefined && refusalOf(value, args.object) === null,
      defaultMessage: (args) => (args && refusalOf(args.value, args.object)) ?? '$property must be of its kind',
    },
  });
}

/** One thing to do. */
export class RecipeStepDto {
  @IsInt() @InRange(LIMITS.recipeDays) afterDays!: number;
  @IsIn(RECIPE_KINDS) kind!: RecipeKind;
  @IsObject() @OfItsKind() payload!: KeptStep['payload'];
  @Text(2000) note!: string;
  @IsBoolean() fixed!: boolean;
}

/** A recipe of the maker's own, at the size it is written for. */
export class RecipeDto {
  @Ulid() id!: string;
  @IsInt() @InRange(LIMITS.version) version!: number;
  @Text(60) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  @IsIn(METHODS.map((m) => m.id)) methodId!: string;
  @Text(2000) note!: string;
  @IsArray()
  @ArrayMinSize(LIMITS.recipeSteps.min)
  @ArrayMaxSize(LIMITS.recipeSteps.max)
  @ValidateNested({ each: true })
  @Type(() => RecipeStepDto)
  steps!: readonly RecipeStepDto[];
  /** The day it was put away; null or absent while it is used. */
  @IsOptional() @Day() retiredOn?: string | null;
}
