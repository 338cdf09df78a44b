import { litresOf } from '@trug/core/book/state/bottle-count';
import type { BatchView } from '../../../state/batch-views.selectors';

/** One end of a flow. */
export interface FlowEnd {
  readonly key: string;
  readonly name: string;
  readonly litres: number;
  readonly is: 'fruit' | 'batch' | 'vessel' | 'crate' | 'gone';
}

/** What a batch came from and where it went, L. */
export interface Flow {
  readonly from: readonly FlowEnd[];
  readonly to: readonly FlowEnd[];
  readonly litres: number;
}

/** Less is a rounded figure, L. */
const LEAST_L = 0.05;

/**
 * What flowed into a batch and out of it.
 *
 * @param view - the batch
 * @param nameOf - a vessel's name by its id
 * @returns both sides of the same volume: what was added later counts as fed in, what is missing as lees and glasses
 */
export function flowOf({ batch, state, summary }: BatchView, nameOf: (vesselId: string) => string): Flow {
  const poured = summary.from.map(
    (p, i): FlowEnd => ({
      key: `f${i}`,
      name: p.name,
      litres: p.litres,
      is: p.from === 'batch' ? 'batch' : 'fruit',
    }),
  );
  const splits = summary.into.map((s, i): FlowEnd => ({ key: `s${i}`, name: s.name, litres: s.volumeL, is: 'batch' }));
  const vessels = state.liquid ? state.vessels.map((v): FlowEnd => ({ key: v.vesselId, name: nameOf(v.vesselId), litres: v.volumeL, is: 'vessel' })) : [];
  const crates = state.crates.map((c): FlowEnd => {
    const litres = litresOf(c.lots.map(({ kindId, filled }) => ({ kindId, count: filled })));
    return { key: c.id, name: c.name, litres, is: 'crate' };
  });
  const out = [...splits, ...vessels, ...crates];
  const outL = sumOf(out);
  const pouredL = sumOf(poured);
  const began: readonly FlowEnd[] = poured.length > 0 ? [] : [{ key: 'own', name: batch.name, litres: Math.max(state.must?.volumeL ?? 0, outL), is: 'fruit' }];
  const inL = pouredL + sumOf(began);
  const fed: readonly FlowEnd[] = outL - inL > LEAST_L ? [{ key: 'fed', name: 'sugar, water and the like', litres: outL - inL, is: 'fruit' }] : [];
  const gone: readonly FlowEnd[] = inL - outL > LEAST_L ? [{ key: 'gone', name: 'lees and samples', litres: inL - outL, is: 'gone' }] : [];
  return { from: [...poured, ...began, ...fed], to: [...out, ...gone], litres: Math.max(inL, outL) };
}

const sumOf = (ends: readonly FlowEnd[]): number => ends.reduce((sum, end) => sum + end.litres, 0);

/** An end as it is drawn: its band towards the batch, and where its words stand. */
export interface FlowBand extends FlowEnd {
  readonly path: string;
  readonly labelY: number;
}

/** The drawing's size and places, px. */
export const FLOW = { width: 760, left: 210, middle: [330, 430] as const, right: 550, top: 14, gap: 12, most: 170, least: 3 } as const;
const LABEL_PX = 24;

/**
 * Lays a flow out: bands as thick as their volumes, meeting in the batch.
 *
 * @param flow - both sides
 * @returns bands of each side, the batch's own bar and the height, px
 */
export function flowDrawing(flow: Flow): {
  readonly from: readonly FlowBand[];
  readonly to: readonly FlowBand[];
  readonly bar: { readonly y: number; readonly height: number };
  readonly height: number;
} {
  const scale = FLOW.most / Math.max(0.001, flow.litres);
  const thick = (end: FlowEnd): number => Math.max(FLOW.least, end.litres * scale);
  const heightOf = (ends: readonly FlowEnd[]): number => ends.reduce((sum, end) => sum + Math.max(LABEL_PX, thick(end)) + FLOW.gap, -FLOW.gap);
  const inner = Math.max(FLOW.most, heightOf(flow.from), heightOf(flow.to));
  const barY = FLOW.top + (inner - FLOW.most) / 2;
  const side = (ends: readonly FlowEnd[], outerX: number, innerX: number): readonly FlowBand[] => {
    let outer = FLOW.top + (inner - heightOf(ends)) / 2;
    let meets = barY;
    const bend = (outerX + innerX) / 2;
    return ends.map((end) => {
      const t = thick(end);
      const room = Math.max(LABEL_PX, t);
      const y = outer + (room - t) / 2;
      const share = Math.min(t, end.litres * scale);
      const path = `M${outerX},${y} C${bend},${y} ${bend},${meets} ${innerX},${meets} V${meets + share} C${bend},${meets + share} ${bend},${y + t} ${outerX},${y + t} Z`;
      const labelY = outer + room / 2 + 4;
      outer += room + FLOW.gap;
      meets += share;
      return { ...end, path, labelY };
    });
  };
  return {
    from: side(flow.from, FLOW.left, FLOW.middle[0]),
    to: side(flow.to, FLOW.right, FLOW.middle[1]),
    bar: { y: barY, height: FLOW.most },
    height: inner + 2 * FLOW.top,
  };
}
