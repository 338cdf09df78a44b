import 'reflect-metadata';
import type { EntryKind, EntryPayloads } from '@trug/core';
import { PAYLOAD_DTOS } from './payload-dtos.js';

type Checked<K extends EntryKind> = InstanceType<(typeof PAYLOAD_DTOS)[K]>;
/** Every field of a payload, whichever of its forms it belongs to; none of an act without figures. */
type FieldOf<T> = T extends unknown ? (string extends keyof T ? never : keyof T) : never;
type Unchecked = { [K in EntryKind]: Exclude<FieldOf<EntryPayloads[K]>, keyof Checked<K>> }[EntryKind];
/** An act without figures has a class with one field that must stay empty. */
type Unknown = { [K in EntryKind]: Exclude<keyof Checked<K>, FieldOf<EntryPayloads[K]> | 'nothing'> }[EntryKind];
type Mutable<T> = T extends readonly (infer U)[] ? Mutable<U>[] : T extends object ? { -readonly [P in keyof T]: Mutable<Exclude<T[P], undefined>> } : T;
/** Kinds whose payload in the core would not pass for what their class says it is. */
type Unlike = { [K in EntryKind]: [Mutable<EntryPayloads[K]>] extends [Mutable<Checked<K>>] ? never : K }[EntryKind];

/** Compiles for nothing but nothing. */
const none = <T extends never>(...found: readonly T[]): number => found.length;

describe('the classes that check payloads', () => {
  it('have the fields of the core’s payloads and no others, of the same types', () => {
    expect([none<Unchecked>(), none<Unknown>(), none<Unlike>()]).toEqual([0, 0, 0]);
    expect(Object.keys(PAYLOAD_DTOS)).toContain('corrected');
  });
});
