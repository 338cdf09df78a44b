import type { StoredJuice } from '@trug/contract/plain';

/** A juice of which nothing is known yet but where it comes from. */
export const NEW_JUICE = {
  version: 0,
  fruit: 'apple',
  fruitId: null,
  volumeL: 0,
  gravity: null,
  ph: null,
  taGPerL: null,
  tanninGPerL: null,
  yanMgPerL: null,
  costPerL: null,
  preserved: false,
  vitaminC: false,
  pressing: null,
  steeping: null,
  goneL: 0,
  note: '',
} as const satisfies Partial<StoredJuice>;
