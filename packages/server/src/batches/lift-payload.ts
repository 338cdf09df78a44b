import type { EntryKind } from '@trug/core';

/** Lifts a payload from one version of its form to the next. */
export type Upcaster = (payload: unknown) => unknown;

/** For each kind of entry, its upcasters in order: the first lifts version 1 to 2. A kind without any is at version 1. */
export type Upcasters = { readonly [K in EntryKind]?: readonly Upcaster[] };

/** The upcasters there are. When a payload's form changes, its upcaster is added here and nothing stored is touched. */
export const UPCASTERS: Upcasters = { blended: [withBackgroundAcid] };

/** Version 1 took all the acid of a poured liquid as malic; it stays so, with no background beside it. */
function withBackgroundAcid(payload: unknown): unknown {
  if (!isRecord(payload) || !Array.isArray(payload['parts'])) return payload;
  const parts = payload['parts'].map((part: unknown) =>
    isRecord(part) && isRecord(part['liquid']) ? { ...part, liquid: { backgroundMmolPerL: 0, ...part['liquid'] } } : part,
  );
  return { ...payload, parts };
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === 'object' && value !== null && !Array.isArray(value);

/** The version in which payloads of a kind are written now. */
export const payloadVersionOf = (kind: EntryKind, upcasters: Upcasters = UPCASTERS): number => 1 + (upcasters[kind]?.length ?? 0);

/**
 * A stored payload in the form of today.
 *
 * @param kind - of its entry
 * @param version - in which it was written
 * @param payload - as stored
 * @returns the payload, or undefined when a newer Trug wrote it
 */
export function liftPayload(kind: EntryKind, version: number, payload: unknown, upcasters: Upcasters = UPCASTERS): unknown {
  if (!(version >= 1 && version <= payloadVersionOf(kind, upcasters))) return undefined;
  return (upcasters[kind] ?? []).slice(version - 1).reduce((lifted, upcast) => upcast(lifted), payload);
}
