import type { Range } from './guards.js';

const MOST_L = 2000;
const MOST_PLACE_C = { min: -10, max: 60 } as const;

/**
 * What a figure may be: physical limits that the calculators keep, and narrower ones for what a maker types. Core, requests
 * and forms all ask here, so that every part of Trug refuses the same nonsense.
 *
 * @source what can be, and for what is typed our choice: wider than what is usual, narrower than what a slip of the keys gives
 */
export const LIMITS = {
  // Gravity
  /** Specific gravity 20 °C/20 °C: from spirit-thin to 70 °Bx concentrate. */
  sg: { min: 0.98, max: 1.4 },
  /** Of a juice before yeast, unless it is a concentrate. */
  juiceSg: { min: 1, max: 1.17 },
  concentrateSg: { min: 1, max: 1.4 },
  brix: { min: 0, max: 75 },
  /** What a hand refractometer shows of a juice. */
  juiceBrix: { min: 0, max: 40 },
  /** What a hydrometer may be out by. */
  offsetSg: { min: -0.02, max: 0.02 },
  /** By which something put in moves a gravity. */
  movedSg: { min: -0.5, max: 0.5 },
  abv: { min: 0, max: 25 },
  wantedAbv: { min: 0.5, max: 20 },
  sugarGPer100Ml: { min: 2, max: 30 },
  /** What a test finds. */
  sugarGPerL: { min: 0, max: 300 },
  // Temperature, °C
  tempC: { min: -10, max: 100 },
  placeC: MOST_PLACE_C,
  /** Of a usual month. */
  monthC: { min: -10, max: 45 },
  sampleC: { min: 0, max: 100 },
  calibratedAtC: { min: 4, max: 30 },
  hottestC: { min: 0, max: 60 },
  /** The hottest day that a maker plans for. */
  plannedHottestC: { min: 5, max: 50 },
  storeC: { min: -2, max: 30 },
  /** What a bottle that is heated is left empty of. */
  heatedRoom: { min: 0.05, max: 0.2 },
  /** In a bath for filled bottles, min. */
  heatedMin: { min: 0, max: 600 },
  /** Labels printed in one go. */
  labels: { min: 1, max: 200 },
  forcedFermentC: { min: 0, max: 45 },
  /** After its first day, of a step of a recipe: two years. */
  recipeDays: { min: 0, max: 730 },
  /** What fits on one page, twice. */
  recipeSteps: { min: 1, max: 60 },
  // Volume, L
  /** Volume of a home batch or vessel. */
  volumeL: { min: 0, max: MOST_L },
  batchL: { min: 0.1, max: MOST_L },
  /** Of one pour. */
  pourL: { min: 0.01, max: MOST_L },
  splitL: { min: 0.05, max: MOST_L },
  capacityL: { min: 0.1, max: MOST_L },
  /** Of a keg's place above the sea. */
  altitudeM: { min: -500, max: 6000 },
  /** Of a vessel in the cupboard. */
  vesselL: { min: 0.5, max: 1000 },
  // Mass
  massG: { min: 0, max: 500_000 },
  sugarG: { min: 0, max: 100_000 },
  smallDoseG: { min: 0, max: 5000 },
  fruitKg: { min: 0, max: 5000 },
  steepedKg: { min: 0.1, max: 500 },
  driedFruitG: { min: 0, max: 50_000 },
  packetG: { min: 0.1, max: 5000 },
  teaspoonG: { min: 0.2, max: 20 },
  /** Dry yeast. */
  pitchGPerL: { min: 0, max: 5 },
  packetGPerL: { min: 0.001, max: 20 },
  /** Of bentonite, whose packets differ by less. */
  bentoniteGPerL: { min: 0.01, max: 10 },
  supplyAmount: { min: 0, max: 100_000 },
  // What is in it
  ph: { min: 2, max: 8 },
  juicePh: { min: 2.6, max: 5 },
  taGPerL: { min: 0, max: 80 },
  juiceTaGPerL: { min: 0, max: 25 },
  tanninGPerL: { min: 0, max: 10 },
  yanMgPerL: { min: 0, max: 800 },
  so2MgPerL: { min: 0, max: 500 },
  /** Of one tablet. */
  tabletMgSo2: { min: 10, max: 2000 },
  sorbateMgPerL: { min: 0, max: 1000 },
  sorbitolGPerL: { min: 0, max: 200 },
  co2Volumes: { min: 0, max: 20 },
  /** Fizz that a bottle or keg is filled for. */
  fizzVolumes: { min: 0, max: 6 },
  fraction: { min: 0, max: 1 },
  /** Of a bottle that is left empty. */
  headspaceFraction: { min: 0, max: 0.5 },
  // Titration
  sampleMl: { min: 0.1, max: 100 },
  normality: { min: 0.01, max: 1 },
  givenMl: { min: 0.1, max: 20_000 },
  // Counts and times
  bottles: { min: 0, max: 5000 },
  opened: { min: 1, max: 5000 },
  /** What a bottle holds, mL, and the pressure marked on it, bar gauge. */
  bottleMl: { min: 100, max: 5000 },
  bottleBar: { min: 0.5, max: 10 },
  /** What is in a glass of a trial. */
  trialGlassMl: { min: 20, max: 500 },
  trialDose: { min: 0, max: 200 },
  /** What is given a drink as a whole. */
  tasteScore: { min: 1, max: 10 },
  teaCups: { min: 0, max: 200 },
  /** What steeps in a finished drink: half a year of oak at most. */
  infusionDays: { min: 1, max: 180 },
  steepDays: { min: 1, max: 14 },
  forcedFermentDays: { min: 0.5, max: 60 },
  waitDays: { min: 0, max: 365 },
  /** Sixty days at most. */
  waitMin: { min: 0, max: 86_400 },
  steps: { min: 1, max: 30 },
  costPerL: { min: 0, max: 1000 },
  paid: { min: 0, max: 10_000 },
  /** Of a device's clock: 2001 to the end of 2199, s. */
  unixS: { min: 1_000_000_000, max: 7_258_118_399 },
  /** Of a made-up device: days of its ferment in a second, and minutes between its figures. */
  standInDaysPerS: { min: 0.01, max: 30 },
  standInMinutes: { min: 1, max: 120 },
  /** How often a card was changed. */
  version: { min: 0, max: 1_000_000 },
} as const satisfies Record<string, Range>;
