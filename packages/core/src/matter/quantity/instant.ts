import { CoreError } from '../../base/errors/core-error.js';

/** Milliseconds since 1970 of an ISO 8601 instant or date; throws UNREADABLE for anything else. */
export function instantMs(iso: string): number {
  const ms = Date.parse(iso);
  if (!Number.isFinite(ms)) {
    throw new CoreError('UNREADABLE', `"${iso}" is not a date`, { given: iso });
  }
  return ms;
}
