/** A row that is kept and cannot be read. */
export interface UnreadableRow {
  /** The table it lies in. */
  readonly where: string;
  readonly id: string;
  /** The batch it belongs to; null when it belongs to none. */
  readonly batchId: string | null;
  /** When it says it happened; null when it does not say. */
  readonly at: string | null;
  readonly why: string;
}

/** In what state the cellar is: in use, damaged and only to be looked at, or not to be read at all. */
export type CellarMode = 'open' | 'salvaged' | 'closed';

/** Where a book can be taken from to take the place of the one there is. */
export type BookSource = 'backup' | 'import' | 'salvage';

/** A backup as it lies in its folder. */
export interface BackupDto {
  readonly name: string;
  readonly madeAt: string;
  readonly bytes: number;
}

/** How many there are of each thing. */
export interface BookCounts {
  readonly batches: number;
  readonly entries: number;
  readonly juices: number;
  readonly supplies: number;
  readonly vessels: number;
  readonly places: number;
  readonly instruments: number;
  readonly recipes: number;
  readonly readings: number;
}

/** Where the cellar is and how it does. */
export interface CellarStatus {
  readonly mode: CellarMode;
  /** Why it is not open; null when it is. */
  readonly why: string | null;
  readonly cellarId: string | null;
  readonly dataDir: string | null;
  readonly backupDir: string | null;
  /** Newest first. */
  readonly backups: readonly BackupDto[];
  /** Why the last backup could not be made; null when it could. */
  readonly backupTrouble: string | null;
  readonly counts: BookCounts | null;
  readonly unreadable: readonly UnreadableRow[];
}

/** What would change if another book took the place of the one there is. */
export interface BookComparison {
  readonly source: BookSource;
  readonly name: string;
  /** Whether it is of the same cellar, or of another, or nobody can tell. */
  readonly sameCellar: boolean | null;
  readonly counts: BookCounts;
  /** What is in the book there is and not in this one. */
  readonly lost: BookCounts;
  /** What is in this one and not in the book there is. */
  readonly gained: BookCounts;
  /** Resources and settings that are in both and differ. */
  readonly changed: number;
  /** When the last thing in it was filed; null when nothing was. */
  readonly newestAt: string | null;
  /** Batches of which entries would be lost, most first. */
  readonly losing: readonly { readonly name: string; readonly entries: number }[];
}
