/** How much of the batch stands in a vessel. */
export interface VesselFill {
  readonly vesselId: string;
  readonly volumeL: number;
}

/** What stands in some vessels together, L. */
export const litresIn = (vessels: readonly VesselFill[]): number => vessels.reduce((sum, v) => sum + v.volumeL, 0);

/**
 * Whether more stands somewhere than there was to come from: both were read off a jug, so two in a hundred and a splash pass.
 *
 * @param volumeL - what is said to stand there, L
 * @param thereL - what there was, L
 * @returns true where it cannot be
 * @source our estimate of what a jug is read to
 */
export const isMoreThan = (volumeL: number, thereL: number): boolean => volumeL > thereL * 1.02 + 0.05;
