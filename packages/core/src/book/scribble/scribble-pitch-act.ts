import { pitchCautions } from '../../ferment/yeast/pitch-cautions.js';
import { pitchRate, USUAL_MUST_C } from '../../ferment/yeast/pitch-rate.js';
import { USUAL_PACKET_G } from '../cupboard/kitchen-weights.js';
import { inOrderOfUse, supplyFor } from '../cupboard/supply-for.js';
import type { BatchState } from '../state/batch-state.js';
import type { ScribbleFacts } from './scribble-facts.js';
import type { Guess, SaidPitch, ScribbleLine } from './scribble-types.js';

/** The kind that was said; else that of the batch's manner, or the only one in the cupboard. */
function kindOf({ yeastIds }: SaidPitch, facts: ScribbleFacts): { readonly yeastId: string; readonly said: boolean } | null {
  const [named] = yeastIds;
  if (named !== undefined) return yeastIds.length === 1 ? { yeastId: named, said: true } : null;
  const kept = new Set(facts.supplies.flatMap((s) => (s.kind === 'yeast' && s.left > 0 && s.refId !== null ? [s.refId] : [])));
  const [only] = kept.size === 1 ? [...kept] : [];
  const yeastId = facts.method.yeastId ?? only;
  return yeastId === undefined ? null : { yeastId, said: false };
}

/**
 * Yeast that went in; where its kind is not clear, or something speaks against it, its own page asks.
 *
 * @param said - kind, amount, way and warmth, as far as they were said
 * @param state - the batch before it
 * @param facts - the manner, the cupboard and the moment
 */
export function pitchLine(said: SaidPitch, state: BatchState, facts: ScribbleFacts): ScribbleLine {
  const kind = kindOf(said, facts);
  if (!state.liquid) return { is: 'unread', text: said.text, why: 'There is no juice in this batch to pitch into.' };
  if (kind === null) return { is: 'page', text: said.text, page: 'pitch', cautions: [] };
  const { yeastId } = kind;
  const { juiceC, method } = said;
  const cautions = pitchCautions({
    liquid: state.liquid,
    yeastId,
    juiceC,
    sulfitedAt: state.sulfitedAt,
    at: facts.at,
    heated: state.heatedJuice,
  });
  if (cautions.some((c) => c.severity === 'danger')) return { is: 'page', text: said.text, page: 'pitch', cautions };
  const packet = inOrderOfUse(facts.supplies, facts.at).find((s) => s.kind === 'yeast' && s.refId === yeastId && s.left > 0 && s.packetG !== null);
  const packetG = packet?.packetG ?? USUAL_PACKET_G;
  const byPackets = said.packets === null ? null : said.packets * packetG;
  const massG =
    said.massG ?? byPackets ?? pitchRate({ liquid: state.liquid, yeastId, tempC: juiceC ?? state.placeC ?? USUAL_MUST_C, purpose: 'start' }).value.massG;
  const guesses: Guess[] = [];
  if (!kind.said) guesses.push({ of: 'yeast' });
  if (said.massG === null && byPackets === null) guesses.push({ of: 'rate' });
  if (said.massG === null && byPackets !== null && !packet) guesses.push({ of: 'packet', massG: USUAL_PACKET_G });
  if (method === null) guesses.push({ of: 'sprinkled' });
  const taken = supplyFor({ kind: 'yeast', refId: yeastId, amount: massG, unit: 'g' }, facts.supplies, facts.at);
  if (taken) guesses.push({ of: 'supply', isPast: taken.isPast });
  const payload = { yeastId, massG, method: method ?? 'sprinkled', juiceC, ...(taken ? { supplies: [taken.use] } : {}) };
  return { is: 'act', act: { kind: 'pitched', payload }, guesses, cautions };
}
