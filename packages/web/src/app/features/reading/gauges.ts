import type { InstrumentDto, VersionedSettings } from '@trug/contract/plain';

/** What a gravity can be read with. */
export interface Gauge {
  readonly id: string;
  readonly kind: 'hydrometer' | 'refractometer';
  readonly name: string;
  readonly calibratedAtC: number;
  readonly offsetSg: number;
  readonly offsetBrix: number;
}

/**
 * The gauges of a cupboard. Where it has none of a kind, a plain one stands for it, by the settings.
 *
 * @param instruments - the cupboard's
 * @param settings - how a plain hydrometer is marked
 * @returns hydrometers first; at least one of each kind
 */
export function gaugesOf(instruments: readonly InstrumentDto[], settings: Pick<VersionedSettings, 'calibratedAtC' | 'offsetSg'>): readonly Gauge[] {
  return (['hydrometer', 'refractometer'] as const).flatMap((kind): readonly Gauge[] => {
    const own = instruments.filter((i) => i.kind === kind);
    if (own.length === 0) return [{ id: kind, kind, name: kind, calibratedAtC: settings.calibratedAtC, offsetSg: settings.offsetSg, offsetBrix: 0 }];
    return own.map(({ id, name, calibratedAtC, offset }) => ({
      id,
      kind,
      name,
      calibratedAtC,
      offsetSg: kind === 'hydrometer' ? offset : 0,
      offsetBrix: kind === 'refractometer' ? offset : 0,
    }));
  });
}
