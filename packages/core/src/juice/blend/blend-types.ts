import type { Liquid } from '../../matter/liquid/liquid.js';

/** A juice or cider on the bench. */
export interface BlendJuice {
  readonly id: string;
  readonly name?: string;
  /** What it is; its volume does not matter here. */
  readonly liquid: Liquid;
  /** Least to pour, L, ≥ 0. */
  readonly minL: number;
  /** Most to pour: what there is, L. */
  readonly maxL: number;
  /** Volume held by the maker, L; undefined when it may move. */
  readonly lockedL?: number | undefined;
  /** What a litre costs, in any money. */
  readonly costPerL?: number | undefined;
}

/** The figures a blend can be asked for. */
export const BLEND_AIMS = ['sg', 'taGPerL', 'tanninGPerL', 'ph', 'abv'] as const;

/** One of the figures a blend can be asked for. */
export type BlendAim = (typeof BLEND_AIMS)[number];

/** What is wanted; what is left out may be anything. */
export type BlendTargets = { readonly [K in BlendAim]?: number | undefined };

/** How much a miss of each figure matters beside the others, 1 unless said; 0 ignores it. */
export type BlendWeights = Readonly<Partial<Record<BlendAim, number>>>;

/** What to prefer among blends that hit alike. */
export type BlendUse = 'closest' | 'least-waste' | 'cheapest';

/** A blend to find. */
export interface BlendInput {
  readonly juices: readonly BlendJuice[];
  /** Volume to make, L, > 0. */
  readonly totalL: number;
  readonly targets: BlendTargets;
  readonly weights?: BlendWeights | undefined;
  readonly use: BlendUse;
  /** Smallest step the maker pours, L; 0 or undefined gives exact figures. */
  readonly measureL?: number | undefined;
}

/** How far the blend is from one target. */
export interface BlendMiss {
  readonly aim: BlendAim;
  readonly wanted: number;
  readonly got: number;
  /** Whether the difference is more than a maker would notice. */
  readonly missed: boolean;
}

/** What keeps a blend from its target. */
export type BlendLimit =
  /** All of this juice is poured, and more would help. */
  | { readonly kind: 'used-up'; readonly juiceId: string }
  /** The maker asked for at least this much, and less would help. */
  | { readonly kind: 'least'; readonly juiceId: string }
  /** The maker holds it where it is. */
  | { readonly kind: 'held'; readonly juiceId: string }
  /** Each target alone could be met, but what brings one nearer takes another away. */
  | { readonly kind: 'conflict'; readonly aims: readonly BlendAim[] }
  /** No juice on the bench lies beyond the target on that side. */
  | { readonly kind: 'none-beyond'; readonly aim: BlendAim; readonly side: 'above' | 'below'; readonly bestJuiceId: string };

/** What a blend will be. */
export interface BlendViews {
  readonly sg: number;
  readonly taGPerL: number;
  readonly ph: number;
  readonly tanninGPerL: number;
  readonly abv: number;
  readonly dryAbv: number;
  readonly sugarGPerL: number;
}

/** A blend found. */
export interface Blend {
  readonly volumesL: readonly { readonly id: string; readonly volumeL: number }[];
  readonly liquid: Liquid;
  readonly views: BlendViews;
  readonly misses: readonly BlendMiss[];
  /** Why it does not hit; empty when it does. */
  readonly limits: readonly BlendLimit[];
  readonly leftOverL: number;
  /** In how many juices something is left. */
  readonly leftInCount: number;
  readonly cost: number;
}
