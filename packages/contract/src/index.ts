import 'reflect-metadata';

export * from './plain.js';
export { VALIDATION_OPTIONS } from './validation/validation-options.js';
export { checkDto, fieldErrors, type DtoCheck } from './validation/check-dto.js';
export { checkEntry, NewEntryDto } from './entries/new-entry.dto.js';
export { PAYLOAD_DTOS, ReplacementDto } from './entries/payload-dtos.js';
export { AdditionPayloadDto, FilledPayloadDto, GravityDto, ReadingPayloadDto, VesselFillDto } from './entries/liquid-payloads.js';
export { NewBatchDto } from './batches/batch.dto.js';
export { CleanedDto, NewVesselDto } from './vessels/vessel.dto.js';
export { SettingsDto } from './settings/settings.dto.js';
export { BlendedPayloadDto, BlendPartDto, LiquidDto, SplitPayloadDto } from './entries/blend-payloads.js';
export { FruitLotDto, JuiceDto, PressingDto, PressRunDto } from './juices/juice.dto.js';
export { SUPPLY_KINDS, SUPPLY_UNITS, SupplyDto } from './supplies/supply.dto.js';
export { PlaceDto } from './places/place.dto.js';
export { INSTRUMENT_KINDS, InstrumentDto } from './instruments/instrument.dto.js';
export { DeviceReadingDto, isUnixSeconds, MOST_READINGS_AT_ONCE } from './devices/device-reading.dto.js';
export { StandInDto } from './devices/stand-in.dto.js';
