import { addition } from '../kinds/addition.js';
import { blended } from '../kinds/blended.js';
import { bottled } from '../kinds/bottled.js';
import { clarified } from '../kinds/clarified.js';
import { discarded } from '../kinds/discarded.js';
import { filled } from '../kinds/filled.js';
import { kegged } from '../kinds/kegged.js';
import { letOff } from '../kinds/let-off.js';
import { malolactic } from '../kinds/malolactic.js';
import { moved } from '../kinds/moved.js';
import { note } from '../kinds/note.js';
import { opened } from '../kinds/opened.js';
import { pitched } from '../kinds/pitched.js';
import { pouredBack } from '../kinds/poured-back.js';
import { primed } from '../kinds/primed.js';
import { racked } from '../kinds/racked.js';
import { renamed } from '../kinds/renamed.js';
import { reading } from '../kinds/reading.js';
import { split } from '../kinds/split.js';
import { heated } from '../kinds/heated.js';
import { infused } from '../kinds/infused.js';
import { lifted } from '../kinds/lifted.js';
import { squeezed } from '../kinds/squeezed.js';
import { compared } from '../kinds/compared.js';
import { trialled } from '../kinds/trialled.js';
import { stabilised } from '../kinds/stabilised.js';
import { stepped } from '../kinds/stepped.js';
import { steeped } from '../kinds/steeped.js';
import { stirred } from '../kinds/stirred.js';
import { strained } from '../kinds/strained.js';
import { sweetened } from '../kinds/sweetened.js';
import { tasted } from '../kinds/tasted.js';
import { tested } from '../kinds/tested.js';
import { unsealed } from '../kinds/unsealed.js';
import { vented } from '../kinds/vented.js';
import type { Amount, EntryCheck, EntryWords, Filed, Kind, Say } from '../kinds/kind.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import type { BatchState } from '../state/batch-state.js';
import type { Draft, Patch } from '../state/draft.js';
import type { CorrectedPayload, EntryKind, EntryPayloads } from './entry.js';

/** A correction shows as the entry it corrects, and changes what the log says before any of it is folded. */
const corrected: Kind<CorrectedPayload> = {
  apply: () => ({}),
  words: ({ note: why, payload }) => ({ lead: payload.replacement ? 'Corrected' : 'Struck out', rest: why }),
};

/** Every kind of entry there is. */
export const ENTRY_KINDS: { readonly [K in EntryKind]: Kind<EntryPayloads[K]> } = {
  filled,
  steeped,
  blended,
  split,
  reading,
  addition,
  pitched,
  stepped,
  stirred,
  strained,
  moved,
  racked,
  clarified,
  malolactic,
  vented,
  stabilised,
  tested,
  sweetened,
  primed,
  bottled,
  kegged,
  unsealed,
  'let-off': letOff,
  infused,
  lifted,
  squeezed,
  heated,
  trialled,
  compared,
  'poured-back': pouredBack,
  opened,
  tasted,
  note,
  renamed,
  discarded,
  corrected,
};

/** An entry whose payload is that of its kind, whichever that is. */
export interface EntryLike<K extends EntryKind> extends Filed<EntryPayloads[K]> {
  readonly kind: K;
}

/** What an entry changes. */
export const appliedBy = <K extends EntryKind>(state: Draft, entry: EntryLike<K>): Patch => ENTRY_KINDS[entry.kind].apply(state, entry);

/** An entry as a maker would read it back. */
export const wordsOf = <K extends EntryKind>(entry: EntryLike<K>, say: Say): EntryWords => ENTRY_KINDS[entry.kind].words(entry, say);

/** What stands against filing an entry; undefined when its kind knows of nothing. */
export const checkedBy = <K extends EntryKind>(state: BatchState, verdict: Verdict | null, entry: EntryLike<K>): EntryCheck | undefined =>
  ENTRY_KINDS[entry.kind].check?.(state, verdict, entry);

/** What an entry uses up of the cupboard. */
export const suppliesOf = <K extends EntryKind>(entry: EntryLike<K>): readonly SupplyUse[] => ENTRY_KINDS[entry.kind].supplies?.(entry.payload) ?? [];

/** Litres an entry takes of juices. */
export const juicesOf = <K extends EntryKind>(entry: EntryLike<K>): readonly Amount[] => ENTRY_KINDS[entry.kind].juices?.(entry.payload) ?? [];

/** The vessels an entry leaves its batch in; undefined where it moves nothing. */
export const vesselsAfter = <K extends EntryKind>(entry: EntryLike<K>): readonly string[] | undefined => ENTRY_KINDS[entry.kind].vesselsAfter?.(entry.payload);
