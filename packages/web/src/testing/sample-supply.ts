import type { SupplyDto } from '@trug/contract/plain';

let made = 0;

/** A jar of malic acid, unless told otherwise. */
export function sampleSupply(changes: Partial<SupplyDto> = {}): SupplyDto {
  made += 1;
  const id = `01S${String(made).padStart(23, '0')}`;
  return { id, version: 1, kind: 'acid', refId: 'malic', name: 'Malic acid', amount: 100, unit: 'g', packetG: null, bestBefore: null, ...changes };
}
