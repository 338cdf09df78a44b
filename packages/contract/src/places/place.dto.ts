import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsNotEmpty, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { Day, InRange, LIMITS, Text, Ulid } from '../validation/decorators.js';

/** A place where vessels stand, with its usual year. */
export class PlaceDto {
  @Ulid() id!: string;
  @IsInt() @InRange(LIMITS.version) version!: number;
  @Text(60) @IsNotEmpty({ message: 'name must be given' }) name!: string;
  /** January to December, °C. */
  @IsArray()
  @ArrayMinSize(12)
  @ArrayMaxSize(12)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  @Min(LIMITS.monthC.min, { each: true })
  @Max(LIMITS.monthC.max, { each: true })
  monthlyC!: number[];
  /** The day it was given up; null or absent while it is used. */
  @IsOptional() @Day() retiredOn?: string | null;
}
