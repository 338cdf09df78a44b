import type { Caution } from '../../base/cautions/caution.js';
import type { CoreError } from '../../base/errors/core-error.js';
import type { Fruit, Liquid } from '../../matter/liquid/liquid.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import type { Step } from '../../base/worked/worked.js';
import { gravityForAbv, sugarForGravity, type SugarAddition } from '../../juice/adjust/sugar-for-gravity.js';
import { sulfiteDose, type SulfiteForm } from '../../juice/adjust/sulfite-dose.js';
import { caution } from '../../base/cautions/catalogue.js';
import { attempt } from '../../base/errors/attempt.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryAbvOf, gravityOf } from '../../matter/liquid/views.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import { rawGravityOfCarton } from '../../matter/measure/carton-gravity.js';
import { methodById } from './method.js';
import { plannedDates, type PlannedStop } from './planned-dates.js';
import { headspaceCheck } from '../../finish/rack/headspace.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import { pitchCautions } from '../../ferment/yeast/pitch-cautions.js';
import { pitchRate } from '../../ferment/yeast/pitch-rate.js';
import { countText } from '../../matter/quantity/count-text.js';
import { figure } from '../../base/worked/figures.js';

/** What the carton plan is made from; null is what has not been told yet. */
export interface CartonInputs {
  readonly fruit: Fruit;
  readonly volumeL: number | null;
  readonly sugarGPer100Ml: number | null;
  /** A reading wins over the carton's figure. */
  readonly read: RawGravity | null;
  readonly ph: number | null;
  readonly preservative: 'none' | 'sulfite' | 'sorbate-benzoate';
  readonly targetAbv: number | null;
  readonly fermentableId: string;
  readonly yeastId: string;
  readonly tempC: number;
  readonly cleanStart: 'none' | 'sulfite';
  readonly sulfiteForm: SulfiteForm;
  readonly capacityL: number | null;
  readonly methodId: string;
  readonly startAt: string;
  /** The maker's time zone. */
  readonly zone?: string;
}

/** What comes of it. */
export interface CartonPlan {
  readonly gravity: RawGravity;
  readonly juice: Liquid;
  readonly must: Liquid;
  readonly sugar: SugarAddition | null;
  /** Sulfite to add; null for none. */
  readonly sulfite: { readonly so2MgPerL: number; readonly amount: string; readonly notes: readonly string[] } | null;
  readonly pitchG: number;
  readonly pitchMethod: 'sprinkled' | 'rehydrated' | 'wild';
  readonly dryAbv: number;
  readonly room: 'will-not-fit' | 'too-full-for-foam' | 'good' | null;
  readonly dates: readonly PlannedStop[];
  readonly steps: readonly Step[];
  readonly cautions: readonly Caution[];
  /** Why the batch begins without sugar though a strength was wished, which holds nothing up; null where it gets its sugar. */
  readonly unsugared: string | null;
}

/** A carton of juice that is preserved stops here. */
export type CartonOutcome =
  | { readonly kind: 'plan'; readonly plan: CartonPlan }
  | { readonly kind: 'untold'; readonly what: string }
  | { readonly kind: 'refused'; readonly why: string };

/** The gravity as read or as the carton has it. */
function gravityOfCarton(input: CartonInputs): RawGravity | null {
  const { read, sugarGPer100Ml, fruit } = input;
  return read ?? (sugarGPer100Ml === null ? null : rawGravityOfCarton({ sugarGPer100Ml, fruit }));
}

/**
 * The whole beginning of a batch from shop juice: gravity, sugar for the strength wanted, clean start, yeast and dates.
 *
 * @param input - what was told so far
 * @returns the plan, what is still to be told, or why it cannot be
 */
export function cartonPlan(input: CartonInputs): CartonOutcome {
  if (input.preservative === 'sorbate-benzoate') return { kind: 'refused', why: caution('sorbate-benzoate').text };
  if (input.volumeL === null) return { kind: 'untold', what: 'how much juice there is' };
  const { volumeL } = input;
  if (volumeL <= 0) return { kind: 'refused', why: 'A volume must be more than nothing. Add up the cartons.' };
  const read = attempt(() => {
    const gravity = gravityOfCarton(input);
    return gravity === null
      ? null
      : { gravity, juice: liquidFromReadings({ volumeL, sg: correctGravity(gravity, null).sg, fruit: input.fruit, ph: input.ph ?? undefined }) };
  });
  if (!read.ok) return { kind: 'refused', why: sentence(read.error) };
  if (read.value === null) return { kind: 'untold', what: 'its sugar, from the carton or a hydrometer' };
  const made = attempt(() => planFrom(input, read.value));
  return made.ok ? { kind: 'plan', plan: made.value } : { kind: 'refused', why: sentence(made.error) };
}

/** A core refusal as a sentence for people: the field's name means nothing to them. */
function sentence(error: CoreError): string {
  const { field, min, max } = error.details;
  if (error.code === 'OUT_OF_RANGE' && field !== undefined) {
    const names: Readonly<Record<string, string>> = {
      volumeL: 'The volume in litres',
      sg: 'The gravity',
      reading: 'The gravity',
      sugarGPer100Ml: 'Sugar per 100 mL',
      ph: 'pH',
      targetAbv: 'The strength in %',
    };
    return `${names[String(field)] ?? 'A figure'} should lie between ${String(min)} and ${String(max)}. Look at the number once more.`;
  }
  return `${error.message}.`;
}

function planFrom(input: CartonInputs, read: { readonly gravity: RawGravity; readonly juice: Liquid } | null): CartonPlan {
  if (read === null) throw new TypeError('a plan needs a gravity');
  const { gravity, juice } = read;
  const wished = input.targetAbv === null ? null : attempt(() => sugarFor(juice, input.targetAbv ?? 0, input.fermentableId));
  const sugar = wished?.ok === true ? wished.value : null;
  const must = sugar ? sugar.value.liquid : juice;
  const yeast = yeastById(input.yeastId);
  const rate = pitchRate({ liquid: must, yeastId: yeast.id, tempC: input.tempC, purpose: 'start' });
  const dose =
    input.cleanStart === 'sulfite'
      ? sulfiteDose({ ph: phOf(must), volumeL: must.volumeL, aim: 'juice', form: input.sulfiteForm, phMeasured: input.ph !== null })
      : null;
  const room = input.capacityL === null ? null : headspaceCheck({ volumeL: must.volumeL, capacityL: input.capacityL, stage: 'working' });
  const method = methodById(input.methodId);
  return {
    gravity,
    juice,
    must,
    sugar: sugar && sugar.value.massG > 0.5 ? sugar.value : null,
    sulfite: dose && dose.value.so2MgPerL > 0 ? { so2MgPerL: dose.value.so2MgPerL, amount: amountOf(dose.value), notes: dose.value.notes } : null,
    pitchG: rate.value.massG,
    pitchMethod: yeast.id === WILD_YEAST_ID ? 'wild' : rate.value.method,
    dryAbv: dryAbvOf(must),
    room: room === null || room.value.verdict === 'too-much-air' ? null : room.value.verdict,
    dates: plannedDates({ startAt: input.startAt, sulfited: dose !== null, method, ...(input.zone === undefined ? {} : { zone: input.zone }) }),
    steps: [...(sugar?.steps ?? []), ...(dose?.steps ?? []), ...rate.steps],
    cautions: [
      ...pitchCautions({ liquid: must, yeastId: yeast.id, juiceC: null, sulfitedAt: null, at: input.startAt, heated: true }),
      ...(room?.cautions ?? []),
      ...(dose ? dose.cautions : []),
      caution('let-gas-out'),
      caution('law'),
    ],
    unsugared: wished?.ok === false ? unsugaredWords(wished.error, input.fermentableId) : null,
  };
}

function unsugaredWords({ message, details }: CoreError, fermentableId: string): string {
  const { aloneAbv } = details;
  return typeof aloneAbv === 'number'
    ? `This juice alone reaches ${figure(aloneAbv, 1)} %, so no sugar goes in.`
    : `No sugar goes in: ${fermentableById(fermentableId).name}, ${message}.`;
}

function sugarFor(juice: Liquid, targetAbv: number, fermentableId: string): ReturnType<typeof sugarForGravity> {
  const target = gravityForAbv({ liquid: juice, targetAbv, fermentableId });
  const sugar = sugarForGravity({ liquid: juice, targetSg: Math.max(target.value, gravityOf(juice)), fermentableId });
  return { ...sugar, steps: [...target.steps, ...sugar.steps] };
}

function amountOf(dose: { readonly massG: number | null; readonly tabletCount: number | null }): string {
  return dose.massG === null ? `${countText(dose.tabletCount ?? 0, 'tablet')}, crushed` : `${dose.massG.toFixed(1)} g of powder`;
}
