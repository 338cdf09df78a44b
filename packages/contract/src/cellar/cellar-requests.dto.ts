import { IsIn, IsNotEmpty, ValidateIf } from 'class-validator';
import { Text } from '../validation/decorators.js';
import type { BookSource } from './cellar-status.js';

/** A book to look at, or to put in the place of the one there is. */
export class BookChoiceDto {
  @IsIn(['backup', 'import', 'salvage'] satisfies BookSource[]) source!: BookSource;
  /** The backup's or the archive's name; anything for what was salvaged. */
  @Text(80) @IsNotEmpty() name!: string;
}

/** Where backups should go; null for the folder beside the cellar. */
export class BackupFolderDto {
  @ValidateIf((b: BackupFolderDto) => b.backupDir !== null) @Text(500) @IsNotEmpty() backupDir!: string | null;
}
