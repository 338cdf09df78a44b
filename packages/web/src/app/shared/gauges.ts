import { isInUse } from '../state/in-use';
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

/** A gauge that nobody has put away, by the settings. */
const plainGauge = (kind: Gauge['kind'], { calibratedAtC, offsetSg }: Pick<VersionedSettings, 'calibratedAtC' | 'offsetSg'>): Gauge => ({
  id: kind,
  kind,
  name: kind,
  calibratedAtC,
  offsetSg,
  offsetBrix: 0,
});

/**
 * The gauges of a cupboard. Where it has none of a kind, a plain one stands for it, by the settings.
 *
 * @param instruments - the cupboard's
 * @param settings - how a plain hydrometer is marked
 * @returns hydrometers first; at least one of each kind
 */
export function gaugesOf(instruments: readonly InstrumentDto[], settings: Pick<VersionedSettings, 'calibratedAtC' | 'offsetSg'>): readonly Gauge[] {
  return (['hydrometer', 'refractometer'] as const).flatMap((kind): readonly Gauge[] => {
    const own = instruments.filter((i) => i.kind === kind && isInUse(i));
    if (own.length === 0) return [plainGauge(kind, settings)];
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

/**
 * The gauge of a kind that is used where nobody chooses one: the first of the maker's own, with what its last check found.
 *
 * @param instruments - the cupboard's
 * @param settings - how a plain hydrometer is marked
 * @param kind - hydrometer or refractometer
 */
export function usualGauge(instruments: readonly InstrumentDto[], settings: Pick<VersionedSettings, 'calibratedAtC' | 'offsetSg'>, kind: Gauge['kind']): Gauge {
  const [first] = gaugesOf(instruments, settings).filter((g) => g.kind === kind);
  return first ?? plainGauge(kind, settings);
}
