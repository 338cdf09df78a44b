// errors
export { CoreError, type CoreErrorCode, type Details } from './errors/core-error.js';
export { attempt, type Attempt } from './errors/attempt.js';
export { type Range } from './errors/guards.js';
export { LIMITS } from './errors/limits.js';
// quantities, dates and workings
export { DEFAULT_UNITS, formatQuantity, type Quantity, type UnitPreferences } from './quantity/format-quantity.js';
export { parseQuantity, type ParsedQuantity, type ParseQuantityOptions } from './quantity/parse-quantity.js';
export { BAR_PER, celsiusToFahrenheit, fahrenheitToCelsius, type Dimension, type Gallon, type UnitId } from './quantity/units.js';
export { isDay, isUtcInstant, strictInstantMs, YEARS } from './quantity/strict-dates.js';
export { dayIn, hourIn, isZone, momentIn, UTC, wallClock } from './quantity/zone.js';
export { calendarDays, dateAfter, DAY_MS, daysBetween, dayText, MOST_DAYS_AHEAD } from './quantity/days.js';
export { figure, gravityText } from './worked/figures.js';
export { worked, type Step, type Worked } from './worked/worked.js';
export { CAUTION_FOOTING, type Caution, type CautionSeverity } from './cautions/caution.js';
export { caution, CAUTIONS, type CautionId } from './cautions/catalogue.js';
// measuring
export { brixFromSg, sgFromAnyBrix, sgFromBrix } from './measure/brix.js';
export { sgFromSolids, solidsFromSg } from './measure/solids.js';
export { correctHydrometer, type CorrectedGravity, type HydrometerReading } from './measure/correct-hydrometer.js';
export { refractometerGravity } from './measure/refractometer-gravity.js';
export { gravityFromCarton } from './measure/carton-gravity.js';
export { ACID_EQUIVALENT_G, convertAcidity, titratableAcidity, type AcidityAs } from './measure/acidity.js';
export { abvFromGravities, type StrengthSchool } from './measure/abv-from-gravities.js';
// the liquid
export type { Fruit, Liquid } from './liquid/liquid.js';
export { waterOf } from './liquid/liquid.js';
export { liquidFromReadings, TYPICAL_JUICE, type JuiceReadings } from './liquid/liquid-from-readings.js';
export { phOf, taOf, type AcidId } from './liquid/acid-chemistry.js';
export { abvOf, brixOf, dryAbvOf, dryGravityOf, fermentableGPerL, fermentedShare, gravityOf, solidsOf, sweetnessGPerL } from './liquid/views.js';
export { agreeWithMustReading, agreeWithReading, fermentTo } from './liquid/ferment-to.js';
export { blendLiquids, loseVolume } from './liquid/blend-liquids.js';
export { addFermentable, addSulfite, addSweetener, addWater } from './liquid/additions.js';
export { addAcid, addCarbonate, addTannin, agreeWithAcidReadings, malolactic, type CarbonateId } from './liquid/add-acid.js';
// juice
export {
  CONDITIONS,
  JUICE_ORIGINS,
  RIPENESS,
  type FruitLot,
  type Juice,
  type JuiceOrigin,
  type Pressing,
  type PressRun,
  type Steeping,
} from './juice/juice.js';
export { juiceInHand, type JuiceInHand, type KnownFigure } from './juice/juice-in-hand.js';
export { pouredVolumes } from './juice/poured-volumes.js';
export { steepJob, steepPlan, type SteepInput, type SteepJob, type SteepPlan } from './juice/steep-plan.js';
export { CLASS_WORDS, longAshtonClass, type LongAshtonClass } from './juice/long-ashton-class.js';
export { PRESSES, type PressKind } from './juice/presses.js';
export {
  estimateYield,
  fruitForVolume,
  pressById,
  pressSums,
  yieldFromFruit,
  type Expected,
  type PastPress,
  type PressSums,
  type YieldEstimate,
} from './juice/yield.js';
// blending
export {
  BLEND_AIMS,
  type Blend,
  type BlendAim,
  type BlendInput,
  type BlendJuice,
  type BlendLimit,
  type BlendMiss,
  type BlendTargets,
  type BlendUse,
  type BlendViews,
  type BlendWeights,
} from './blend/blend-types.js';
export { solveBlend } from './blend/solve-blend.js';
export { reachableRegion, type ReachAxis, type ReachInput, type ReachPoint } from './blend/reachable-region.js';
export { blendUncertainty, type JuiceDoubt, type PouredJuice } from './blend/blend-uncertainty.js';
export { pouredOut, viewsOf } from './blend/poured-out.js';
export { acidWord, blendWords, tanninWord } from './blend/blend-words.js';
export { BLEND_STYLES, type BlendStyle } from './blend/blend-styles.js';
export { limitWords } from './blend/limit-words.js';
// adjusting and yeast
export { gravityForAbv, sugarForGravity, type SugarAddition } from './adjust/sugar-for-gravity.js';
export { additionPlan } from './adjust/addition-plan.js';
export { ADDITIONS, type AdditionAsk, type AdditionId, type AdditionOutcome, type AdditionPlan } from './adjust/addition-types.js';
export { topUp, waterForGravity } from './adjust/dilution.js';
export { freeSo2For, sulfiteDose, type SulfiteForm } from './adjust/sulfite-dose.js';
export { sulfiteGiven, type SulfiteGiven } from './adjust/sulfite-given.js';
export { acidForTarget, deacidify, tanninForTarget, type WeighedAddition } from './adjust/acid-for-target.js';
export { bentoniteDose, enzymeDose, type PacketDose } from './adjust/enzyme-dose.js';
export { NUTRIENTS, nutrientPlan, type NutrientPlan, type NutrientProduct } from './adjust/nutrient-plan.js';
export { feedOf, usualFeedG, type WeighedFeed } from './adjust/feed.js';
export { rankYeasts, YEAST_AIMS, type RankedYeast, type YeastAim, type YeastInStock, type YeastReason } from './yeast/rank-yeasts.js';
export { leadingYeast, yeastTogether } from './yeast/yeast-together.js';
export { pitchSteps, type PitchStep, type PitchWay } from './yeast/pitch-steps.js';
export { pitchRate, type PitchRate } from './yeast/pitch-rate.js';
export { pitchCautions } from './yeast/pitch-cautions.js';
// fermenting
export { forecast, forecastInParts } from './forecast/forecast.js';
export type { BandDay, DayReading, Feed, Forecast, ForecastInput, PastFerment, Spread } from './forecast/forecast-types.js';
export { forecastWords, type ForecastWords } from './forecast/forecast-words.js';
export { simulateFermentation, type SimulatedFerment } from './forecast/simulate-fermentation.js';
export type { TempFromDay } from './forecast/temp-profile.js';
export { restartOutcome, restartPlan, type RestartInput, type RestartOutcome, type RestartPlan, type StuckCause } from './ferment/restart-plan.js';
export { judgeFermentation } from './ferment/judge-fermentation.js';
export { EQUAL_SG, PROOF_DAYS, type JudgedEntry, type JudgeInput, type PlaceTemperature } from './ferment/judge-facts.js';
export { siftReadings, type GravityReading } from './ferment/reading.js';
export { questionReading, type ReadingQuestion } from './ferment/question-reading.js';
export { isWorking, provesFinished, STATUS_WORDS, type Evidence, type FermentStatus, type NextAction, type Verdict } from './ferment/verdict.js';
// racking, finishing and bottling
export { fillableShare, fillEvenly, smallestWithFoamRoom } from './rack/fill-evenly.js';
export { fitVessels, type VesselFit, type VesselSize } from './rack/fit-vessels.js';
export { toppingWays, type ToppingSource, type ToppingWay } from './rack/topping-ways.js';
export { leftoverWays, type LeftoverWay } from './rack/leftover-ways.js';
export { headspaceCheck, type Headspace } from './rack/headspace.js';
export { bottlingRoutes, type BottlingRoute, type RouteId } from './finish/bottling-routes.js';
export { bottlePressure, co2Solubility, kegPressure, residualCo2, volumesAt } from './bottle/co2-solubility.js';
export { primingSugar, type Priming, type PrimingMode } from './bottle/priming-sugar.js';
export { BOTTLE_KINDS, bottleById, type BottleKind } from './bottle/bottle-kinds.js';
export { planBottles, type BottlePlan } from './bottle/plan-bottles.js';
export { bottlingPlan, type BottlingInputs, type BottlingPlan } from './finish/bottling-plan.js';
export { bottleSafety, chanceText, type BottleSafety } from './bottle/bottle-safety.js';
export { pressureBand, withPriming, type PressureBand, type SealedGas } from './bottle/sealed-gas.js';
export { stabiliseDose, type StabiliseDose } from './finish/stabilise-dose.js';
export { FIZZ_LEVELS, fizzWord, type FizzLevel } from './bottle/fizz-levels.js';
export { readyWindow, type ReadyWindow } from './cellar/ready-window.js';
// the log
export type {
  BlendPart,
  BottleCount,
  Entry,
  EntryKind,
  EntryOf,
  EntryPayloads,
  RawGravity,
  Replacement,
  SplitShare,
  SupplyUse,
  VesselFill,
} from './log/entry.js';
export {
  CAP_COLOURS,
  CLEARING_MEANS,
  TIMED_PLANS,
  VENTS,
  type CapColour,
  type ClearingMeans,
  type PitchMethod,
  type PourSource,
  type ReadingInstrument,
  type TimedPlan,
  type Vent,
} from './log/entry-choices.js';
export {
  EMPTY_STATE,
  STAGES,
  type BatchState,
  type Crate,
  type Keg,
  type Pitch,
  type ReplayIssue,
  type RunningPlan,
  type Stage,
  type StateReading,
} from './log/batch-state.js';
export { SUPPLY_CATALOGUE, type SupplyOffer } from './cupboard/supply-catalogue.js';
export { soonestFirst, supplyFor, type Need, type SupplyInHand } from './cupboard/supply-for.js';
export { shareOfSupply, suppliesUsed, type SupplyUnit } from './cupboard/supplies-left.js';
export { effectiveEntries } from './log/effective-entries.js';
export { FOLD_VERSION, foldOf, summarise, type BatchSummary, type PouredFrom } from './log/batch-summary.js';
export { sumAmounts, type Amount } from './log/sum-over-logs.js';
export { replay } from './log/replay.js';
export { correctGravity } from './log/correct-gravity.js';
export { forecastInputOf, pastFermentOf, type AlsoKnown, type ForecastQuestion, type WhatIf } from './log/forecast-of.js';
export { restartInputOf, restartOutcomeOf } from './log/restart-of.js';
export { judgeState } from './log/judge-state.js';
export { sealedGasOf, warmestSinceEnd } from './log/sealed-gas-of.js';
export { sealWay, maySeal, type SealWay } from './log/sealing.js';
export { checkBottling, type BottlingCheck } from './log/bottling-check.js';
export { fizzChoice, waysToHold, type FizzChoice, type WayToHold } from './bottle/ways-to-hold.js';
export { checkEntryAgainst, COLD_KEG_MOST_C, type EntryCheck } from './log/check-entry.js';
export { describeEntry, type EntryWords } from './log/describe-entry.js';
// planning
export { methodById, METHODS, type Method } from './plan/method.js';
export { plannedDates, type PlannedStop } from './plan/planned-dates.js';
export { cartonPlan, type CartonInputs, type CartonOutcome, type CartonPlan } from './plan/carton-plan.js';
export { juiceJobs } from './plan/juice-jobs.js';
export { nextJobs, urgencyOf, type Job, type JobKind, type JobUrgency } from './plan/next-jobs.js';
// reference
export { FERMENTABLES, type Fermentable } from './reference/fermentables-data.js';
export { fermentableById } from './reference/fermentables.js';
export { YEAST_KINDS, type YeastKind } from './reference/yeast-kinds-data.js';
export { yeastById } from './reference/yeast-kinds.js';
export { FRUIT_LIBRARY, type FruitKind } from './reference/fruit-library-data.js';
export { fruitById } from './reference/fruit-library.js';
// care and clearing
export { placeTempAt, USUAL_PLACES, type UsualPlace } from './care/place-curve.js';
export { dirtyVessels, emptiedVessels, type DirtyVessel } from './rack/dirty-vessels.js';
export { vesselJobs } from './plan/vessel-jobs.js';
export { careNotes, type CareNote, type CareVessel } from './care/care-notes.js';
export { clearingWays, type ClearingWay, type HazeCause } from './clear/clearing-ways.js';
export { malolacticOutlook, turnedFromTa, type MalolacticOutlook } from './malolactic/malolactic-outlook.js';
// faults
export { FAULTS, type Fault, type FaultId } from './faults/fault-data.js';
export { FAULT_QUESTIONS, type FaultAnswers, type FaultQuestion, type FaultQuestionId } from './faults/fault-questions.js';
export { findFaults, type FaultCause, type FaultFact } from './faults/find-faults.js';
export { answersFromBatch, factsOfBatch } from './faults/facts-of-batch.js';
export { answersOf, FAULT_NOTE_LEAD, signsInNotes, type NotedSign } from './faults/signs-in-notes.js';
// devices and tables of readings
export { EMPTY_TRACK, type Track } from './device/track.js';
export { thinOut } from './device/thin-out.js';
export { deviceGravity, forDeviceForecast, joinSeries, trackOf, type DeviceGravity, type DeviceReading, type DeviceSeries } from './device/device-tracks.js';
export { devicesOf } from './log/devices-of.js';
export { checkInstrument, INSTRUMENT_CHECKS, type CheckedKind, type InstrumentCheck } from './device/instrument-check.js';
export { deviceNow, type DeviceNow } from './device/device-now.js';
export { type GlassCheck } from './device/offset-against-glass.js';
export { STAND_IN_KINDS, standInReading, type StandInKind, type StandInReading } from './device/stand-in.js';
export { vesselTruth } from './device/vessel-truth.js';
export { COLUMN_ROLES, guessColumns, type ColumnRole, type TableGuess } from './device/guess-columns.js';
export { DEVICE_LIMITS, readingsFromTable, type ReadTable, type RefusedRow, type TableReading } from './device/readings-from-table.js';
