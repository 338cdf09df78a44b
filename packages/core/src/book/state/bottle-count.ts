/** A count of one kind of bottle. */
export interface BottleCount {
  readonly kindId: string;
  readonly count: number;
}
