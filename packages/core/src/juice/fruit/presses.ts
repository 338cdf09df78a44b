/** A way to get juice out of fruit. */
export interface PressKind {
  readonly id: string;
  readonly name: string;
  /** Litres of juice from a kilo: usual low, middle and high. */
  readonly yieldLPerKg: readonly [number, number, number];
}

/** @source usual home yields, 0.45–0.65 L/kg overall; the split by kind is our estimate */
export const PRESSES: readonly PressKind[] = [
  { id: 'hand-mill-basket', name: 'hand mill and basket press', yieldLPerKg: [0.42, 0.52, 0.62] },
  { id: 'power-mill-basket', name: 'powered mill and basket press', yieldLPerKg: [0.48, 0.58, 0.68] },
  { id: 'mill-rack', name: 'mill and rack-and-cloth press', yieldLPerKg: [0.52, 0.62, 0.72] },
  { id: 'mill-bladder', name: 'mill and water-bladder press', yieldLPerKg: [0.5, 0.62, 0.72] },
  { id: 'kitchen-juicer', name: 'kitchen juicer', yieldLPerKg: [0.45, 0.58, 0.7] },
  { id: 'chopped-only', name: 'chopped and pressed, no mill', yieldLPerKg: [0.25, 0.35, 0.48] },
];
