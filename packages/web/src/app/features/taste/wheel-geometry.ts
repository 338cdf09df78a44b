import { TASTE_FAMILIES } from '@trug/core/finish/taste/taste-words';
import { arc } from 'd3-shape';

/** The wheel is drawn in a square of this side around its middle, px. */
export const WHEEL_PX = 440;
const HUB_PX = 46;
const RIM_PX = 104;
const EDGE_PX = 216;
/** Room between two families, radians. */
const GAP = 0.025;
/** Words begin so far inside their ring, px. */
const INSET_PX = 9;
const TURN = 2 * Math.PI;
const QUARTER_DEG = 90;

/** A piece of a ring with its words, which stand along the radius and never on their head. */
export interface WheelPiece {
  readonly id: string;
  readonly name: string;
  readonly path: string;
  /** Where the words are anchored and how they are turned. */
  readonly transform: string;
  readonly anchor: 'start' | 'end';
}

/** A family's piece of the inner ring with its words in the outer one. */
export interface WheelFamily extends WheelPiece {
  readonly words: readonly WheelPiece[];
}

const ring = arc<{ readonly from: number; readonly to: number; readonly inner: number; readonly outer: number }>()
  .startAngle((d) => d.from)
  .endAngle((d) => d.to)
  .innerRadius((d) => d.inner)
  .outerRadius((d) => d.outer);

/** How words stand on the middle line of a piece: they begin at the hub on the right half, and end there on the left. */
function along(middle: number, inner: number): Pick<WheelPiece, 'transform' | 'anchor'> {
  const isLeft = middle > Math.PI;
  const turnDeg = (middle * 180) / Math.PI - QUARTER_DEG;
  return { transform: `rotate(${turnDeg}) translate(${inner},0)${isLeft ? ' rotate(180)' : ''}`, anchor: isLeft ? 'end' : 'start' };
}

/**
 * The wheel as it is drawn: each word has the same room, families follow one another from the top, as the clock goes.
 *
 * @returns the families with their words
 */
export function wheelOf(): readonly WheelFamily[] {
  const count = TASTE_FAMILIES.reduce((sum, family) => sum + family.words.length, 0);
  const step = TURN / count;
  let at = 0;
  return TASTE_FAMILIES.map(({ id, name, words }) => {
    const from = at;
    const to = (at += step * words.length);
    return {
      id,
      name,
      path: ring({ from: from + GAP / 2, to: to - GAP / 2, inner: HUB_PX, outer: RIM_PX }) ?? '',
      ...along((from + to) / 2, HUB_PX + INSET_PX),
      words: words.map((word, i) => {
        const [first, last] = [from + i * step, from + (i + 1) * step];
        const inset = { from: first + (i === 0 ? GAP / 2 : 0), to: last - (i === words.length - 1 ? GAP / 2 : 0) };
        return {
          id: word.id,
          name: word.name,
          path: ring({ ...inset, inner: RIM_PX + 2, outer: EDGE_PX }) ?? '',
          ...along((first + last) / 2, RIM_PX + INSET_PX),
        };
      }),
    };
  });
}
