// errors
export { CoreError, type CoreErrorCode, type Details } from './base/errors/core-error.js';
export { calledBy } from './book/log/called-by.js';
export { attempt, type Attempt } from './base/errors/attempt.js';
export { type Range } from './base/errors/guards.js';
export { LIMITS } from './base/errors/limits.js';
// quantities, dates and workings
export { DEFAULT_UNITS, formatQuantity, type Quantity, type UnitPreferences } from './matter/quantity/format-quantity.js';
export { parseQuantity, type ParsedQuantity, type ParseQuantityOptions } from './matter/typed/parse-quantity.js';
export { BAR_PER, celsiusToFahrenheit, fahrenheitToCelsius, type Dimension, type Gallon, type UnitId } from './matter/quantity/units.js';
export { isDay, isUtcInstant, strictInstantMs, YEARS } from './matter/quantity/strict-dates.js';
export { dayIn, hourIn, isZone, momentIn, UTC, wallClock } from './matter/quantity/zone.js';
export { calendarDays, dateAfter, DAY_MS, daysBetween, dayText, MOST_DAYS_AHEAD } from './matter/quantity/days.js';
export { figure, gravityText } from './base/worked/figures.js';
export { worked, type Step, type Worked } from './base/worked/worked.js';
export { CAUTION_FOOTING, type Caution, type CautionSeverity } from './base/cautions/caution.js';
export { caution, CAUTIONS, type CautionId } from './base/cautions/catalogue.js';
// measuring
export { brixFromSg, sgFromAnyBrix, sgFromBrix } from './matter/density/brix.js';
export { sgFromSolids, solidsFromSg } from './matter/density/solids.js';
export { correctHydrometer, type CorrectedGravity, type HydrometerReading } from './matter/measure/correct-hydrometer.js';
export { refractometerGravity } from './matter/measure/refractometer-gravity.js';
export { gravityFromCarton } from './matter/measure/carton-gravity.js';
export { ACID_EQUIVALENT_G, convertAcidity, titratableAcidity, type AcidityAs } from './matter/measure/acidity.js';
export { abvFromGravities, type StrengthSchool } from './matter/measure/abv-from-gravities.js';
// the liquid
export type { Fruit, Liquid } from './matter/liquid/liquid.js';
export { waterOf } from './matter/liquid/liquid.js';
export { liquidFromReadings, TYPICAL_JUICE, type JuiceReadings } from './matter/liquid/liquid-from-readings.js';
export { phOf, taOf, type AcidId } from './matter/liquid/acid-chemistry.js';
export { abvOf, brixOf, dryAbvOf, dryGravityOf, fermentableGPerL, fermentedShare, gravityOf, solidsOf, sweetnessGPerL } from './matter/liquid/views.js';
export { partsOf, type LiquidPart, type PartId } from './matter/liquid/parts-of.js';
export { agreeWithMustReading, agreeWithReading, fermentTo } from './matter/liquid/ferment-to.js';
export { blendLiquids, loseVolume } from './matter/liquid/blend-liquids.js';
export { addFermentable, addSulfite, addSweetener, addWater } from './matter/liquid/additions.js';
export { addAcid, addCarbonate, addTannin, agreeWithAcidReadings, malolactic, type CarbonateId } from './matter/liquid/add-acid.js';
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
} from './juice/fruit/juice.js';
export { guessedOf, juiceInHand, type JuiceInHand, type KnownFigure } from './juice/fruit/juice-in-hand.js';
export { pouredVolumes } from './book/summary/poured-volumes.js';
export { steepedLiquid } from './juice/fruit/steeped-liquid.js';
export { steepJob, steepPlan, type SteepInput, type SteepJob, type SteepPlan } from './juice/fruit/steep-plan.js';
export { CLASS_WORDS, longAshtonClass, type LongAshtonClass } from './juice/fruit/long-ashton-class.js';
export { PRESSES, type PressKind } from './juice/fruit/presses.js';
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
} from './juice/fruit/yield.js';
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
} from './juice/blend/blend-types.js';
export { solveBlend } from './juice/blend/solve-blend.js';
export { reachableRegion, type ReachAxis, type ReachInput, type ReachPoint } from './juice/blend/reachable-region.js';
export { blendUncertainty, type JuiceDoubt, type PouredJuice } from './juice/blend/blend-uncertainty.js';
export { pouredOut, viewsOf } from './juice/blend/poured-out.js';
export { acidWord, blendWords, tanninWord } from './juice/blend/blend-words.js';
export { BLEND_STYLES, type BlendStyle } from './juice/blend/blend-styles.js';
export { limitWords } from './juice/blend/limit-words.js';
// adjusting and yeast
export { gravityForAbv, sugarForGravity, type SugarAddition } from './juice/adjust/sugar-for-gravity.js';
export { additionPlan } from './juice/adjust/addition-plan.js';
export { ADDITIONS, type AdditionAsk, type AdditionId, type AdditionOutcome, type AdditionPlan } from './juice/adjust/addition-types.js';
export { topUp, waterForGravity } from './juice/adjust/dilution.js';
export { freeSo2For, sulfiteDose, type SulfiteForm } from './juice/adjust/sulfite-dose.js';
export { sulfiteGiven, type SulfiteGiven } from './juice/adjust/sulfite-given.js';
export { acidForTarget, deacidify, tanninForTarget, type WeighedAddition } from './juice/adjust/acid-for-target.js';
export { bentoniteDose, enzymeDose, type PacketDose } from './juice/adjust/enzyme-dose.js';
export { NUTRIENTS, nutrientPlan, type NutrientPlan, type NutrientProduct } from './juice/adjust/nutrient-plan.js';
export { feedOf, usualFeedG, type WeighedFeed } from './juice/adjust/feed.js';
export { rankYeasts, YEAST_AIMS, type RankedYeast, type YeastAim, type YeastInStock, type YeastReason } from './ferment/yeast/rank-yeasts.js';
export { leadingYeast, yeastTogether } from './ferment/yeast/yeast-together.js';
export { pitchSteps, type PitchStep, type PitchWay } from './ferment/yeast/pitch-steps.js';
export { pitchRate, type PitchRate } from './ferment/yeast/pitch-rate.js';
export { pitchCautions } from './ferment/yeast/pitch-cautions.js';
// fermenting
export { forecast, forecastInParts } from './ferment/forecast/forecast.js';
export type { BandDay, DayReading, Feed, Forecast, ForecastInput, PastFerment, Spread } from './ferment/forecast/forecast-types.js';
export { forecastWords, type ForecastWords } from './ferment/forecast/forecast-words.js';
export { simulateFermentation, type SimulatedFerment } from './ferment/forecast/simulate-fermentation.js';
export type { TempFromDay } from './ferment/forecast/temp-profile.js';
export { restartOutcome, restartPlan, type RestartInput, type RestartOutcome, type RestartPlan, type StuckCause } from './ferment/yeast/restart-plan.js';
export { judgeFermentation } from './ferment/verdict/judge-fermentation.js';
export { EQUAL_SG, PROOF_DAYS, type JudgedEntry, type JudgeInput, type PlaceTemperature } from './ferment/verdict/judge-facts.js';
export { siftReadings, type GravityReading } from './ferment/verdict/reading.js';
export { questionReading, type ReadingQuestion } from './ferment/verdict/question-reading.js';
export { isWorking, provesFinished, STATUS_WORDS, type Evidence, type FermentStatus, type NextAction, type Verdict } from './ferment/verdict/verdict.js';
// racking, finishing and bottling
export { fillableShare, fillEvenly, smallestWithFoamRoom } from './finish/rack/fill-evenly.js';
export { fitVessels, type VesselFit, type VesselSize } from './finish/rack/fit-vessels.js';
export { toppingWays, type ToppingSource, type ToppingWay } from './finish/rack/topping-ways.js';
export { leftoverWays, type LeftoverWay } from './finish/rack/leftover-ways.js';
export { headspaceCheck, type Headspace } from './finish/rack/headspace.js';
export { bottlingRoutes, type BottlingRoute, type RouteId } from './book/plan/bottling-routes.js';
export { bottlePressure, co2Solubility, kegPressure, residualCo2, volumesAt } from './finish/bottle/co2-solubility.js';
export { primingSugar, type Priming, type PrimingMode } from './finish/bottle/priming-sugar.js';
export { BOTTLE_KINDS, bottleById, type BottleKind } from './base/reference/bottle-kinds.js';
export { planBottles, type BottlePlan } from './finish/bottle/plan-bottles.js';
export { bottlingPlan, type BottlingInputs, type BottlingPlan } from './book/plan/bottling-plan.js';
export { bottleSafety, chanceText, type BottleSafety } from './finish/bottle/bottle-safety.js';
export { pressureBand, withPriming, type PressureBand, type SealedGas } from './finish/bottle/sealed-gas.js';
export { stabiliseDose, type StabiliseDose } from './finish/bottle/stabilise-dose.js';
export { FIZZ_LEVELS, fizzWord, type FizzLevel } from './finish/bottle/fizz-levels.js';
export { runSteps, syrupWaterMl, type RunInput, type RunStep } from './finish/bottle/run-steps.js';
export { readyWindow, type ReadyWindow } from './finish/bottle/ready-window.js';
// the log
export type { Entry, EntryKind, EntryOf, EntryPayloads, Replacement } from './book/entry/entry.js';
export type { BlendPart } from './book/kinds/blended.js';
export { GUESSED_FIGURES, type GuessedFigure } from './matter/liquid/guessed.js';
export type { BottleCount } from './book/state/bottle-count.js';
export type { SplitShare } from './book/kinds/split.js';
export type { VesselFill } from './book/state/vessel-fill.js';
export type { RawGravity } from './matter/measure/raw-gravity.js';
export type { SupplyUse } from './juice/adjust/addition-payload.js';
export { kegPlan, type KegPlan, type KegPlanInput } from './book/plan/keg-plan.js';
export { LABEL_KINDS, labelSheet, PAPERS } from './finish/label/label-sheet.js';
export { KEG_WAYS, type KegWay, type KegWayId } from './finish/bottle/keg-ways.js';
export { CAP_COLOURS, TIMED_PLANS, VENTS, type CapColour, type PitchMethod, type PourSource, type TimedPlan, type Vent } from './book/state/entry-choices.js';
export { CLEARING_MEANS, type ClearingMeans } from './ferment/clear/clearing-means.js';
export { type ReadingInstrument } from './matter/measure/raw-gravity.js';
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
} from './book/state/batch-state.js';
export { SUPPLY_CATALOGUE, type SupplyOffer } from './book/cupboard/supply-catalogue.js';
export { soonestFirst, supplyFor, type Need, type SupplyInHand } from './book/cupboard/supply-for.js';
export { shareOfSupply, suppliesUsed, type SupplyUnit } from './book/summary/supplies-left.js';
export { effectiveEntries } from './book/entry/effective-entries.js';
export { FOLD_VERSION, foldOf, summarise, type BatchSummary, type PouredFrom } from './book/summary/batch-summary.js';
export { sumAmounts } from './book/summary/sum-over-logs.js';
export { type Amount } from './book/kinds/kind.js';
export { replay } from './book/log/replay.js';
export { correctGravity } from './matter/measure/correct-gravity.js';
export { forecastInputOf, pastFermentOf, type AlsoKnown, type ForecastQuestion, type WhatIf } from './book/outlook/forecast-of.js';
export { restartInputOf, restartOutcomeOf } from './book/outlook/restart-of.js';
export { keevingPlan, type KeevingPlan } from './juice/keeve/keeving-plan.js';
export { storyOf, type ShareStory } from './book/state/share-story.js';
export { judgeState } from './book/state/judge-state.js';
export { sealedGasOf, warmestSinceEnd } from './book/state/sealed-gas-of.js';
export { sealWay, maySeal, type SealWay } from './book/state/sealing.js';
export { checkBottling, type BottlingCheck } from './book/state/bottling-check.js';
export { heatBottles } from './finish/bottle/heat-bottles.js';
export { pasteurisationUnits } from './finish/bottle/heat-units.js';
export { fizzChoice, waysToHold, type FizzChoice, type WayToHold } from './finish/bottle/ways-to-hold.js';
export { checkEntryAgainst } from './book/log/check-entry.js';
export { COLD_KEG_MOST_C } from './book/kinds/kegged.js';
export { type EntryCheck } from './book/kinds/kind.js';
export { describeEntry } from './book/log/describe-entry.js';
export { type EntryWords } from './book/kinds/kind.js';
// planning
export { methodById, METHODS, type Method } from './book/plan/method.js';
export { plannedDates, type PlannedStop } from './book/plan/planned-dates.js';
export { cartonPlan, type CartonInputs, type CartonOutcome, type CartonPlan } from './book/plan/carton-plan.js';
export { juiceJobs } from './book/plan/juice-jobs.js';
export { isMoreThan, litresIn } from './book/state/vessel-fill.js';
export { type Pulp } from './book/state/batch-state.js';
export { urgencyOf, type Job, type JobKind, type JobUrgency } from './book/plan/job.js';
export { nextJobs } from './book/plan/next-jobs.js';
// reference
export { FERMENTABLES, type Fermentable } from './base/reference/fermentables-data.js';
export { fermentableById } from './base/reference/fermentables.js';
export { YEAST_KINDS, type YeastKind } from './base/reference/yeast-kinds-data.js';
export { yeastById } from './base/reference/yeast-kinds.js';
export type { FruitKind } from './base/reference/fruit-kind.js';
export { FRUIT_LIBRARY } from './base/reference/fruit-library-data.js';
export { fruitById } from './base/reference/fruit-library.js';
// care and clearing
export { placeTempAt, USUAL_PLACES, type UsualPlace } from './ferment/forecast/place-curve.js';
export { dirtyVessels, emptiedVessels, type DirtyVessel } from './book/summary/dirty-vessels.js';
export { mayDoWithout, MOST_PUT_OFF, putOffDays, putOffOnce, wantedJobs, type PutOff } from './book/plan/put-off.js';
export { QUICK_SUMS, workQuickSum, type QuickAnswer, type QuickField, type QuickLine, type QuickSum } from './book/quick/quick-sums.js';
export { mixedWarmth, type WarmVolume } from './juice/warmth/mixed-warmth.js';
export { vesselJobs } from './book/plan/vessel-jobs.js';
export { careNotes, type CareNote, type CareVessel } from './book/care/care-notes.js';
export { clearingWays, type ClearingWay, type HazeCause } from './ferment/clear/clearing-ways.js';
export { malolacticOutlook, turnedFromTa, type MalolacticOutlook } from './ferment/clear/malolactic-outlook.js';
// faults
export { FAULTS, type Fault, type FaultId } from './book/faults/fault-data.js';
export { FAULT_QUESTIONS, type FaultAnswers, type FaultQuestion, type FaultQuestionId } from './book/faults/fault-questions.js';
export { findFaults, type FaultCause, type FaultFact } from './book/faults/find-faults.js';
export { answersFromBatch, factsOfBatch } from './book/faults/facts-of-batch.js';
export { answersOf, FAULT_NOTE_LEAD, signsInNotes, type NotedSign } from './book/faults/signs-in-notes.js';
// devices and tables of readings
export { EMPTY_TRACK, type Track } from './book/device/track.js';
export { DEVICE_TIERS } from './book/device/device-tiers.js';
export { thinOut } from './book/device/thin-out.js';
export {
  deviceGravity,
  forDeviceForecast,
  joinSeries,
  trackOf,
  type DeviceGravity,
  type DeviceReading,
  type DeviceSeries,
} from './book/device/device-tracks.js';
export { devicesOf } from './book/outlook/devices-of.js';
export { checkInstrument, INSTRUMENT_CHECKS, type CheckedKind, type InstrumentCheck } from './book/device/instrument-check.js';
export { deviceNow, type DeviceNow } from './book/device/device-now.js';
export { type GlassCheck } from './book/device/offset-against-glass.js';
export { STAND_IN_KINDS, standInReading, type StandInKind, type StandInReading } from './book/device/stand-in.js';
export { vesselTruth } from './book/outlook/vessel-truth.js';
export { COLUMN_ROLES, guessColumns, type ColumnRole, type TableGuess } from './book/device/guess-columns.js';
export { DEVICE_LIMITS, readingsFromTable, type ReadTable, type RefusedRow, type TableReading } from './book/device/readings-from-table.js';
export { CLARITIES, TASTE_COLOURS, TASTE_SCALE_IDS, type Clarity, type TasteColour, type TasteScale, type TasteSheet } from './finish/taste/taste-sheet.js';
export { TASTE_FAMILIES, TASTE_WORD_IDS, tasteWordById } from './finish/taste/taste-words.js';
export { tastingsOf, wasLiked, type Tasting } from './book/tasting/tastings.js';
export { namedWith, pressesOf } from './finish/trial/blind-session.js';
export type { TrialWay } from './finish/trial/trial-substance.js';
export type { ComparedPayload } from './book/kinds/compared.js';
export type { TrialledPayload } from './book/kinds/trialled.js';
export type { TrialSubstance } from './finish/trial/trial-substance.js';
