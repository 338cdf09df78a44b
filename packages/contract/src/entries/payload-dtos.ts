import type { EntryKind, Replacement } from '@trug/core';
import type { ClassConstructor } from 'class-transformer';
import { IsIn, IsObject, ValidateIf } from 'class-validator';
import { Instant, Text, Ulid } from '../validation/decorators.js';
import * as acts from './act-payloads.js';
import { BlendedPayloadDto, SplitPayloadDto } from './blend-payloads.js';
import { SteepedPayloadDto, StrainedPayloadDto } from './pulp-payloads.js';
import { ComparedPayloadDto, TastedPayloadDto, TrialledPayloadDto } from './taste-payloads.js';
import { AdditionPayloadDto, FilledPayloadDto, ReadingPayloadDto } from './liquid-payloads.js';

export class CorrectedPayloadDto {
  @Ulid() entryId!: string;
  @ValidateIf((c: CorrectedPayloadDto) => c.replacement !== null) @IsObject() replacement!: Replacement | null;
}

/** The class that checks each kind of payload; a type test holds their fields against those of the core. */
export const PAYLOAD_DTOS = {
  filled: FilledPayloadDto,
  steeped: SteepedPayloadDto,
  blended: BlendedPayloadDto,
  split: SplitPayloadDto,
  reading: ReadingPayloadDto,
  addition: AdditionPayloadDto,
  pitched: acts.PitchedPayloadDto,
  stepped: acts.SteppedPayloadDto,
  stirred: acts.NoFiguresDto,
  strained: StrainedPayloadDto,
  moved: acts.MovedPayloadDto,
  racked: acts.RackedPayloadDto,
  clarified: acts.ClarifiedPayloadDto,
  malolactic: acts.MalolacticPayloadDto,
  vented: acts.VentedPayloadDto,
  stabilised: acts.StabilisedPayloadDto,
  tested: acts.TestedPayloadDto,
  sweetened: acts.SweetenedPayloadDto,
  primed: acts.PrimedPayloadDto,
  bottled: acts.BottledPayloadDto,
  kegged: acts.KeggedPayloadDto,
  unsealed: acts.NoFiguresDto,
  'let-off': acts.LetOffPayloadDto,
  infused: acts.InfusedPayloadDto,
  lifted: acts.LiftedPayloadDto,
  squeezed: acts.SqueezedPayloadDto,
  heated: acts.HeatedPayloadDto,
  trialled: TrialledPayloadDto,
  compared: ComparedPayloadDto,
  'poured-back': acts.PouredBackPayloadDto,
  opened: acts.OpenedPayloadDto,
  tasted: TastedPayloadDto,
  note: acts.NotePayloadDto,
  renamed: acts.RenamedPayloadDto,
  discarded: acts.DiscardedPayloadDto,
  corrected: CorrectedPayloadDto,
} as const satisfies { readonly [K in EntryKind]: ClassConstructor<object> };

/** What can take a corrected entry's place: anything but another correction. */
const REPLACEABLE = Object.keys(PAYLOAD_DTOS).filter((kind) => kind !== 'corrected');

/** What takes a corrected entry's place; its payload is checked by the class of its kind. */
export class ReplacementDto {
  @IsIn(REPLACEABLE) kind!: Exclude<EntryKind, 'corrected'>;
  @Instant() at!: string;
  @Text(4000) note!: string;
  @IsObject() payload!: Replacement['payload'];
}

/** The same by a kind that is known only when it comes in. */
export const payloadDtoOf = (kind: EntryKind): ClassConstructor<object> => PAYLOAD_DTOS[kind];

/** A kind the contract knows. */
export const IsEntryKind = (): PropertyDecorator => IsIn([...REPLACEABLE, 'corrected']);
