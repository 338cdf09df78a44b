import type { Entry } from '@trug/core';
import { METHODS } from '@trug/core/plan/method';
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

/** A batch with its whole log. */
export interface BatchDto {
  readonly id: string;
  readonly name: string;
  readonly methodId: string;
  readonly tape: string;
  readonly startedAt: string;
  /** In the order filed. */
  readonly entries: readonly Entry[];
  /** Entries that are kept and cannot be read; absent when all can. */
  readonly unreadable?: readonly UnreadableRow[];
}
