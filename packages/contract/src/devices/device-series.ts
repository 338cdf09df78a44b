/** What a device sent about a batch, as columns: short to send and quick to read. Moments are seconds since 1970. */
export interface DeviceColumns {
  readonly deviceId: string;
  readonly at: readonly number[];
  readonly sg: readonly (number | null)[];
  readonly tempC: readonly (number | null)[];
  readonly ph: readonly (number | null)[];
  readonly massG: readonly (number | null)[];
  /** Whether any of it was made up by a stand-in. */
  readonly madeUp: boolean;
}

/** What was fetched of a device, which may be thinned, with how many readings of it there are about the batch in all. */
export interface HeldColumns extends DeviceColumns {
  readonly held: number;
}

/** The reply to readings that were taken in. */
export interface ReadingsReply {
  /** How many were new. */
  readonly stored: number;
  /** How many had been sent before, or share their second with an earlier one; they change nothing. */
  readonly repeated: number;
}

/** A stand-in that is running. */
export interface RunningStandIn {
  readonly deviceId: string;
  /** The moment it has reached, ISO 8601. */
  readonly reached: string;
  readonly daysPerSecond: number;
  /** Why its last post was refused; null when all is well. */
  readonly trouble: string | null;
}
