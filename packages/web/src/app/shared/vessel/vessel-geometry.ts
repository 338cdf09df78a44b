import { VESSEL_KINDS, type VesselKindId } from '@trug/contract/plain';

const LEAST_SCALE = 0.5;
const MOST_SCALE = 1.6;

/** The outline of a vessel in millimetres, its foot at y = 0 and up being negative, as SVG draws. */
export interface VesselShape {
  readonly widthMm: number;
  readonly heightMm: number;
  /** The glass. */
  readonly outline: string;
  /** Height of the brim, at which the vessel holds its full volume. */
  readonly brimMm: number;
  /** Height of the shoulder and the share of the volume below it. */
  readonly shoulderMm: number;
  readonly shoulderFraction: number;
  /** Where an airlock or a lid sits. */
  readonly mouthMm: { readonly halfWidth: number; readonly y: number };
  readonly closure: 'airlock' | 'lid' | 'bung' | 'keg';
}

interface BottleShape {
  readonly w: number;
  readonly h: number;
  readonly shoulder: number;
  readonly neckHalf: number;
}

function jarOutline({ w, h, shoulder, neckHalf }: BottleShape): string {
  const half = w / 2;
  const r = w * 0.09;
  const neckFoot = h * 0.93;
  const left = `M${-neckHalf},${-h} V${-neckFoot} C${-neckHalf},${-shoulder - (neckFoot - shoulder) * 0.45} ${-half},${-shoulder - (neckFoot - shoulder) * 0.5} ${-half},${-shoulder}`;
  const foot = `V${-r} Q${-half},0 ${-half + r},0 H${half - r} Q${half},0 ${half},${-r} V${-shoulder}`;
  const right = `C${half},${-shoulder - (neckFoot - shoulder) * 0.5} ${neckHalf},${-shoulder - (neckFoot - shoulder) * 0.45} ${neckHalf},${-neckFoot} V${-h}`;
  return `${left} ${foot} ${right}`;
}

const SHAPES: Readonly<Record<VesselKindId, VesselShape>> = {
  jar: {
    widthMm: 175,
    heightMm: 330,
    brimMm: 300,
    shoulderMm: 225,
    shoulderFraction: 0.86,
    closure: 'airlock',
    outline: jarOutline({ w: 175, h: 330, shoulder: 225, neckHalf: 24 }),
    mouthMm: { halfWidth: 24, y: 330 },
  },
  carboy: {
    widthMm: 290,
    heightMm: 490,
    brimMm: 455,
    shoulderMm: 345,
    shoulderFraction: 0.88,
    closure: 'airlock',
    outline: jarOutline({ w: 290, h: 490, shoulder: 345, neckHalf: 30 }),
    mouthMm: { halfWidth: 30, y: 490 },
  },
  bucket: {
    widthMm: 340,
    heightMm: 400,
    brimMm: 385,
    shoulderMm: 385,
    shoulderFraction: 1,
    closure: 'lid',
    outline: 'M-160,-400 L-140,-16 Q-139,0 -122,0 H122 Q139,0 140,-16 L160,-400',
    mouthMm: { halfWidth: 170, y: 400 },
  },
  cube: {
    widthMm: 290,
    heightMm: 420,
    brimMm: 372,
    shoulderMm: 372,
    shoulderFraction: 1,
    closure: 'airlock',
    outline: 'M-34,-420 V-380 H-118 Q-145,-380 -145,-353 V-24 Q-145,0 -121,0 H121 Q145,0 145,-24 V-353 Q145,-380 118,-380 H34 V-420',
    mouthMm: { halfWidth: 34, y: 420 },
  },
  barrel: {
    widthMm: 310,
    heightMm: 460,
    brimMm: 440,
    shoulderMm: 440,
    shoulderFraction: 1,
    closure: 'bung',
    outline: 'M-120,-460 H120 Q190,-230 120,0 H-120 Q-190,-230 -120,-460 Z',
    mouthMm: { halfWidth: 22, y: 460 },
  },
  keg: {
    widthMm: 220,
    heightMm: 620,
    brimMm: 590,
    shoulderMm: 590,
    shoulderFraction: 1,
    closure: 'keg',
    outline: 'M-92,-620 H92 Q110,-620 110,-590 V-24 Q110,0 86,0 H-86 Q-110,0 -110,-24 V-590 Q-110,-620 -92,-620 Z',
    mouthMm: { halfWidth: 92, y: 620 },
  },
};

/**
 * How much larger or smaller a vessel is drawn than the usual one of its kind: as its sides are, not as its volume.
 *
 * @param kind - which kind
 * @param capacityL - what it holds to the brim, L; null for the usual one
 * @returns a factor; the very small and the very large are kept in sight
 */
export function vesselScale(kind: VesselKindId, capacityL: number | null): number {
  const usualL = VESSEL_KINDS.find((k) => k.id === kind)?.capacityL ?? 1;
  return capacityL === null ? 1 : Math.min(MOST_SCALE, Math.max(LEAST_SCALE, Math.cbrt(capacityL / usualL)));
}

/**
 * The drawn shape of a kind of vessel, true to scale for its usual size.
 *
 * @param kind - which kind
 * @returns outline and marks in millimetres
 */
export function vesselShape(kind: VesselKindId): VesselShape {
  return SHAPES[kind];
}

/**
 * How high a liquid stands, most of it below the shoulder and the rest in the narrowing neck.
 *
 * @param shape - the vessel
 * @param fillFraction - share of its volume, 0–1
 * @returns height above the foot, mm
 */
export function levelMm(shape: VesselShape, fillFraction: number): number {
  const fill = Math.min(1, Math.max(0, fillFraction));
  if (fill <= shape.shoulderFraction) return (fill / shape.shoulderFraction) * shape.shoulderMm;
  return shape.shoulderMm + ((fill - shape.shoulderFraction) / (1 - shape.shoulderFraction)) * (shape.brimMm - shape.shoulderMm);
}
