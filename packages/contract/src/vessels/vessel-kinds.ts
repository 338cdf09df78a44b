/** Kinds of vessel with their true size, so that drawings keep scale. @source usual sizes of each kind, mm */
export const VESSEL_KINDS = [
  { id: 'jar', name: 'glass jar', capacityL: 5, widthMm: 175, heightMm: 330 },
  { id: 'carboy', name: 'carboy', capacityL: 23, widthMm: 290, heightMm: 490 },
  { id: 'bucket', name: 'bucket', capacityL: 25, widthMm: 340, heightMm: 400 },
  { id: 'cube', name: 'plastic cube', capacityL: 20, widthMm: 290, heightMm: 420 },
  { id: 'barrel', name: 'wooden barrel', capacityL: 30, widthMm: 310, heightMm: 460 },
  { id: 'keg', name: 'steel keg', capacityL: 19, widthMm: 220, heightMm: 620 },
] as const;

/** A kind of vessel. */
export type VesselKindId = (typeof VESSEL_KINDS)[number]['id'];
