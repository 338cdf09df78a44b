import { CoreError } from '../errors/core-error.js';
import { dot, orthonormalBasis } from './orthonormal.js';

/** A corner of a convex body: where it lies, and what it is made from. */
export interface Corner {
  readonly point: readonly number[];
  /** The thing behind the point, which mixes in the same shares as the points do. */
  readonly make: readonly number[];
}

/** The nearest point, and how it was mixed. */
export interface NearestPoint {
  readonly point: readonly number[];
  readonly make: readonly number[];
  /** Distance from the origin. */
  readonly distance: number;
}

/**
 * The point of a convex body nearest to the origin, when all that is known of the body is which corner lies farthest
 * in a direction. Wolfe's method: keep a few corners, find the nearest point of their affine hull, drop those it does
 * not need, ask for a better corner, and stop when there is none. It ends after finitely many corners.
 *
 * @param cornerAlong - the corner at which `direction · point` is least
 * @param start - any direction to begin with; its length is the number of dimensions
 * @param tolerance - how far, in the points' own unit squared, a corner must improve to count
 * @returns the nearest point with what it is mixed from
 * @throws {CoreError} NOT_CONVERGED after 300 corners
 * @source P. Wolfe, Finding the nearest point in a polytope, Mathematical Programming 11 (1976) 128–149
 */
export function nearestPoint(cornerAlong: (direction: readonly number[]) => Corner, start: readonly number[], tolerance = 1e-14): NearestPoint {
  let corners: { corner: Corner; share: number }[] = [{ corner: cornerAlong(start), share: 1 }];
  let point = [...(corners[0]?.corner.point ?? [])];
  for (let major = 0; major < 300; major += 1) {
    const next = cornerAlong(point);
    const size = corners.reduce((most, c) => Math.max(most, dot(c.corner.point, c.corner.point)), dot(next.point, next.point));
    const improves =
      dot(
        point,
        point.map((v, i) => v - (next.point[i] ?? 0)),
      ) >
      tolerance * Math.max(1, size);
    const known = corners.some((c) => c.corner.point.every((v, i) => v === next.point[i]));
    if (!improves || known) return mixed(corners, point);
    corners = shrunk([...corners, { corner: next, share: 0 }]);
    point = (corners[0]?.corner.point ?? []).map((_, i) => corners.reduce((sum, c) => sum + c.share * (c.corner.point[i] ?? 0), 0));
  }
  throw new CoreError('NOT_CONVERGED', 'no nearest point after 300 corners', { distance: Math.sqrt(dot(point, point)) });
}

type Held = { corner: Corner; share: number };

/** Moves towards the nearest point of the affine hull, dropping corners on the way, until that point lies inside. */
function shrunk(held: Held[]): Held[] {
  let corners = held;
  for (let minor = 0; minor <= held.length; minor += 1) {
    const wanted = affineShares(corners.map((c) => c.corner.point));
    if (wanted.every((w) => w > 1e-13)) return corners.map((c, i) => ({ ...c, share: wanted[i] ?? 0 }));
    let step = 1;
    corners.forEach((c, i) => {
      const w = wanted[i] ?? 0;
      if (w <= 1e-13 && c.share - w > 0) step = Math.min(step, c.share / (c.share - w));
    });
    const moved = corners.map((c, i) => ({ ...c, share: c.share + step * ((wanted[i] ?? 0) - c.share) }));
    const kept = moved.filter((c) => c.share > 1e-13);
    const total = kept.reduce((sum, c) => sum + c.share, 0);
    corners = kept.map((c) => ({ ...c, share: c.share / total }));
    if (step === 1 && kept.length === moved.length) return corners;
  }
  return corners;
}

/** Shares, summing to one, of the point nearest the origin on the affine hull of some points. */
function affineShares(points: readonly (readonly number[])[]): number[] {
  const base = points[0] ?? [];
  const edges = points.slice(1).map((p) => p.map((v, i) => v - (base[i] ?? 0)));
  const shares = edges.map(() => 0);
  for (const { unit, from } of orthonormalBasis(edges)) {
    const share = dot(base, unit);
    from.forEach((v, k) => (shares[k] = (shares[k] ?? 0) - share * v));
  }
  return [1 - shares.reduce((sum, s) => sum + s, 0), ...shares];
}

function mixed(corners: readonly Held[], point: readonly number[]): NearestPoint {
  const make = (corners[0]?.corner.make ?? []).map((_, i) => corners.reduce((sum, c) => sum + c.share * (c.corner.make[i] ?? 0), 0));
  return { point, make, distance: Math.sqrt(dot(point, point)) };
}
