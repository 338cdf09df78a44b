/** A cultivar or a kind of bought juice: low, typical and high figures of its juice. */
export interface FruitKind {
  readonly id: string;
  readonly name: string;
  readonly fruit: 'apple' | 'pear' | 'other';
  readonly group: string;
  readonly harvest: 'early' | 'mid' | 'late' | null;
  readonly sg: readonly [number, number, number];
  readonly taGPerL: readonly [number, number, number];
  readonly ph: readonly [number, number, number];
  readonly tanninGPerL: readonly [number, number, number];
  readonly sorbitolGPerL: number;
  readonly yanMgPerL: readonly [number, number, number];
  readonly note: string;
}
