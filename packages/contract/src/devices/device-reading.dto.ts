import { DEVICE_LIMITS } from '@trug/core/book/device/readings-from-table';
import { strictInstantMs } from '@trug/core/matter/quantity/strict-dates';
import { IsBoolean, IsOptional, ValidateBy, ValidateIf } from 'class-validator';
import { InRange, LIMITS } from '../validation/decorators.js';

/** How many readings one request may carry. */
export const MOST_READINGS_AT_ONCE = 5000;

/**
 * One reading as a device or a script posts it: a moment, and any of its figures. Without a moment it counts as read
 * when it arrives.
 */
export class DeviceReadingDto {
  /** ISO 8601 with its zone, or seconds since 1970. */
  @ValidateIf((r: DeviceReadingDto) => r.at !== undefined && typeof r.at !== 'number')
  @ValidateBy({
    name: 'moment',
    validator: {
      validate: (at: unknown) => typeof at === 'string' && strictInstantMs(at) !== null,
      defaultMessage: () => 'at must be a moment with its zone, such as 2026-10-03T14:30:00Z, or seconds since 1970',
    },
  })
  at?: string | number;
  @IsOptional() @InRange(DEVICE_LIMITS.sg) sg?: number;
  @IsOptional() @InRange(DEVICE_LIMITS.brix) brix?: number;
  @IsOptional() @InRange(DEVICE_LIMITS.tempC) tempC?: number;
  @IsOptional() @InRange(DEVICE_LIMITS.tempF) tempF?: number;
  @IsOptional() @InRange(DEVICE_LIMITS.ph) ph?: number;
  @IsOptional() @InRange(DEVICE_LIMITS.massG) massG?: number;
  /** Whether it was made up to try things out: such a reading is drawn and counts for nothing. */
  @IsOptional() @IsBoolean() madeUp?: boolean;
}

/** Whether a number can be seconds since 1970: fewer are a device that never knew its date, more are milliseconds. */
export const isUnixSeconds = (at: number): boolean => at >= LIMITS.unixS.min && at <= LIMITS.unixS.max;
