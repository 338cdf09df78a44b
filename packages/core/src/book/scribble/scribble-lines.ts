import { caution } from '../../base/cautions/catalogue.js';
import { placeTempAt } from '../../ferment/forecast/place-curve.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import type { Entry } from '../entry/entry.js';
import { followOn, type FoldedLog } from '../log/follow-on.js';
import { replay } from '../log/replay.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState } from '../state/judge-state.js';
import { additionLine } from './scribble-addition-act.js';
import type { ScribbleFacts } from './scribble-facts.js';
import { pitchLine } from './scribble-pitch-act.js';
import { readingLine } from './scribble-reading-act.js';
import type { Said, ScribbledEntry, ScribbleLine } from './scribble-types.js';

const plain = (act: ScribbledEntry): ScribbleLine => ({ is: 'act', act, guesses: [], cautions: [] });

/** What one thing said is on the batch as it then stands. */
function lineOf(said: Said, state: BatchState, facts: ScribbleFacts, note: string): ScribbleLine {
  const verdict = (): Verdict | null => judgeState(state, facts.at, { school: facts.school, waits: facts.method.waits })?.value ?? null;
  switch (said.is) {
    case 'reading':
      return readingLine(said, state, facts, note);
    case 'addition':
      return additionLine(said, state, verdict(), facts);
    case 'pitch':
      return pitchLine(said, state, facts);
    case 'stirred':
      return plain({ kind: 'stirred', payload: {} });
    case 'let-off':
      return plain({ kind: 'vented', payload: { vent: 'loose-cap' } });
    case 'vent':
      return {
        is: 'act',
        act: { kind: 'vented', payload: { vent: said.vent } },
        guesses: [],
        cautions: said.vent === 'loose-cap' ? [caution('let-gas-out')] : [],
      };
    case 'moved':
      return movedLine(said, facts);
    case 'tasted':
      return plain({ kind: 'tasted', payload: { text: note, sparkle: null, again: null } });
    case 'words':
      return plain({ kind: 'note', payload: { text: note } });
    case 'page':
      return { is: 'page', text: said.text, page: said.page, cautions: [] };
    case 'unread':
      return said;
  }
}

/** Carried to another place, which is as warm as was said, or as it usually is in this month. */
function movedLine(said: Extract<Said, { readonly is: 'moved' }>, { places, at }: ScribbleFacts): ScribbleLine {
  const known = places.find(({ name }) => name.toLowerCase() === said.place.toLowerCase());
  const tempC = said.tempC ?? (known ? Math.round(placeTempAt(known.monthlyC, at)) : null);
  if (tempC === null) return { is: 'page', text: said.text, page: 'move', cautions: [] };
  return { is: 'act', act: { kind: 'moved', payload: { place: known?.name ?? said.place, tempC } }, guesses: [], cautions: [caution('lift-glass')] };
}

/** A gas that is let out of anything but a loosened cap changes nothing that is kept: it stays in the maker's words. */
function meantBy(said: readonly Said[], { vent }: BatchState): readonly Said[] {
  let isLoose = vent?.vent === 'loose-cap';
  return said.map((each) => {
    if (each.is === 'vent') isLoose = each.vent === 'loose-cap';
    return each.is === 'let-off' && !isLoose ? { is: 'words', text: each.text } : each;
  });
}

/** What takes the maker's own words along, the likeliest first. */
const CARRIERS = ['tasted', 'reading', 'words'] as const;

/**
 * What a line would file, one after another, each on the batch as the one before leaves it. The maker's own words go with the
 * tasting, else with the first reading, else into a note.
 *
 * @param said - what the line says
 * @param facts - the batch, the cupboard and the moment
 * @returns each part as it would be filed, or why it is not, in the order written
 */
export function scribbleLines(said: readonly Said[], facts: ScribbleFacts): readonly ScribbleLine[] {
  const start = replay(facts.log, facts.zone);
  const meant = meantBy(said, start);
  const words = meant.flatMap((each) => (each.is === 'words' || each.is === 'tasted' ? [each.text] : [])).join(', ');
  const own = CARRIERS.map((is) => meant.findIndex((each) => each.is === is)).find((i) => i >= 0);
  let before: FoldedLog = { log: facts.log, state: start };
  const lines: ScribbleLine[] = [];
  for (const [i, each] of meant.entries()) {
    // Said once already, where it goes.
    if ((each.is === 'words' || each.is === 'tasted') && i !== own) continue;
    const line = lineOf(each, before.state, { ...facts, log: before.log }, i === own ? words : '');
    if (line.is !== 'act') {
      lines.push(line);
      continue;
    }
    // Kind and payload belong together: both come from one act.
    const entry = { id: `scribble-${i}`, batchId: facts.batchId, at: facts.at, writtenAt: facts.at, note: '', ...line.act } as Entry;
    const followed = followOn(before, entry, { school: facts.school, waits: facts.method.waits });
    lines.push(followed.ok ? line : { is: 'unread', text: each.text, why: followed.why });
    if (followed.ok) before = followed.on;
  }
  return lines;
}
