/** How much of the batch stands in a vessel. */
export interface VesselFill {
  readonly vesselId: string;
  readonly volumeL: number;
}
