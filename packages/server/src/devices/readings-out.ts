import { READING_COLUMNS, READINGS_SCHEMA, type DeviceColumns, type InstrumentDto, type ReadingOut } from '@trug/contract';
import { effectiveEntries, replay, type Entry } from '@trug/core';
import { Router } from 'express';
import Papa from 'papaparse';
import type { BatchService } from '../batches/batch.service.js';
import type { ResourceStore } from '../resources/resource.store.js';
import type { DeviceService } from './device.service.js';
import { HttpError } from '../http/http-error.js';

/**
 * The readings a maker wrote down, each with what it means corrected.
 *
 * @param batch - name of the batch
 * @param log - its entries in the order filed
 */
export function makersReadings(batch: string, log: readonly Entry[]): readonly ReadingOut[] {
  const corrected = new Map(replay(log).readings.map((r) => [r.id, r]));
  return effectiveEntries(log).entries.flatMap((entry) => {
    if (entry.kind !== 'reading') return [];
    const { gravity, ph, taGPerL, placeC } = entry.payload;
    const meant = corrected.get(entry.id);
    return [
      {
        batch,
        at: entry.at,
        by: 'maker',
        instrument: gravity?.instrument ?? null,
        reading: gravity?.reading ?? null,
        sampleC: gravity?.sampleC ?? null,
        sg: meant?.sg ?? null,
        plusMinusSg: meant?.plusMinus ?? null,
        ph,
        taGPerL,
        tempC: placeC,
        massG: null,
        note: entry.note,
      },
    ];
  });
}

/** The readings a device sent about a batch; what a stand-in made up is named as such. */
export function devicesReadings(batch: string, columns: DeviceColumns, name: string): readonly ReadingOut[] {
  return columns.at.map((atS, i) => ({
    batch,
    at: new Date(atS * 1000).toISOString(),
    by: columns.madeUp ? `${name} (made up)` : name,
    instrument: null,
    reading: null,
    sampleC: null,
    sg: columns.sg[i] ?? null,
    plusMinusSg: null,
    ph: columns.ph[i] ?? null,
    taGPerL: null,
    tempC: columns.tempC[i] ?? null,
    massG: columns.massG[i] ?? null,
    note: '',
  }));
}

/** What the router needs. */
export interface ReadingsRouterDeps {
  readonly batches: BatchService;
  readonly devices: DeviceService;
  readonly instruments: ResourceStore<InstrumentDto>;
}

/**
 * `GET /?batch=…&format=csv|json` gives a batch's readings out, `GET /schema` says what they look like.
 *
 * @param deps - batches, devices and instruments
 * @returns the router
 */
export function createReadingsRouter({ batches, devices, instruments }: ReadingsRouterDeps): Router {
  const router = Router();
  router.get('/schema', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(READINGS_SCHEMA, null, 2));
  });
  router.get('/', async (request, response) => {
    const { batch: id, format = 'json' } = request.query;
    if (typeof id !== 'string' || id === '') throw new HttpError('bad-request', 'say which batch, as ?batch=…');
    if (format !== 'csv' && format !== 'json') throw new HttpError('bad-request', 'format is csv or json');
    const { name, entries } = await batches.get(id);
    const names = new Map((await instruments.list()).map((i) => [i.id, i.name]));
    const sent = (await devices.ofBatch(id)).flatMap((columns) => devicesReadings(name, columns, names.get(columns.deviceId) ?? 'device'));
    const readings = [...makersReadings(name, entries), ...sent].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
    response.attachment(`${fileName(name)}-readings.${format}`);
    if (format === 'csv')
      response.type('text/csv').send(`${Papa.unparse({ fields: [...READING_COLUMNS], data: [...readings] }, { escapeFormulae: true })}\r\n`);
    else response.type('application/json').send(`${JSON.stringify(readings, null, 1)}\n`);
  });
  return router;
}

const fileName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 40) || 'batch';
