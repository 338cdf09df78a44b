import type { SettingsDto } from './settings.dto.js';

/** Settings as stored. */
export type VersionedSettings = Readonly<SettingsDto>;

/** Choices before any are made. */
export const DEFAULT_SETTINGS: VersionedSettings = Object.freeze({
  volume: 'L',
  mass: 'metric',
  temperature: 'degC',
  gravity: 'SG',
  pressure: 'bar',
  strengthSchool: 'mass-balance',
  theme: 'system',
  calibratedAtC: 20,
  offsetSg: 0,
  hottestC: 26,
  timeZone: 'UTC',
  timeZoneChosen: false,
  putOff: [],
  version: 0,
});
