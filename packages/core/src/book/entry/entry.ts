import type { FilledPayload } from '../kinds/filled.js';
import type { BlendedPayload } from '../kinds/blended.js';
import type { SplitPayload } from '../kinds/split.js';
import type { ReadingPayload } from '../kinds/reading.js';
import type { AdditionPayload } from '../../juice/adjust/addition-payload.js';
import type { PitchedPayload } from '../kinds/pitched.js';
import type { SteppedPayload } from '../kinds/stepped.js';
import type { SteepedPayload } from '../kinds/steeped.js';
import type { StrainedPayload } from '../kinds/strained.js';
import type { StirredPayload } from '../kinds/stirred.js';
import type { MovedPayload } from '../kinds/moved.js';
import type { RackedPayload } from '../kinds/racked.js';
import type { ClarifiedPayload } from '../kinds/clarified.js';
import type { MalolacticPayload } from '../kinds/malolactic.js';
import type { VentedPayload } from '../kinds/vented.js';
import type { StabilisedPayload } from '../kinds/stabilised.js';
import type { TestedPayload } from '../kinds/tested.js';
import type { SweetenedPayload } from '../kinds/sweetened.js';
import type { PouredBackPayload } from '../kinds/poured-back.js';
import type { PrimedPayload } from '../kinds/primed.js';
import type { BottledPayload } from '../kinds/bottled.js';
import type { KeggedPayload } from '../kinds/kegged.js';
import type { UnsealedPayload } from '../kinds/unsealed.js';
import type { OpenedPayload } from '../kinds/opened.js';
import type { HeatedPayload } from '../kinds/heated.js';
import type { InfusedPayload } from '../kinds/infused.js';
import type { LiftedPayload } from '../kinds/lifted.js';
import type { SqueezedPayload } from '../kinds/squeezed.js';
import type { ComparedPayload } from '../kinds/compared.js';
import type { TrialledPayload } from '../kinds/trialled.js';
import type { LetOffPayload } from '../kinds/let-off.js';
import type { TastedPayload } from '../kinds/tasted.js';
import type { NotePayload } from '../kinds/note.js';
import type { RenamedPayload } from '../kinds/renamed.js';
import type { DiscardedPayload } from '../kinds/discarded.js';

/** What each kind of entry says, each in the file of its kind. Field names carry their units. */
export interface EntryPayloads {
  readonly filled: FilledPayload;
  readonly steeped: SteepedPayload;
  readonly blended: BlendedPayload;
  readonly split: SplitPayload;
  readonly reading: ReadingPayload;
  readonly addition: AdditionPayload;
  readonly pitched: PitchedPayload;
  readonly stepped: SteppedPayload;
  readonly stirred: StirredPayload;
  readonly strained: StrainedPayload;
  readonly moved: MovedPayload;
  readonly racked: RackedPayload;
  readonly clarified: ClarifiedPayload;
  readonly malolactic: MalolacticPayload;
  readonly vented: VentedPayload;
  readonly stabilised: StabilisedPayload;
  readonly tested: TestedPayload;
  readonly sweetened: SweetenedPayload;
  readonly primed: PrimedPayload;
  readonly bottled: BottledPayload;
  readonly kegged: KeggedPayload;
  readonly unsealed: UnsealedPayload;
  readonly 'let-off': LetOffPayload;
  readonly infused: InfusedPayload;
  readonly lifted: LiftedPayload;
  readonly squeezed: SqueezedPayload;
  readonly heated: HeatedPayload;
  readonly trialled: TrialledPayload;
  readonly compared: ComparedPayload;
  readonly 'poured-back': PouredBackPayload;
  readonly opened: OpenedPayload;
  readonly tasted: TastedPayload;
  readonly note: NotePayload;
  readonly renamed: RenamedPayload;
  readonly discarded: DiscardedPayload;
  readonly corrected: CorrectedPayload;
}

/** Points at the entry it replaces; without a replacement that entry is struck out. */
export interface CorrectedPayload {
  readonly entryId: string;
  readonly replacement: Replacement | null;
}

/** The kinds of entry. */
export type EntryKind = keyof EntryPayloads;

/** A corrected entry's new content; its kind cannot change. */
export type Replacement = {
  readonly [K in Exclude<EntryKind, 'corrected'>]: { readonly kind: K; readonly at: string; readonly note: string; readonly payload: EntryPayloads[K] };
}[Exclude<EntryKind, 'corrected'>];

/** One entry of a batch's log. */
export type Entry = {
  readonly [K in EntryKind]: {
    /** ULID made by the client, so that a repeated send is harmless. */
    readonly id: string;
    readonly batchId: string;
    readonly kind: K;
    /** When it happened, ISO 8601. */
    readonly at: string;
    /** When it was written, ISO 8601. */
    readonly writtenAt: string;
    readonly note: string;
    readonly payload: EntryPayloads[K];
  };
}[EntryKind];

/** An entry of one kind. */
export type EntryOf<K extends EntryKind> = Extract<Entry, { readonly kind: K }>;
