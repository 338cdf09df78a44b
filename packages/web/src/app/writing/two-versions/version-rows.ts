import type { Units } from '../../units/units';

/** One thing in which two versions differ. */
export interface VersionRow {
  readonly field: string;
  readonly label: string;
  readonly mine: string;
  readonly theirs: string;
}

/** What each field is called by people. A field that is not here is only told to differ, by the name of its kin. */
const LABELS: Readonly<Record<string, string>> = {
  name: 'Name',
  tape: 'Tape',
  origin: 'Where it is from',
  fruit: 'Fruit',
  fruitId: 'Cultivar',
  madeAt: 'Made',
  volumeL: 'How much',
  gravity: 'Gravity',
  ph: 'pH',
  taGPerL: 'Acid, g/L',
  tanninGPerL: 'Tannin, g/L',
  yanMgPerL: 'Yeast food, mg/L',
  costPerL: 'Cost a litre',
  preserved: 'Preserved',
  vitaminC: 'Vitamin C added',
  fromConcentrate: 'From concentrate',
  pressing: 'Press sheet',
  steeping: 'Steeping',
  goneL: 'Gone',
  note: 'Note',
  kind: 'Kind',
  refId: 'What it is',
  amount: 'Amount',
  unit: 'Counted in',
  packetG: 'A packet holds, g',
  bestBefore: 'Best before',
  monthlyC: 'Its year',
  calibratedAtC: 'Marked for',
  offset: 'Offset',
  checkedOn: 'Checked',
  posts: 'Posts its readings',
  batchId: 'Stands in',
  volume: 'Volume',
  mass: 'Weight',
  temperature: 'Temperature',
  pressure: 'Pressure',
  strengthSchool: 'Strength by',
  theme: 'Light',
  offsetSg: 'Hydrometer offset',
  hottestC: 'Hottest day',
  timeZone: 'Time zone',
  at: 'When',
  placeC: 'Place',
  massG: 'How much',
  text: 'What it says',
  place: 'Where to',
  tempC: 'How warm',
  yeastId: 'Yeast',
  method: 'How',
  juiceC: 'Juice temperature',
  vessels: 'Vessels',
  lossL: 'Left behind',
  what: 'What',
};

/** How a field is shown that holds nothing. */
export const NOTHING = 'nothing';

const AT = /At$|^at$|On$|^bestBefore$/;

function words(field: string, value: unknown, units: Units): string {
  if (value === null || value === undefined || value === '') return NOTHING;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    if (field.endsWith('C')) return units.temperature(value);
    if (field.endsWith('L') && !field.endsWith('PerL')) return units.volume(value);
    if (field.endsWith('massG') || field === 'amountG') return units.mass(value);
    return String(Math.round(value * 10_000) / 10_000);
  }
  if (typeof value === 'string') return AT.test(field) ? units.moment(value) : value.replaceAll('-', ' ');
  if (Array.isArray(value)) return value.every((v) => typeof v === 'number') ? value.join(', ') : `${value.length} of them`;
  if (typeof value === 'object' && 'reading' in value && typeof value.reading === 'number') return String(value.reading);
  return 'as written';
}

/**
 * The rows of two versions side by side: only what differs.
 *
 * @param mine - as it was typed here
 * @param theirs - as it is stored
 * @param units - the maker's units
 */
export function versionRows(mine: Readonly<Record<string, unknown>>, theirs: Readonly<Record<string, unknown>>, units: Units): readonly VersionRow[] {
  return Object.keys(mine)
    .filter((field) => field !== 'version' && field !== 'id' && JSON.stringify(mine[field] ?? null) !== JSON.stringify(theirs[field] ?? null))
    .map((field) => {
      const [own, other] = [words(field, mine[field], units), words(field, theirs[field], units)];
      return { field, label: LABELS[field] ?? 'Something else', mine: own, theirs: own === other ? `${other}, otherwise` : other };
    });
}
