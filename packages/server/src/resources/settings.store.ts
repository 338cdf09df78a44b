import { checkDto, DEFAULT_SETTINGS, SettingsDto, type UnreadableRow, type VersionedSettings } from '@trug/contract';
import type { Transaction } from 'sequelize';
import { SettingsModel } from './settings.model.js';

/** Settings are one row. */
const ROW_ID = 1;

function parsed(choices: string): object {
  try {
    const stored: unknown = JSON.parse(choices);
    return typeof stored === 'object' && stored !== null ? stored : {};
  } catch (error) {
    if (error instanceof SyntaxError) return {};
    throw error;
  }
}

async function read(transaction: Transaction | null): Promise<{ readonly settings: VersionedSettings; readonly unreadable: readonly UnreadableRow[] }> {
  const row = await SettingsModel.findByPk(ROW_ID, { transaction });
  if (!row) return { settings: DEFAULT_SETTINGS, unreadable: [] };
  const stored = parsed(row.choices);
  const whole = checkDto(SettingsDto, { ...DEFAULT_SETTINGS, ...stored, version: row.version });
  if (whole.ok && Object.keys(stored).length > 0) return { settings: whole.value, unreadable: [] };
  // One choice that cannot be read costs that choice: the others stand.
  const settings = Object.entries(stored).reduce<VersionedSettings>(
    (kept, [name, value]: [string, unknown]) => {
      const check = checkDto(SettingsDto, { ...kept, [name]: value });
      return check.ok ? check.value : kept;
    },
    { ...DEFAULT_SETTINGS, version: row.version },
  );
  const why = whole.ok ? 'they are garbled' : whole.fields.map((f) => f.message).join('; ');
  return { settings, unreadable: [{ where: 'settings', id: String(ROW_ID), batchId: null, at: null, why }] };
}

/** The maker's choices, with the usual ones where none was made or one cannot be read. */
export const settingsInForce = async (transaction: Transaction | null): Promise<VersionedSettings> => (await read(transaction)).settings;

/** The settings' row when it cannot be read whole. */
export const unreadableSettings = async (): Promise<readonly UnreadableRow[]> => (await read(null)).unreadable;

/** Stores the maker's choices under their version. */
export async function storeSettings(settings: VersionedSettings, transaction: Transaction): Promise<VersionedSettings> {
  const { version, ...choices } = settings;
  await SettingsModel.upsert({ id: ROW_ID, version, choices: JSON.stringify(choices) }, { transaction });
  return { ...choices, version };
}
