import { bottleById } from '../../base/reference/bottle-kinds.js';
import { formatQuantity, type UnitPreferences } from '../../matter/quantity/format-quantity.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { figure } from '../../base/worked/figures.js';
import type { Entry, EntryOf } from '../entry/entry.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import { countText } from '../../matter/quantity/count-text.js';

/** One line of a log in words. */
export interface EntryWords {
  /** The figure or act, to be set in bold. */
  readonly lead: string;
  readonly rest: string;
}

/**
 * An entry as a maker would read it back.
 *
 * @param entry - any entry but a correction, which shows as the entry it corrects
 * @param units - the maker's units
 * @returns the words
 */
export function describeEntry(entry: Entry, units: UnitPreferences): EntryWords {
  const volume = (valueL: number): string => formatQuantity({ dimension: 'volume', valueL }, units);
  const mass = (valueG: number): string => formatQuantity({ dimension: 'mass', valueG }, units);
  const temp = (valueC: number): string => formatQuantity({ dimension: 'temperature', valueC }, units);
  switch (entry.kind) {
    case 'filled':
      return { lead: `Filled ${volume(entry.payload.volumeL)}`, rest: `of ${entry.payload.source}, ${rawText(entry.payload.gravity, units)}` };
    case 'blended':
      return {
        lead: `Poured ${volume(entry.payload.parts.reduce((sum, p) => sum + p.liquid.volumeL, 0))}`,
        // A single part was named by the volume already.
        rest: entry.payload.parts.map((p) => (entry.payload.parts.length === 1 ? `of ${p.name}` : `${volume(p.liquid.volumeL)} ${p.name}`)).join(', '),
      };
    case 'split':
      return {
        lead: 'Split',
        rest: `${entry.payload.into.map((share) => `${volume(share.volumeL)} to ${share.name}`).join(', ')}. ${entry.payload.why}`.trim(),
      };
    case 'reading':
      return readingWords(entry, units);
    case 'addition':
      return additionWords(entry, volume, mass);
    case 'pitched':
      return {
        lead: entry.payload.method === 'wild' ? 'Left to its own yeast' : 'Pitched',
        rest: pitchedWords(entry, mass),
      };
    case 'stepped':
      return { lead: `Step ${entry.payload.step} of ${entry.payload.of}`, rest: entry.payload.done };
    case 'stirred':
      return { lead: 'Stirred', rest: '' };
    case 'moved':
      return { lead: 'Moved', rest: `to ${entry.payload.place}, ${temp(entry.payload.tempC)}` };
    case 'racked':
      return {
        lead: 'Racked',
        rest: `${volume(entry.payload.vessels.reduce((s, v) => s + v.volumeL, 0))} off the lees, ${volume(entry.payload.lossL)} left behind`,
      };
    case 'clarified':
      return {
        lead: 'To clear it',
        rest: `${CLEARED_BY[entry.payload.means]}${entry.payload.massG > 0 ? `, ${mass(entry.payload.massG)}` : ''}, look again in ${countText(entry.payload.waitDays, 'day')}`,
      };
    case 'malolactic':
      return { lead: 'Malolactic change', rest: malolacticWords(entry) };
    case 'vented':
      return { lead: entry.payload.vent === 'loose-cap' ? 'Gas let out' : 'Vent', rest: VENT_WORDS[entry.payload.vent] };
    case 'stabilised':
      return {
        lead: 'Sulfite and sorbate',
        rest: `${figure(entry.payload.so2MgPerL, 0)} mg/L sulfite, ${figure(entry.payload.sorbateMgPerL, 0)} mg/L sorbic acid`,
      };
    case 'tested':
      return { lead: 'Tested for sugar', rest: testedWords(entry, units) };
    case 'unsealed':
      return { lead: 'Opened the keg', rest: 'let off first' };
    case 'sweetened':
      return { lead: 'Sweetened', rest: `with ${mass(entry.payload.massG)} ${fermentableById(entry.payload.sweetenerId).name}` };
    case 'primed':
      return {
        lead: 'Primed',
        rest: `with ${mass(entry.payload.massG)} ${fermentableById(entry.payload.fermentableId).name} for ${figure(entry.payload.targetVolumes, 1)} volumes`,
      };
    case 'bottled':
      return {
        lead: 'Bottled',
        rest: `${entry.payload.bottles.map((b) => `${b.count} × ${bottleById(b.kindId).name}`).join(', ')}, ${entry.payload.capColour} caps`,
      };
    case 'kegged':
      return { lead: 'Kegged', rest: `${volume(entry.payload.vessel.volumeL)}, kept at ${temp(entry.payload.storeC)}` };
    case 'opened':
      return { lead: `Opened ${entry.payload.count}`, rest: bottleById(entry.payload.kindId).name };
    case 'tasted':
      return { lead: 'Tasted', rest: entry.payload.text };
    case 'note':
      return { lead: 'Note', rest: entry.payload.text };
    case 'discarded':
      // What was drunk was not poured away.
      return { lead: entry.payload.why.startsWith('drunk') ? 'Drunk' : 'Poured away', rest: `${volume(entry.payload.volumeL)}: ${entry.payload.why}` };
    case 'corrected':
      return { lead: entry.payload.replacement ? 'Corrected' : 'Struck out', rest: entry.note };
  }
}

const CLEARED_BY: Readonly<Record<EntryOf<'clarified'>['payload']['means'], string>> = {
  enzyme: 'pectic enzyme',
  bentonite: 'bentonite',
  finings: 'two-part finings',
  cold: 'stood in the cold',
};

/** Vents in the maker's words. */
const VENT_WORDS: Readonly<Record<EntryOf<'vented'>['payload']['vent'], string>> = {
  airlock: 'under an airlock',
  tube: 'through a blow-off tube',
  'loose-cap': 'cap loosened',
};

function malolacticWords({ payload }: EntryOf<'malolactic'>): string {
  const share = payload.turnedFraction === 0 ? '' : `, ${figure(payload.turnedFraction * 100, 0)} % of the malic acid turned`;
  const how = payload.done ? 'over' : payload.bacteria ? 'begun with bacteria' : 'under way';
  return `${how}${share}, ${payload.wanted ? 'wanted' : 'not wanted'}`;
}

function testedWords({ payload }: EntryOf<'tested'>, units: UnitPreferences): string {
  if (payload.by === 'sugar-test') return `${figure(payload.sugarGPerL, 1)} g/L by a sugar test`;
  const [before, after] = [figureText(payload.before, units), figureText(payload.after, units)];
  return `a sample went from ${before} to ${after} in ${countText(Math.round(payload.days), 'day')} in the warm`;
}

function pitchedWords({ payload }: EntryOf<'pitched'>, mass: (g: number) => string): string {
  const names = [payload.yeastId, ...(payload.withYeastId === undefined ? [] : [payload.withYeastId])].map((id) => yeastById(id).name);
  return `${names.join(' with ')}${payload.massG > 0 ? `, ${mass(payload.massG)} ${payload.method}` : ''}`;
}

/** A gravity as it was taken; what a refractometer shows is no gravity yet, and stays on its scale. */
const figureText = (raw: RawGravity, units: UnitPreferences): string =>
  raw.instrument === 'refractometer' ? `${figure(raw.reading, 1)} °Bx` : formatQuantity({ dimension: 'gravity', sg: raw.reading }, units);

function rawText(raw: RawGravity, units: UnitPreferences): string {
  const heat = raw.sampleC === null ? '' : ` at ${formatQuantity({ dimension: 'temperature', valueC: raw.sampleC }, units)}`;
  return `${figureText(raw, units)}${heat}, ${raw.instrument === 'carton' ? 'from the carton' : raw.instrument}`;
}

function readingWords(entry: EntryOf<'reading'>, units: UnitPreferences): { lead: string; rest: string } {
  const { payload } = entry;
  const parts = [
    payload.ph === null ? '' : `pH ${figure(payload.ph, 2)}`,
    payload.taGPerL === null ? '' : `acid ${figure(payload.taGPerL, 1)} g/L`,
    payload.placeC === null ? '' : `standing at ${formatQuantity({ dimension: 'temperature', valueC: payload.placeC }, units)}`,
    payload.bubbles === null ? '' : `bubbles: ${payload.bubbles}`,
    payload.smell ?? '',
  ].filter((part) => part !== '');
  return payload.gravity ? { lead: 'Read', rest: [rawText(payload.gravity, units), ...parts].join(' · ') } : { lead: 'Noted', rest: parts.join(' · ') };
}

function additionWords(entry: EntryOf<'addition'>, volume: (l: number) => string, mass: (g: number) => string): { lead: string; rest: string } {
  const { payload } = entry;
  switch (payload.what) {
    case 'fermentable':
      return { lead: 'Added', rest: `${mass(payload.massG)} ${fermentableById(payload.fermentableId).name}` };
    case 'water':
      return { lead: 'Added', rest: `${volume(payload.volumeL)} water` };
    case 'acid':
      return { lead: 'Added', rest: `${mass(payload.massG)} ${payload.acid} acid` };
    case 'carbonate':
      return { lead: 'Added', rest: `${mass(payload.massG)} ${payload.carbonate.replace('-', ' ')}` };
    case 'tannin':
      return { lead: 'Added', rest: `${mass(payload.massG)} tannin` };
    case 'sulfite':
      return { lead: 'Sulfited', rest: `${figure(payload.so2MgPerL, 0)} mg/L` };
    case 'nutrient':
    case 'enzyme':
    case 'bentonite':
    case 'finings':
      return { lead: 'Added', rest: `${mass(payload.massG)} ${payload.name}` };
  }
}
