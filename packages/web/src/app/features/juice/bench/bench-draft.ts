import { parsed } from '../../../browser/stored';
import type { ReachAxis } from '@trug/core';
import { BLEND_AIMS, type BlendAim, type BlendTargets } from '@trug/core/juice/blend/blend-types';

/** What the bench keeps of a visit: everything as text, as it was typed. */
export const BENCH_DRAFT = {
  mode: 'juice',
  total: '',
  axis: 'taGPerL',
  use: 'closest',
  measure: '0.1',
  targets: '',
  held: '',
  limits: '',
  style: '',
  name: '',
  vessels: '',
  temp: '',
  kept: '',
};

/** The targets as text: `sg=1.052;taGPerL=5.5`. */
export function targetsText(targets: BlendTargets): string {
  return BLEND_AIMS.flatMap((aim) => (targets[aim] === undefined ? [] : [`${aim}=${targets[aim]}`])).join(';');
}

/** Text back to targets; what cannot be read is left out. */
export function readTargets(text: string): BlendTargets {
  const pairs = text.split(';').flatMap((part): [BlendAim, number][] => {
    const [name = '', value = ''] = part.split('=');
    const aim = BLEND_AIMS.find((a) => a === name);
    return aim && value !== '' && Number.isFinite(Number(value)) ? [[aim, Number(value)]] : [];
  });
  return Object.fromEntries(pairs);
}

/** Held volumes as text: `id=2.4;id=3`. */
export function heldText(held: ReadonlyMap<string, number>): string {
  return [...held].map(([id, volumeL]) => `${id}=${volumeL}`).join(';');
}

/** Text back to held volumes. */
export function readHeld(text: string): ReadonlyMap<string, number> {
  return new Map(
    text.split(';').flatMap((part): [string, number][] => {
      const [id = '', value = ''] = part.split('=');
      return id !== '' && value !== '' && Number.isFinite(Number(value)) ? [[id, Number(value)]] : [];
    }),
  );
}

/** The targets when the cross-hair moves: gravity and the axis shown; acidity and pH settle one another, so only one of them is asked. */
export function targetsAt(targets: BlendTargets, axis: ReachAxis, point: { readonly sg: number; readonly y: number }): BlendTargets {
  const next = { ...targets, sg: Math.round(point.sg * 1e5) / 1e5, [axis]: Math.round(point.y * 1e3) / 1e3 };
  if (axis === 'ph') delete next.taGPerL;
  if (axis === 'taGPerL') delete next.ph;
  return next;
}

/** The targets with one figure typed; null lets it go. */
export function targetsWith(targets: BlendTargets, aim: BlendAim, value: number | null): BlendTargets {
  const next = { ...targets, [aim]: value ?? undefined };
  if (aim === 'ph') delete next.taGPerL;
  if (aim === 'taGPerL') delete next.ph;
  return next;
}

/** A blend put aside to be compared. */
export interface KeptBlend {
  readonly words: string;
  readonly volumes: readonly string[];
  readonly figures: readonly string[];
  readonly targets: string;
  readonly held: string;
}

/** Kept blends out of their text; anything else is none. */
export function readKept(text: string): readonly KeptBlend[] {
  if (text === '') return [];
  const list: unknown = parsed(text);
  return Array.isArray(list) ? (list as readonly KeptBlend[]) : [];
}
