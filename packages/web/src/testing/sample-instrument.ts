import type { InstrumentDto } from '@trug/contract/plain';

/** A glass hydrometer, or what is said of it. */
export const sampleInstrument = (facts: Partial<InstrumentDto> = {}): InstrumentDto => ({
  id: '01J0000000000000000000GAGE',
  version: 1,
  kind: 'hydrometer',
  name: 'Glass',
  calibratedAtC: 20,
  offset: 0,
  checkedOn: null,
  posts: false,
  batchId: null,
  ...facts,
});
