import { IsInt } from 'class-validator';
import { InRange, LIMITS } from '../validation/decorators.js';

/** How a stand-in is started: from the day the yeast went in, so many days a second until it has caught up with now. */
export class StandInDto {
  @InRange(LIMITS.standInDaysPerS) daysPerSecond!: number;
  @IsInt() @InRange(LIMITS.standInMinutes) everyMinutes!: number;
}
