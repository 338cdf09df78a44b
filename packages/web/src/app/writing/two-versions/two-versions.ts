import { inject, Injectable, Injector } from '@angular/core';
import type { VersionedSettings } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { firstValueFrom } from 'rxjs';
import type { VersionsAsked, VersionsChosen } from './versions-dialog';
import { type Named } from '../../state/resources.actions';

/** Shows two versions of the same thing side by side, and lets the maker choose or join them. */
@Injectable({ providedIn: 'root' })
export class TwoVersions {
  private readonly injector = inject(Injector);

  /**
   * A resource that another window changed, or that an earlier try had stored.
   *
   * @param mine - as it was sent
   * @param theirs - as it is stored
   * @returns what to store on top of the stored version; null to leave everything as it is
   */
  async ofResource(mine: Named, theirs: unknown): Promise<Named | null> {
    if (!isRecord(theirs)) return null;
    const facts = Object.fromEntries(Object.entries(mine.resource).filter(([field]) => field !== 'id' && field !== 'version'));
    const chosen = await this.ask({ about: mine.resource.name, mine: facts, theirs, entry: false });
    if (chosen === null) return null;
    const joined = Object.fromEntries(Object.entries(facts).map(([field, value]) => [field, chosen.mine.includes(field) ? value : theirs[field]]));
    // Every field comes from a resource of this very name.
    return { of: mine.of, resource: { ...joined, id: mine.resource.id, version: Number(theirs['version']) } } as Named;
  }

  /** Choices that another window changed in the same places. */
  async ofSettings(mine: VersionedSettings, theirs: VersionedSettings): Promise<VersionedSettings | null> {
    const chosen = await this.ask({ about: 'your settings', mine: { ...mine }, theirs: { ...theirs }, entry: false });
    if (chosen === null) return null;
    return { ...theirs, ...Object.fromEntries(Object.entries(mine).filter(([field]) => chosen.mine.includes(field))) };
  }

  /**
   * Entries of which an earlier try was filed, and which were changed since.
   *
   * @param there - the filed one that differs
   * @param mine - everything that was sent now, under the same ids
   * @returns what to file as well: nothing, corrections of what is filed, or the same beside it; null to decide later
   */
  async ofEntries(there: unknown, mine: readonly Entry[]): Promise<readonly Entry[] | null> {
    const sent = isRecord(there) ? mine.find((e) => e.id === there['id']) : undefined;
    if (!isRecord(there) || !sent) return null;
    const facts = (payload: unknown, at: unknown, note: unknown): Record<string, unknown> => ({ ...(isRecord(payload) ? payload : {}), at, note });
    const chosen = await this.ask({
      about: 'what you wrote down',
      mine: facts(sent.payload, sent.at, sent.note),
      theirs: facts(there['payload'], there['at'], there['note']),
      entry: true,
    });
    const { newId } = await import('../../browser/new-id');
    if (chosen === null) return null;
    if (chosen.entry === 'beside') return mine.map((entry) => ({ ...entry, id: newId() }));
    if (chosen.entry === 'keep') return [];
    return mine.flatMap((entry) =>
      entry.kind === 'corrected'
        ? []
        : [
            {
              id: newId(),
              batchId: entry.batchId,
              kind: 'corrected' as const,
              at: entry.writtenAt,
              writtenAt: entry.writtenAt,
              note: 'corrected',
              payload: { entryId: entry.id, replacement: { kind: entry.kind, at: entry.at, note: entry.note, payload: entry.payload } },
            } as Entry,
          ],
    );
  }

  private async ask(asked: VersionsAsked): Promise<VersionsChosen | null> {
    // The dialog comes with its weight only when two versions have met.
    const [{ MatDialog }, { VersionsDialog }] = await Promise.all([import('@angular/material/dialog'), import('./versions-dialog')]);
    const dialog = this.injector.get(MatDialog).open<InstanceType<typeof VersionsDialog>, VersionsAsked, VersionsChosen | null>(VersionsDialog, {
      data: asked,
      autoFocus: 'dialog',
      width: 'min(44rem, 94vw)',
      maxWidth: '94vw',
    });
    return (await firstValueFrom(dialog.afterClosed())) ?? null;
  }
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null;
}
