import type { StoredJuice } from '@trug/contract/plain';
import { dayAt } from './sample-batch';

let made = 0;

/** A juice as a test needs it: measured russets, unless it says otherwise. */
export function sampleJuice(changes: Partial<StoredJuice> = {}): StoredJuice {
  made += 1;
  return {
    id: `01J0000000000000000000J${String(made).padStart(3, '0')}`,
    version: 1,
    name: 'Russet row',
    tape: 'straw',
    origin: 'pressed',
    fruit: 'apple',
    fruitId: 'egremont-russet',
    madeAt: dayAt(0),
    volumeL: 17.5,
    gravity: { instrument: 'hydrometer', reading: 1.056, sampleC: 20, calibratedAtC: 20, offsetSg: 0 },
    ph: 3.4,
    taGPerL: 6.9,
    tanninGPerL: 1.2,
    yanMgPerL: null,
    costPerL: null,
    preserved: false,
    vitaminC: false,
    pressing: null,
    steeping: null,
    goneL: 0,
    note: '',
    ...changes,
  };
}
