import { inRange } from '../../base/errors/guards.js';
import { phOf, strongChargeMmolPerL, taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, gravityOf } from '../../matter/liquid/views.js';
import type { BlendAim, BlendJuice } from './blend-types.js';
import { pouredOut } from './poured-out.js';
import { leastShares, shareBounds, type ShareBounds } from './shares.js';

/** The figure drawn upwards. */
export type ReachAxis = Exclude<BlendAim, 'sg'>;

/** A place on the map. */
export interface ReachPoint {
  readonly sg: number;
  readonly y: number;
}

/** What to draw. */
export interface ReachInput {
  readonly juices: readonly BlendJuice[];
  readonly totalL: number;
  readonly axes: { readonly x: 'sg'; readonly y: ReachAxis };
}

/** Slices of the outline when pH is drawn, which is curved. */
const PH_SLICES = 28;
/** Halvings that find the edge of a slice: past any screen's resolution. */
const EDGE_HALVINGS = 44;
/** Gravity given up for the whole charge of the strongest juice: far more than any gravity there is. */
const MOST_PRICE = 1000;

/**
 * The outline of every blend of a volume these juices can make, in gravity and one other figure, with every volume held
 * or bounded as the maker said. Acid, tannin and strength mix by volume, so their outline is a convex polygon and is
 * exact at its corners: the farthest blend in a direction pours the farthest juices first, and the order of juices
 * changes only where a direction is square to the line between two of them. With pH upwards the outline is traced in
 * level slices, each the exact reach of gravity among blends whose charges balance at that pH.
 *
 * @param input - juices with bounds, the volume and what is drawn upwards
 * @returns corners in order around the outline; one or two points when there is nothing between them
 * @throws {CoreError} OUT_OF_RANGE or UNREACHABLE when the volumes cannot add up
 * @source greedy optimum of the fractional knapsack (Dantzig 1957), once for each critical direction
 */
export function reachableRegion({ juices, totalL, axes }: ReachInput): readonly ReachPoint[] {
  inRange('juices', juices.length, { min: 1, max: 60 });
  const bounds = shareBounds(juices, totalL);
  const gravities = juices.map((j) => gravityOf(j.liquid));
  return axes.y === 'ph' ? phOutline(juices, bounds, gravities) : convexOutline({ juices, bounds, gravities, y: axes.y });
}

const VALUE: Readonly<Record<Exclude<ReachAxis, 'ph'>, (l: Liquid) => number>> = { taGPerL: taOf, tanninGPerL: (l) => l.tanninGPerL, abv: abvOf };

interface Outline {
  readonly juices: readonly BlendJuice[];
  readonly bounds: ShareBounds;
  readonly gravities: readonly number[];
  readonly y: Exclude<ReachAxis, 'ph'>;
}

function convexOutline({ juices, bounds, gravities, y }: Outline): readonly ReachPoint[] {
  const heights = juices.map((j) => VALUE[y](j.liquid));
  const points: ReachPoint[] = [];
  for (const angle of betweenCriticalAngles(gravities, heights)) {
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const shares = leastShares(
      gravities.map((g, i) => -(c * g + s * (heights[i] ?? 0))),
      bounds,
    );
    const liquid = pouredOut(juices, shares);
    const point = { sg: gravityOf(liquid), y: VALUE[y](liquid) };
    const last = points.at(-1);
    if (!last || !near(last, point)) points.push(point);
  }
  const [first] = points;
  const last = points.at(-1);
  return first && last && points.length > 1 && near(first, last) ? points.slice(0, -1) : points;
}

const near = (a: ReachPoint, b: ReachPoint): boolean => Math.abs(a.sg - b.sg) < 1e-9 && Math.abs(a.y - b.y) < 1e-8;

/** One direction between each two neighbours of those at which two juices come equally far. */
function betweenCriticalAngles(x: readonly number[], y: readonly number[]): readonly number[] {
  const angles = [0, Math.PI];
  for (let i = 0; i < x.length; i += 1) {
    for (let j = i + 1; j < x.length; j += 1) {
      const square = Math.atan2((x[i] ?? 0) - (x[j] ?? 0), (y[j] ?? 0) - (y[i] ?? 0));
      angles.push(square, square > 0 ? square - Math.PI : square + Math.PI);
    }
  }
  const sorted = angles.map((a) => (a < 0 ? a + 2 * Math.PI : a)).sort((a, b) => a - b);
  return sorted.map((a, i) => (a + (sorted[i + 1] ?? (sorted[0] ?? 0) + 2 * Math.PI)) / 2);
}

function phOutline(juices: readonly BlendJuice[], bounds: ShareBounds, gravities: readonly number[]): readonly ReachPoint[] {
  const chargesAt = (ph: number): readonly number[] => {
    const charges = juices.map((j) => strongChargeMmolPerL(j.liquid, ph));
    const largest = Math.max(1e-12, ...charges.map(Math.abs));
    return charges.map((c) => c / largest);
  };
  const phs = juices.map((j) => phOf(j.liquid));
  const [lowest, highest] = [Math.min(...phs), Math.max(...phs)];
  const reaches = (ph: number, sign: 1 | -1): boolean => {
    const charges = chargesAt(ph).map((c) => c * sign);
    return weigh(charges, leastShares(charges, bounds)) <= 0;
  };
  const bottom = edge(lowest, highest, (ph) => reaches(ph, 1));
  const top = edge(highest, lowest, (ph) => reaches(ph, -1));
  const left: ReachPoint[] = [];
  const right: ReachPoint[] = [];
  for (let k = 0; k <= PH_SLICES; k += 1) {
    const ph = bottom + ((top - bottom) * k) / PH_SLICES;
    const charges = chargesAt(ph);
    left.push({ sg: farthest(gravities, charges, bounds), y: ph });
    right.push({
      sg: -farthest(
        gravities.map((g) => -g),
        charges,
        bounds,
      ),
      y: ph,
    });
  }
  return [...right, ...left.reverse()];
}

const weigh = (values: readonly number[], shares: readonly number[]): number => shares.reduce((sum, s, i) => sum + s * (values[i] ?? 0), 0);

/** Where a condition that fails at `from` begins to hold on the way to `to`; `from` itself when it holds there. */
function edge(from: number, to: number, holds: (at: number) => boolean): number {
  if (holds(from)) return from;
  let [out, into] = [from, to];
  for (let i = 0; i < EDGE_HALVINGS; i += 1) {
    const mid = (out + into) / 2;
    if (holds(mid)) into = mid;
    else out = mid;
  }
  return into;
}

/** The least of a weighted mean among blends whose charges balance: the price of charge is raised until they do. */
function farthest(values: readonly number[], charges: readonly number[], bounds: ShareBounds): number {
  const at = (price: number): readonly number[] =>
    leastShares(
      values.map((v, i) => v + price * (charges[i] ?? 0)),
      bounds,
    );
  let [low, high] = [-MOST_PRICE, MOST_PRICE];
  let lowShares = at(low);
  let highShares = at(high);
  for (let i = 0; i < EDGE_HALVINGS; i += 1) {
    const price = (low + high) / 2;
    const shares = at(price);
    if (weigh(charges, shares) > 0) [low, lowShares] = [price, shares];
    else [high, highShares] = [price, shares];
  }
  const [over, under] = [weigh(charges, lowShares), weigh(charges, highShares)];
  const mix = over - under > 1e-12 ? Math.min(1, Math.max(0, over / (over - under))) : 0;
  return weigh(values, lowShares) * (1 - mix) + weigh(values, highShares) * mix;
}
