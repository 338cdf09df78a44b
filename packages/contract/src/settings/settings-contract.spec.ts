import 'reflect-metadata';
import { VESSEL_KINDS } from '../vessels/vessel-kinds.js';
import { NewBatchDto } from '../batches/batch.dto.js';
import { NewVesselDto } from '../vessels/vessel.dto.js';
import { checkDto } from '../validation/check-dto.js';
import { DEFAULT_SETTINGS } from './default-settings.js';
import { SettingsDto } from './settings.dto.js';

const paths = (check: ReturnType<typeof checkDto>): string[] => (check.ok ? [] : [...new Set(check.fields.map((f) => f.path))]);

describe('SettingsDto', () => {
  it('takes the defaults', () => {
    expect(paths(checkDto(SettingsDto, { ...DEFAULT_SETTINGS }))).toEqual([]);
  });
  it.each([
    ['volume', 'hogshead'],
    ['temperature', 'kelvin'],
    ['strengthSchool', 'guess'],
    ['theme', 'dusk'],
    ['calibratedAtC', 80],
    ['offsetSg', 0.5],
    ['hottestC', Number.NaN],
    ['version', 1.5],
  ])('refuses %s: %p', (field, value) => {
    expect(paths(checkDto(SettingsDto, { ...DEFAULT_SETTINGS, [field]: value }))).toEqual([field]);
  });
});

describe('NewVesselDto', () => {
  const vessel = { id: '01J00000000000000000000000', name: 'Jar', kind: 'jar', capacityL: 5 };
  it.each(VESSEL_KINDS.map((k) => k.id))('takes a %s', (kind) => {
    expect(paths(checkDto(NewVesselDto, { ...vessel, kind }))).toEqual([]);
  });
  it.each([
    ['name', ''],
    ['kind', 'bathtub'],
    ['capacityL', 0],
    ['capacityL', '5'],
  ])('refuses %s: %p', (field, value) => {
    expect(paths(checkDto(NewVesselDto, { ...vessel, [field]: value }))).toEqual([field]);
  });
  it('echoes nothing back that was sent', () => {
    const check = checkDto(NewVesselDto, { ...vessel, name: 'x'.repeat(41) });
    expect(JSON.stringify(check)).not.toContain('xxxx');
  });
});

describe('NewBatchDto', () => {
  const batch = { id: '01J00000000000000000000000', name: 'Carton', methodId: 'carton-quick', tape: 'straw', startedAt: '2026-11-23T10:00:00.000Z' };
  it('takes a right one and names what is wrong with another', () => {
    expect(paths(checkDto(NewBatchDto, batch))).toEqual([]);
    expect(paths(checkDto(NewBatchDto, { ...batch, name: '', methodId: 'magic', tape: 'gold' })).sort()).toEqual(['methodId', 'name', 'tape']);
  });
});
