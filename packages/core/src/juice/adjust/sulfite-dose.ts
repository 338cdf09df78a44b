import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { HIGH_PH } from '../../base/cautions/ph-cautions.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { GUESSED_PH_DOUBT } from '../../matter/liquid/guessed.js';

/** What the sulfite comes as. */
export type SulfiteForm = 'potassium-metabisulfite' | 'sodium-metabisulfite' | 'tablet';

/** What it is for: a clean juice before yeast, or keeping a finished drink. */
export type SulfiteAim = 'juice' | 'storage' | 'storage-low';

/** What a dose depends on. */
export interface SulfiteInput {
  readonly ph: number;
  readonly volumeL: number;
  readonly aim: SulfiteAim;
  readonly form: SulfiteForm;
  readonly freeSo2MgPerL?: number;
  readonly totalSo2MgPerL?: number;
  /** Sulfur dioxide in one tablet, mg; default 225, which is 50 mg/L in 4.5 L. */
  readonly tabletMgSo2?: number;
  /** Whether the pH was measured; a typical one is said to be so. True when not said. */
  readonly phMeasured?: boolean;
}

/** What to add. */
export interface SulfiteDose {
  /** Sulfur dioxide to add, mg/L. */
  readonly so2MgPerL: number;
  /** Powder to weigh, g; null for tablets. */
  readonly massG: number | null;
  /** Tablets, counted in halves; null for powder. */
  readonly tabletCount: number | null;
  /** Hours to wait before yeast. */
  readonly waitH: number;
  /** What the maker should know of this dose, in plain sentences. */
  readonly notes: readonly string[];
}

/** Sulfur dioxide in each salt, by mass. @source molar masses, as sold: 57.6 % and 67.4 % */
export const SO2_FRACTION = { 'potassium-metabisulfite': 0.576, 'sodium-metabisulfite': 0.674 } as const;
/** @source usual tablet: 50 mg/L in 4.5 L */
const TABLET_MG_SO2 = 225;
/** Sulfur dioxide of a gram of each powder, or of a tablet, mg. @source as above */
export const SO2_MG_PER_UNIT: Readonly<Record<SulfiteForm, number>> = {
  'potassium-metabisulfite': SO2_FRACTION['potassium-metabisulfite'] * 1000,
  'sodium-metabisulfite': SO2_FRACTION['sodium-metabisulfite'] * 1000,
  tablet: TABLET_MG_SO2,
};
/** Juice doses by pH, up to and including each pH, mg/L total. @source usual cider practice: weaker as pH rises, so more is needed */
const JUICE_DOSE_MG_PER_L: readonly (readonly [upToPh: number, so2MgPerL: number])[] = [
  [3.0, 40],
  [3.3, 75],
  [3.5, 100],
];
/** Of any less acid juice. */
const MOST_JUICE_DOSE_MG_PER_L = 150;
/** Usual legal ceiling on total sulfite. @source common limit for cider, 200 mg/L; local rules differ */
export const TOTAL_CAP_MG_PER_L = 200;
/** pKa of sulfurous acid in a drink. @source Usseglio-Tomasset, 1.81 */
const PKA_SO2 = 1.81;
/** Hours after sulfite before yeast. @source craft rule */
export const WAIT_BEFORE_YEAST_H = 24;

/**
 * Free sulfite that holds a molecular level at a pH.
 *
 * @param ph - pH, 2–8
 * @param molecularMgPerL - molecular SO₂ wanted, mg/L
 * @returns free SO₂, mg/L
 * @source free = molecular × (1 + 10^(pH − 1.81))
 */
export function freeSo2For(ph: number, molecularMgPerL: number): number {
  inRange('ph', ph, LIMITS.ph);
  return molecularMgPerL * (1 + 10 ** (ph - PKA_SO2));
}

/** Molecular sulfite that keeps a drink, mg/L, by school. @source usual practice, and the low-sulfite school */
const MOLECULAR_MG_PER_L = { storage: 0.8, 'storage-low': 0.5 } as const;
/** About half of an addition binds, so twice the missing free sulfite goes in, mg/L. */
const keepingDose = (wantedFreeMgPerL: number, freeSo2MgPerL: number): number => Math.max(0, 2 * (wantedFreeMgPerL - freeSo2MgPerL));

/** A dose that the cap holds down says so. */
const capNotes = (wantedMgPerL: number, so2MgPerL: number): readonly string[] =>
  wantedMgPerL > so2MgPerL + 1
    ? [
        `It would take ${figure(wantedMgPerL, 0)} mg/L; only ${figure(so2MgPerL, 0)} are left of the ${TOTAL_CAP_MG_PER_L} commonly allowed, so it is guarded only in part.`,
      ]
    : [];

/** Less than a tablet is dissolved, and a part of that goes in. */
function partTabletNotes(totalMg: number, form: SulfiteForm, tabletMgSo2: number): readonly string[] {
  const share = totalMg / tabletMgSo2;
  if (form !== 'tablet' || share <= 0 || share >= 1) return [];
  const powderG = totalMg / 1000 / SO2_FRACTION['potassium-metabisulfite'];
  return [
    `That is less than one tablet: dissolve one in 100 mL of water and use ${figure(share * 100, 0)} mL of it, or weigh ${figure(powderG, 2)} g of potassium metabisulfite.`,
  ];
}

/** The rule on most packets of tablets, for whoever has not measured the pH. @source a tablet for 4.5 to 5 L */
const PACKET_L_PER_TABLET = { least: 4.5, most: 5 } as const;

/** A dose that rests on a pH nobody measured says so, and what else there is to go by. */
function guessedNotes({ phMeasured = true, ph, volumeL, aim, freeSo2MgPerL = 0 }: SulfiteInput): readonly string[] {
  if (phMeasured) return [];
  if (aim !== 'juice') {
    const free = freeSo2For(ph + GUESSED_PH_DOUBT, MOLECULAR_MG_PER_L[aim]);
    const wanted = keepingDose(free, freeSo2MgPerL);
    return [`Its pH is only typical, not measured. Were it ${GUESSED_PH_DOUBT} higher, keeping it would take ${figure(wanted, 0)} mg/L: measure it.`];
  }
  const [few, many] = [volumeL / PACKET_L_PER_TABLET.most, volumeL / PACKET_L_PER_TABLET.least];
  const count = figure(few, 1) === figure(many, 1) ? figure(few, 1) : `${figure(few, 1)} to ${figure(many, 1)}`;
  return [`Its pH is only typical, not measured. Packets say a tablet for 4.5 to 5 L, whatever the pH: ${count} here.`];
}

/** So much of it in the form the maker has, and how that is counted. */
function amountOf(
  totalMg: number,
  form: SulfiteForm,
  tabletMgSo2: number,
): readonly [amount: Pick<SulfiteDose, 'massG' | 'tabletCount'>, counted: Worked<unknown>['steps'][number]] {
  if (form === 'tablet') {
    const tabletCount = Math.round((totalMg / tabletMgSo2) * 2) / 2;
    const expression = `${figure(totalMg, 0)} mg ÷ ${tabletMgSo2} mg each`;
    return [
      { massG: null, tabletCount },
      { label: 'Tablets', expression, result: `${tabletCount}`, source: 'usual tablet; your packet wins' },
    ];
  }
  const massG = totalMg / 1000 / SO2_FRACTION[form];
  const expression = `${figure(totalMg, 0)} mg ÷ ${SO2_FRACTION[form]}`;
  return [
    { massG, tabletCount: null },
    { label: 'Powder', expression, result: `${figure(massG, 1)} g`, source: 'share of SO₂ in the salt' },
  ];
}

/**
 * Sulfite for a juice or a finished drink, in the form the maker has. A juice is dosed by its pH class; a drink to be
 * kept is dosed to a molecular level, counting what is free already.
 *
 * @param input - pH, volume, aim and form
 * @returns mg/L, grams or tablets and the wait, with working and cautions
 * @throws {CoreError} OUT_OF_RANGE
 * @source usual cider doses by pH; molecular 0.8 mg/L still, 0.5 for the low-sulfite school
 */
export function sulfiteDose(input: SulfiteInput): Worked<SulfiteDose> {
  const { ph, form, aim, freeSo2MgPerL = 0, totalSo2MgPerL = 0, tabletMgSo2 = TABLET_MG_SO2 } = input;
  inRange('ph', ph, LIMITS.ph);
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  inRange('freeSo2MgPerL', freeSo2MgPerL, LIMITS.so2MgPerL);
  inRange('totalSo2MgPerL', totalSo2MgPerL, LIMITS.so2MgPerL);
  inRange('tabletMgSo2', tabletMgSo2, LIMITS.tabletMgSo2);
  const cautions: Caution[] = [caution('sulfite')];
  let wantedMgPerL: number;
  let why: string;
  if (aim === 'juice') {
    const [, doseMgPerL] = JUICE_DOSE_MG_PER_L.find(([upTo]) => ph <= upTo) ?? [ph, MOST_JUICE_DOSE_MG_PER_L];
    if (ph > HIGH_PH) cautions.push(caution('ph-high'));
    wantedMgPerL = Math.max(0, doseMgPerL - totalSo2MgPerL);
    why = `juice at pH ${figure(ph, 2)} takes ${doseMgPerL} mg/L in all, less ${figure(totalSo2MgPerL, 0)} there`;
  } else {
    const molecular = MOLECULAR_MG_PER_L[aim];
    const free = freeSo2For(ph, molecular);
    wantedMgPerL = keepingDose(free, freeSo2MgPerL);
    why = `${molecular} × (1 + 10^(${figure(ph, 2)} − 1.81)) = ${figure(free, 1)} mg/L free, less ${figure(freeSo2MgPerL, 0)} there, doubled as half binds`;
  }
  const so2MgPerL = Math.min(wantedMgPerL, Math.max(0, TOTAL_CAP_MG_PER_L - totalSo2MgPerL));
  const totalMg = so2MgPerL * volumeL;
  const [amount, counted] = amountOf(totalMg, form, tabletMgSo2);
  return worked(
    {
      so2MgPerL,
      ...amount,
      waitH: aim === 'juice' && so2MgPerL > 0 ? WAIT_BEFORE_YEAST_H : 0,
      notes: [...capNotes(wantedMgPerL, so2MgPerL), ...partTabletNotes(totalMg, form, tabletMgSo2), ...guessedNotes(input)],
    },
    [{ label: 'Sulfite wanted', expression: why, result: `${figure(so2MgPerL, 0)} mg/L`, source: 'usual doses by pH; total kept under 200 mg/L' }, counted],
    cautions,
  );
}
