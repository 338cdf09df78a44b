/** What a measuring jug and a rounded figure may be out by: a share of the vessel, and L. @source estimate */
const SLACK = { share: 0.005, litres: 0.02 };

/**
 * Whether more is said to stand in a vessel than it holds.
 *
 * @param volumeL - what stands in it
 * @param capacityL - what it holds to the brim
 * @returns true beyond what a jug and a rounded figure may be out by
 */
export const isOverBrim = (volumeL: number, capacityL: number): boolean => volumeL > capacityL * (1 + SLACK.share) + SLACK.litres;
