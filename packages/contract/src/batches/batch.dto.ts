import type { BatchSummary, Entry } from '@trug/core';
import { METHODS } from '@trug/core/book/plan/method';
import type { UnreadableRow } from '../cellar/cellar-status.js';
import { TAPES } from './tapes.js';
import { IsIn, IsNotEmpty, MaxLength } from 'class-validator';
import { Instant, Text, Ulid } from '../validation/decorators.js';

/** A batch as a client begins it. */
export class NewBatchDto {
  @Ulid() id!: string;
  @Text(60) @IsNotEmpty({ message: 'name must be given' }) @MaxLength(60) name!: string;
  @IsIn(METHODS.map((m) => m.id)) methodId!: string;
  @IsIn(TAPES) tape!: string;
  @Instant() startedAt!: string;
}

/** What a batch is called and when it began. */
export interface BatchFacts {
  readonly id: string;
  readonly name: string;
  readonly methodId: string;
  readonly tape: string;
  readonly startedAt: string;
}

/** A batch, with its log where it was asked for. */
export interface BatchDto extends BatchFacts {
  /** What its log says, for whoever has not the log. */
  readonly summary: BatchSummary;
  /** Its log, in the order filed; null in a list of batches, which gives their summaries. */
  readonly entries: readonly Entry[] | null;
  /** Entries that are kept and cannot be read; absent when all can. */
  readonly unreadable?: readonly UnreadableRow[];
}

/** A batch with its log. */
export type BatchWithLog = BatchDto & { readonly entries: readonly Entry[] };
