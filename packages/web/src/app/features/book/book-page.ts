import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Store } from '@ngrx/store';
import type { BookComparison, BookSource, CellarStatus, UnreadableRow } from '@trug/contract/plain';
import { Units } from '../../units/units';
import { ARCHIVE_ADDRESS, BookApi } from './book-api';
import { comparisonLines, countWords, sizeWords } from './book-words';
import { SaidPipe } from '../../units/said.pipe';
import { AppActions } from '../../state/app.actions';
import { problemOf } from '../../state/trug-api';
import { TextField } from '../../shared/field/text-field';
import { FileField } from '../../shared/field/file-field';
import { Refusal } from '../../shared/refusal/refusal';

/** How many backups are shown before the rest is asked for. */
const FIRST_SHOWN = 6;
const IN: Readonly<Record<string, string>> = {
  entries: 'An entry',
  juices: 'A juice',
  supplies: 'A supply',
  places: 'A place',
  instruments: 'An instrument',
  recipes: 'A recipe',
  settings: 'Settings',
};

/** The book itself: where it lies, its backups, going back to one, and everything out and in. */
@Component({
  selector: 'trug-book-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, MatProgressBar, TextField, FileField, Refusal],
  templateUrl: './book-page.html',
  styleUrl: './book-page.scss',
})
export class BookPage {
  private readonly api = inject(BookApi);
  private readonly store = inject(Store);
  protected readonly units = inject(Units);
  protected readonly archive = ARCHIVE_ADDRESS;
  protected readonly status = signal<CellarStatus | null>(null);
  protected readonly comparison = signal<BookComparison | null>(null);
  /** What is being done; null when nothing is. */
  protected readonly busy = signal<string | null>(null);
  protected readonly refusal = signal<string | null>(null);
  protected readonly folderRefusal = signal<string | null>(null);
  protected readonly done = signal<string | null>(null);
  protected readonly all = signal(false);
  protected readonly form = new FormGroup({ backupDir: new FormControl('', { nonNullable: true }) });
  protected readonly shown = computed(() => (this.status()?.backups ?? []).slice(0, this.all() ? undefined : FIRST_SHOWN));
  protected readonly lines = computed(() => {
    const comparison = this.comparison();
    return comparison ? comparisonLines(comparison) : [];
  });
  protected readonly losesAny = computed(() => this.lines().some((line) => line.kind === 'lost'));
  protected readonly counted = computed(() => {
    const counts = this.status()?.counts;
    return counts ? (countWords(counts) ?? 'nothing yet') : null;
  });
  protected readonly size = sizeWords;

  constructor() {
    void this.load();
  }

  protected async load(): Promise<void> {
    await this.doing(null, async () => this.show(await this.api.status()));
  }

  protected async backUp(): Promise<void> {
    await this.doing('Copying the book and reading the copy through…', async () => {
      const { madeAt } = await this.api.backUp();
      this.show(await this.api.status());
      this.done.set(`Backed up, ${this.units.moment(madeAt)}.`);
    });
  }

  protected async setFolder(): Promise<void> {
    this.folderRefusal.set(null);
    const wanted = this.form.getRawValue().backupDir.trim();
    await this.doing('Looking at that folder…', async () => {
      this.show(await this.api.setFolder(wanted === '' ? null : wanted));
      this.done.set('Backups go there from now on. Those made before stay where they are.');
    });
    // What is wrong with the folder belongs beside its field.
    this.folderRefusal.set(this.refusal());
    this.refusal.set(null);
  }

  protected async look(source: BookSource, name: string): Promise<void> {
    await this.doing('Reading it through, and comparing…', async () => {
      this.comparison.set(await this.api.compare(source, name));
    });
  }

  protected async bringIn(file: File): Promise<void> {
    await this.doing('Reading the archive through…', async () => {
      this.comparison.set(await this.api.lookAt(file));
    });
  }

  protected async restore({ source, name }: BookComparison): Promise<void> {
    await this.doing('Putting it in place…', async () => {
      this.show(await this.api.restore(source, name));
      this.comparison.set(null);
      this.done.set('It is in place. The book it replaced is in the folder “kept”, beside your cellar.');
      this.store.dispatch(AppActions.reloadAsked());
    });
  }

  protected leave(): void {
    this.comparison.set(null);
  }

  protected titleOf({ source, name }: BookComparison): string {
    const backup = this.status()?.backups.find((b) => b.name === name);
    if (source === 'backup') return `Go back to ${backup ? this.units.moment(backup.madeAt) : 'that backup'}?`;
    return source === 'import' ? 'Take this archive in?' : 'Go on with what could be saved?';
  }

  protected newestWords({ counts, newestAt }: BookComparison): string | null {
    const holds = countWords(counts);
    if (holds === null) return 'It holds nothing.';
    return newestAt === null ? `It holds ${holds}.` : `It holds ${holds}, the last of ${this.units.moment(newestAt)}.`;
  }

  protected unreadableWords({ where, at, why }: UnreadableRow): string {
    return `${IN[where] ?? 'Something'}${at === null || Number.isNaN(Date.parse(at)) ? '' : ` of ${this.units.moment(at)}`}: ${why}.`;
  }

  private show(status: CellarStatus): void {
    this.status.set(status);
    const own = `${status.dataDir ?? ''}/backups`;
    this.form.setValue({ backupDir: status.backupDir === own || status.backupDir === null ? '' : status.backupDir });
  }

  /** Runs one piece of work at a time, and tells why it was refused. */
  private async doing(what: string | null, work: () => Promise<void>): Promise<void> {
    if (this.busy() !== null) return;
    this.busy.set(what);
    this.refusal.set(null);
    this.done.set(null);
    try {
      await work();
    } catch (error) {
      this.refusal.set(problemOf(error).detail);
    } finally {
      this.busy.set(null);
    }
  }
}
