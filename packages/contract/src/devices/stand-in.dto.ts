import { IsInt } from 'class-validator';
import { InRange } from '../validation/decorators.js';

/** How a stand-in is started: from the day the yeast went in, so many days a second until it has caught up with now. */
export class StandInDto {
  @InRange({ min: 0.01, max: 30 }) daysPerSecond!: number;
  @IsInt() @InRange({ min: 1, max: 120 }) everyMinutes!: number;
}
