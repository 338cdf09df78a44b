import { attempt } from '../../base/errors/attempt.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import { rawGravityBy, type GaugeScale } from '../../matter/measure/gauge.js';
import { parseQuantity } from '../../matter/typed/parse-quantity.js';
import type { FilledPayload } from '../kinds/filled.js';
import type { PitchedPayload } from '../kinds/pitched.js';

/** A juice of a grid, as it was written in a line. */
export interface GridJuice {
  readonly text: string;
  readonly name: string;
  /** Its gravity; null where the line cannot be used. */
  readonly sg: number | null;
  /** Why it cannot be used; null where it can. */
  readonly why: string | null;
}

/** What goes into one vessel of a grid. */
export interface GridBatch {
  readonly name: string;
  readonly filled: Omit<FilledPayload, 'vessels'>;
  readonly pitched: PitchedPayload;
}

/** What a grid is made of. */
export interface GridAsked {
  readonly juices: readonly { readonly name: string; readonly sg: number }[];
  /** Kinds of yeast, each with g of it for one vessel. */
  readonly yeasts: readonly { readonly yeastId: string; readonly massG: number }[];
  /** Juice in each vessel, L. */
  readonly volumeL: number;
  /** Warmth of juice and place, °C. */
  readonly tempC: number;
  /** What they were read with. */
  readonly gauge: GaugeScale;
  /** Warmth of the samples, °C; null when nobody looked. */
  readonly sampleC: number | null;
}

/** Most vessels that are begun in one go. */
export const MOST_IN_A_GRID = 24;
/** Longest name of a juice, so that the yeast finds room behind it on the tape. */
const LONGEST_JUICE = 30;
const LONGEST_NAME = 60;

const LINE = /^(.*?)[\s,:;–-]+(\d[\d.,]*\s*(?:°?\s?bx|°?brix|%|g\/l|points?|pts?)?)$/i;

function juiceOf(text: string): GridJuice {
  const refused = (why: string): GridJuice => ({ text, name: '', sg: null, why });
  const [, name = '', gravity = ''] = LINE.exec(text) ?? [];
  if (name.trim() === '' || gravity === '') return refused('Write its name and then its gravity, such as “Row of russets 1.052”.');
  if (name.trim().length > LONGEST_JUICE) return refused(`Call it something shorter, of at most ${LONGEST_JUICE} letters.`);
  const read = attempt(() => inRange('sg', parseQuantity(gravity, { dimension: 'gravity' }).value, LIMITS.juiceSg));
  return read.ok ? { text, name: name.trim(), sg: read.value, why: null } : refused(`${read.error.message}.`.replace(/\.\.$/, '.'));
}

/**
 * Juices as a maker lists them, one a line, each with its gravity behind it.
 *
 * @param text - the lines; empty ones are left out
 * @returns each line with its juice, or why it cannot be used
 */
export function gridJuices(text: string): readonly GridJuice[] {
  const lines = text.split('\n').flatMap((line) => (line.trim() === '' ? [] : [juiceOf(line.trim())]));
  return lines.map((line, i) =>
    line.why === null && lines.findIndex((other) => other.name.toLowerCase() === line.name.toLowerCase()) < i
      ? { ...line, sg: null, why: 'Two juices of one name cannot be told apart: call one of them something else.' }
      : line,
  );
}

/** A kind of yeast in the few letters that fit behind a juice. */
const shortName = (yeastId: string): string => yeastById(yeastId).name.replace(/\s*(?:\/.*|type|-like)$/i, '');

/**
 * Every juice with every yeast, each in a vessel of its own.
 *
 * @param asked - juices, yeasts, and what is the same for all
 * @returns what each vessel holds, by juice and then by yeast
 * @throws {CoreError} OUT_OF_RANGE for more than {@link MOST_IN_A_GRID}, or for an amount that cannot be; UNKNOWN_ID
 */
export function gridBatches({ juices, yeasts, volumeL, tempC, gauge, sampleC }: GridAsked): readonly GridBatch[] {
  inRange('vessels', juices.length * yeasts.length, { min: 1, max: MOST_IN_A_GRID });
  inRange('volumeL', volumeL, LIMITS.pourL);
  inRange('tempC', tempC, LIMITS.tempC);
  if (sampleC !== null) inRange('sampleC', sampleC, LIMITS.sampleC);
  return juices.flatMap(({ name, sg }) =>
    yeasts.map(({ yeastId, massG }) => {
      const gravity = rawGravityBy(gauge, sg, sampleC);
      return {
        name: `${name} × ${shortName(yeastId)}`.slice(0, LONGEST_NAME),
        filled: { source: name, fruit: 'apple', volumeL, gravity, ph: null, taGPerL: null, tanninGPerL: null, yanMgPerL: null, tempC },
        pitched: { yeastId, massG: inRange('massG', massG, LIMITS.smallDoseG), method: yeastId === WILD_YEAST_ID ? 'wild' : 'sprinkled', juiceC: tempC },
      };
    }),
  );
}
