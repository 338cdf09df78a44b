import { monotonicFactory } from 'ulid';

/** A new ULID, always later than the one before: entries written in one moment keep their order by id. */
export const newId = monotonicFactory();
