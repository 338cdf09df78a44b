import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { nearestPoint } from '../../base/numeric/nearest-point.js';
import { solveSeparableQp } from '../../base/numeric/separable-qp.js';
import { abvOf, solidsOf } from '../../matter/liquid/views.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { phCautions } from '../../base/cautions/ph-cautions.js';
import { blendSteps } from './blend-working.js';
import { BLEND_AIMS, type Blend, type BlendAim, type BlendInput, type BlendMiss, type BlendTargets, type BlendUse } from './blend-types.js';
import { blendLimits } from './blend-limits.js';
import { linearAims, NOTICED, type LinearAim } from './linear-aims.js';
import { pouredOut, viewsOf } from './poured-out.js';
import { roundToMeasure } from './round-to-measure.js';
import { leastShares, shareBounds, type ShareBounds } from './shares.js';

/** What a target may be, by figure. */
const TARGET_LIMITS = { sg: LIMITS.sg, taGPerL: LIMITS.taGPerL, tanninGPerL: LIMITS.tanninGPerL, ph: LIMITS.ph, abv: LIMITS.abv } as const;

/** How often the curved figures are straightened anew. Three suffice; the cap only guards. */
const MOST_PASSES = 8;

/** How much worse than the best match a cheaper or thriftier blend may be, in differences just noticed. @source our estimate */
const BAND = { closest: 0, 'least-waste': 0.5, cheapest: 0.5 } as const satisfies Record<BlendUse, number>;

/**
 * The volumes that bring a blend nearest its targets, and among those the most even, the thriftiest or the cheapest.
 * First the nearest point of all that can be reached, as one convex problem; then, keeping that (or within half a
 * noticeable difference of it), the preferred way to get there.
 *
 * - `closest` pours from each juice in proportion to what there is, so that nothing jumps while a target moves.
 * - `least-waste` drains small lots first, so that what is left stays together.
 * - `cheapest` uses the juices that cost least; one without a cost counts as free.
 *
 * @param input - juices with their bounds, the volume, targets, weights and preference
 * @returns volumes, what the blend will be, misses and what limits it, with the working
 * @throws {CoreError} OUT_OF_RANGE on impossible figures; UNREACHABLE when the volumes cannot add up; UNKNOWN_ID without juices
 * @source convex least squares over a bounded simplex (Wolfe 1976) and linear programming (Mangasarian 1979); pH by charge balance
 */
export function solveBlend(input: BlendInput): Worked<Blend> {
  const { juices, totalL, targets } = input;
  if (juices.length === 0) throw new CoreError('UNKNOWN_ID', 'a blend needs at least one juice', { field: 'juices' });
  for (const aim of BLEND_AIMS) if (targets[aim] !== undefined) inRange(aim, targets[aim], TARGET_LIMITS[aim]);
  const bounds = shareBounds(juices, totalL);
  const { shares, aims, miss } = nearestShares(input, bounds);
  const preferred = prefer({ input, bounds, shares, aims });
  const exactL = preferred.map((s) => s * totalL);
  const volumesL = input.measureL ? roundToMeasure({ exactL, bounds, totalL, measureL: input.measureL, aims }) : exactL;
  const liquid = pouredOut(juices, volumesL);
  const views = viewsOf(liquid);
  const misses = missesOf(targets, views);
  const left = juices.map((j, i) => j.maxL - (volumesL[i] ?? 0));
  const blend: Blend = {
    volumesL: juices.map((j, i) => ({ id: j.id, volumeL: volumesL[i] ?? 0 })),
    liquid,
    views,
    misses,
    limits: Math.hypot(...miss) > 1 ? blendLimits({ juices, bounds, shares, aims, miss }) : [],
    leftOverL: left.reduce((sum, v) => sum + v, 0),
    leftInCount: left.filter((v) => v > 1e-6).length,
    cost: juices.reduce((sum, j, i) => sum + (j.costPerL ?? 0) * (volumesL[i] ?? 0), 0),
  };
  return worked(blend, blendSteps(input, blend), phCautions(blend.views.ph));
}

interface Nearest {
  readonly shares: readonly number[];
  readonly aims: readonly LinearAim[];
  /** From the target to the nearest reachable point, in differences just noticed. */
  readonly miss: readonly number[];
}

function nearestShares({ juices, targets, weights = {} }: BlendInput, bounds: ShareBounds): Nearest {
  const liquids = juices.map((j) => j.liquid);
  const curved = targets.sg !== undefined && liquids.some((l) => l.ethanolGPerL > 0);
  let shares: readonly number[] = leastShares(
    juices.map(() => 0),
    bounds,
  );
  let found: Nearest | undefined;
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    const mean = (of: (i: number) => number): number => shares.reduce((sum, s, i) => sum + s * of(i), 0);
    const around = { solidsGPerL: mean((i) => solidsOf(liquids[i] ?? fail())), abv: mean((i) => abvOf(liquids[i] ?? fail())) };
    const aims = linearAims(liquids, { targets, weights, around });
    if (aims.length === 0) return { shares, aims, miss: [] };
    const near = nearestPoint(
      (direction) => {
        const toll = juices.map((_, i) => aims.reduce((sum, a, k) => sum + (a.perJuice[i] ?? 0) * (direction[k] ?? 0), 0));
        const make = leastShares(toll, bounds);
        return { make, point: aims.map((a) => a.perJuice.reduce((sum, v, i) => sum + v * (make[i] ?? 0), -a.wanted)) };
      },
      aims.map(() => 1),
    );
    const moved = near.make.reduce((most, v, i) => Math.max(most, Math.abs(v - (shares[i] ?? 0))), 0);
    shares = near.make;
    found = { shares, aims, miss: near.point };
    if (!curved || moved < 1e-9) break;
  }
  return found ?? fail();
}

function fail(): never {
  throw new CoreError('NOT_CONVERGED', 'a blend was asked of nothing');
}

interface Preference {
  readonly input: BlendInput;
  readonly bounds: ShareBounds;
  readonly shares: readonly number[];
  readonly aims: readonly LinearAim[];
}

/** Weak enough that the answer of the linear problem stays exact, strong enough to settle ties. */
const TIE_PULL = 1e-6;

/** Among the blends that hit alike (or within the band), the one preferred. */
function prefer({ input, bounds, shares, aims }: Preference): readonly number[] {
  const { juices, use } = input;
  const inHandL = juices.reduce((sum, j) => sum + j.maxL, 0);
  const even = juices.map((j) => j.maxL / inHandL);
  const band = BAND[use];
  const cost = use === 'closest' ? juices.map(() => 0) : unitCosts(input);
  const pull = juices.map((_, i) => (use === 'closest' ? 1 / Math.max(1e-3, even[i] ?? 0) : TIE_PULL));
  const slack = band > 0 ? aims.map((_, k) => k) : [];
  const pad = (list: readonly number[], value: number): number[] => [...list, ...slack.map(() => value)];
  const found = solveSeparableQp({
    start: pad(shares, 0),
    cost: pad(cost, 0),
    pull: pad(pull, TIE_PULL),
    wish: pad(even, 0),
    lower: pad(bounds.lower, -band),
    upper: pad(bounds.upper, band),
    rows: [
      pad(
        juices.map(() => 1),
        0,
      ),
      ...aims.map((a, k) => [...a.perJuice.map((v) => v - a.wanted), ...slack.map((s) => (s === k ? -1 : 0))]),
    ],
  });
  return juices.map((_, i) => Math.min(bounds.upper[i] ?? 0, Math.max(bounds.lower[i] ?? 0, found[i] ?? 0)));
}

/** What a share of each juice costs, of the order of one. */
function unitCosts({ juices, use }: BlendInput): readonly number[] {
  const raw = juices.map((j) => (use === 'cheapest' ? (j.costPerL ?? 0) : -1 / Math.max(0.05, j.maxL)));
  const span = Math.max(...raw.map(Math.abs));
  return raw.map((c) => (span > 0 ? c / span : 0));
}

function missesOf(targets: BlendTargets, views: Readonly<Record<BlendAim, number>>): readonly BlendMiss[] {
  return BLEND_AIMS.flatMap((aim) => {
    const wanted = targets[aim];
    if (wanted === undefined) return [];
    const got = views[aim];
    return [{ aim, wanted, got, missed: Math.abs(got - wanted) > NOTICED[aim] }];
  });
}
