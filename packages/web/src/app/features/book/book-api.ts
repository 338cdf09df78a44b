import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { API_PATHS, type BackupDto, type BookComparison, type BookSource, type CellarStatus } from '@trug/contract/plain';
import { firstValueFrom } from 'rxjs';

/** The book as a whole: how it does, backups, restoring, out and in. */
@Injectable({ providedIn: 'root' })
export class BookApi {
  private readonly http = inject(HttpClient);

  status(): Promise<CellarStatus> {
    return firstValueFrom(this.http.get<CellarStatus>(API_PATHS.cellar));
  }

  backUp(): Promise<BackupDto> {
    return firstValueFrom(this.http.post<BackupDto>(`${API_PATHS.cellar}/backups`, {}));
  }

  setFolder(backupDir: string | null): Promise<CellarStatus> {
    return firstValueFrom(this.http.put<CellarStatus>(`${API_PATHS.cellar}/backup-folder`, { backupDir }));
  }

  compare(source: BookSource, name: string): Promise<BookComparison> {
    return firstValueFrom(this.http.post<BookComparison>(`${API_PATHS.cellar}/compare`, { source, name }));
  }

  restore(source: BookSource, name: string): Promise<CellarStatus> {
    return firstValueFrom(this.http.post<CellarStatus>(`${API_PATHS.cellar}/restore`, { source, name }));
  }

  /** Looks at an archive; nothing is changed by it. */
  lookAt(archive: Blob): Promise<BookComparison> {
    return firstValueFrom(this.http.post<BookComparison>(`${API_PATHS.cellar}/archive`, archive, { headers: { 'Content-Type': 'application/zip' } }));
  }
}

/** Where everything is given out as one file. */
export const ARCHIVE_ADDRESS = `${API_PATHS.cellar}/archive`;
