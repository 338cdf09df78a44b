import { PLAIN_STEM } from '../../matter/measure/gauge.js';
import { previewReading } from '../plan/preview-reading.js';
import type { BatchState } from '../state/batch-state.js';
import type { ScribbleFacts, ScribbleGauge } from './scribble-facts.js';
import type { Guess, SaidReading, ScribbleLine } from './scribble-types.js';

const BRIX = /bx/i;
const NO_INSTRUMENT: ScribbleGauge = { ...PLAIN_STEM, name: 'hydrometer', own: false };

/** With what a gravity was read: as said, by its scale before yeast, and else on the stem; null where its scale leaves two, and they differ. */
function gaugeOf(said: SaidReading, gauges: readonly ScribbleGauge[], pitched: boolean): ScribbleGauge | null {
  const first = (kind: ScribbleGauge['kind']): ScribbleGauge | undefined => gauges.find((g) => g.kind === kind);
  const isBrix = said.gravity !== null && BRIX.test(said.gravity);
  if (said.by !== null) return first(said.by) ?? NO_INSTRUMENT;
  if (!isBrix) return first('hydrometer') ?? NO_INSTRUMENT;
  if (pitched) return null;
  const lens = first('refractometer');
  return lens?.own === true ? lens : (first('hydrometer') ?? NO_INSTRUMENT);
}

/**
 * Figures as the log keeps them, or what is asked about them first.
 *
 * @param said - the figures
 * @param state - the batch before them
 * @param facts - the instruments and the moment
 * @param note - the maker's words, which the reading carries
 */
export function readingLine(said: SaidReading, state: BatchState, facts: ScribbleFacts, note: string): ScribbleLine {
  const unread = (why: string): ScribbleLine => ({ is: 'unread', text: said.text, why, page: 'read', reading: said });
  if (said.original && state.pitchedAt !== null) {
    return unread('Yeast is in, so an original gravity belongs to the day before it: correct the first reading in the log, or file it there.');
  }
  const gauge = gaugeOf(said, facts.gauges, state.pitchedAt !== null);
  if (gauge === null) return unread('Once there is alcohol, °Bx through a lens and °Bx on a stem are two things: write “refractometer” or “stem” with it.');
  const preview = previewReading(said.gravity ?? '', gauge, { state, at: facts.at, sampleC: said.sampleC, correcting: null });
  if (preview.unreadable !== null) return unread(preview.unreadable);
  const [question] = preview.questions;
  if (question) return unread(`${question.text} If it stands, file it on the page for readings.`);
  const guesses: Guess[] = [];
  if (preview.raw !== null && (gauge.own || gauge.kind === 'refractometer')) guesses.push({ of: 'gauge', name: gauge.name });
  if (preview.raw !== null && said.sampleC === null && gauge.kind === 'hydrometer') guesses.push({ of: 'sample' });
  const { ph, taGPerL, placeC, bubbles } = said;
  return {
    is: 'act',
    act: { kind: 'reading', payload: { gravity: preview.raw, ph, taGPerL, placeC, insistedOn: [], bubbles, smell: null }, note },
    guesses,
    cautions: [],
  };
}
