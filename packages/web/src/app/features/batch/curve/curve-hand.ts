/** What a hand on the drawing asks for. */
export type HandAct =
  | { readonly is: 'drag'; readonly from: number; readonly to: number }
  | { readonly is: 'dragged'; readonly from: number; readonly to: number }
  | { readonly is: 'pinch'; readonly at: number; readonly times: number }
  | null;

/** Follows the fingers on a drawing: one drags over a stretch, two pinch. */
export interface Hand {
  readonly down: (id: number, px: number) => HandAct;
  readonly move: (id: number, px: number) => HandAct;
  readonly up: (id: number) => HandAct;
  readonly cancel: () => HandAct;
}

/** Fingers nearer than this say nothing of how far they were spread, px. */
const LEAST_SPREAD_PX = 24;

/**
 * A hand with no finger on the drawing yet.
 *
 * @returns what follows its fingers
 */
export function createHand(): Hand {
  const fingers = new Map<number, number>();
  let from: number | null = null;
  const spread = (): number => Math.max(LEAST_SPREAD_PX, Math.abs([...fingers.values()].reduce((a, b) => a - b)));
  return {
    down: (id, px) => {
      fingers.set(id, px);
      // A second finger is a pinch, and what the first had begun is forgotten.
      from = fingers.size === 1 ? px : null;
      return null;
    },
    move: (id, px) => {
      if (!fingers.has(id)) return null;
      if (fingers.size === 1) {
        fingers.set(id, px);
        return from === null ? null : { is: 'drag', from, to: px };
      }
      const before = spread();
      fingers.set(id, px);
      const [a, b] = [...fingers.values()];
      return { is: 'pinch', at: ((a ?? px) + (b ?? px)) / 2, times: before / spread() };
    },
    up: (id) => {
      const to = fingers.get(id);
      fingers.delete(id);
      const act: HandAct = from !== null && to !== undefined ? { is: 'dragged', from, to } : null;
      from = null;
      return act;
    },
    cancel: () => {
      fingers.clear();
      from = null;
      return null;
    },
  };
}
