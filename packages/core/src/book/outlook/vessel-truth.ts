import type { ForecastQuestion } from './forecast-of.js';
import { simulateFermentation } from '../../ferment/forecast/simulate-fermentation.js';
import { UNTOLD_TEMP_C } from '../../ferment/forecast/temp-profile.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { CO2_PER_HEXOSE, fermentableGPerL, gravityOf, solidsOf } from '../../matter/liquid/views.js';
import type { DayReading } from '../../ferment/forecast/forecast-types.js';
import type { VesselTruth } from '../device/stand-in.js';

/** Water holds up most of a drink's weight, g/L at 20 °C. @source Kell (1975) */
const WATER_G_PER_L = 998.2;
/** A glass vessel's own weight for each litre it holds, g. @source our estimate */
const GLASS_G_PER_L = 300;
/** How much pH falls in the first days as yeast takes up nitrogen. @source our estimate from usual falls of 0.1–0.2 */
const PH_FALL = 0.15;
/** Heat of a ferment at its fastest, and the swing of a day, °C. @source our estimate for glass in a room */
const OWN_HEAT_C = 1.5;
const DAY_SWING_C = 0.7;
const LEAST_FALL_SG = 0.001;

/** Leads a course past what was read: by straight lines from reading to reading, and from the last one to the course's own end. */
function ledPast(sgAt: (day: number) => number, readings: readonly DayReading[], endSg: number): (day: number) => number {
  const known = [{ day: 0, by: 0, sg: sgAt(0) }, ...readings.map(({ day, sg }) => ({ day, by: sg - sgAt(day), sg }))];
  return (day) => {
    const after = known.findIndex((k) => k.day > day);
    const last = known.at(-1);
    const [left, right] = [known[after - 1], known[after]];
    if (left && right) return sgAt(day) + left.by + ((right.by - left.by) * (day - left.day)) / (right.day - left.day);
    const toFall = last ? sgAt(last.day) - endSg : 0;
    return last && toFall > 0 ? last.sg - (Math.max(0, last.sg - endSg) * (sgAt(last.day) - sgAt(day))) / toFall : (last?.sg ?? sgAt(day));
  };
}

/**
 * What would be true in a vessel day by day if its batch fermented as the textbook has it, led past what was read so
 * far: made for trying devices out.
 *
 * @param question - the batch as a forecast would ask about it
 * @param days - for how long, 1–400
 * @returns the truth on any day after pitching from 0 to `days`
 */
export function vesselTruth(question: ForecastQuestion, days: number): (day: number) => VesselTruth {
  const { liquid, yeastId, tempProfile, pitchGPerL } = question;
  const ferment = simulateFermentation({ liquid, yeastId, tempProfile, pitchGPerL, days });
  const startSg = gravityOf(liquid);
  const lastSg = ferment.sg.at(-1) ?? startSg;
  const simulatedAt = (day: number): number => {
    const at = Math.min(ferment.sg.length - 1, Math.max(0, day / ferment.stepDays));
    const before = ferment.sg[Math.floor(at)] ?? lastSg;
    const after = ferment.sg[Math.min(ferment.sg.length - 1, Math.floor(at) + 1)] ?? before;
    return before + (after - before) * (at - Math.floor(at));
  };
  const sgAt = ledPast(simulatedAt, question.readings, lastSg);
  const startPh = phOf(liquid);
  const temps = [...tempProfile].sort((a, b) => a.day - b.day);
  const placeAt = (day: number): number => (temps.filter((t) => t.day <= day).at(-1) ?? temps[0])?.tempC ?? UNTOLD_TEMP_C;
  const endSg = sgAt(days);
  const fullG = liquid.volumeL * (WATER_G_PER_L + GLASS_G_PER_L + 0.38 * solidsOf(liquid));
  const fastest = Math.max(1e-6, ...Array.from({ length: days }, (_none, day) => sgAt(day) - sgAt(day + 1)));
  return (day) => {
    const sg = sgAt(day);
    const gone = startSg - endSg > LEAST_FALL_SG ? Math.max(0, (startSg - sg) / (startSg - endSg)) : 1;
    const pace = Math.min(1, Math.max(0, (sgAt(day - 0.5) - sgAt(day + 0.5)) / fastest));
    return {
      sg,
      tempC: placeAt(day) + DAY_SWING_C * Math.sin(2 * Math.PI * (day - 0.3)) + OWN_HEAT_C * pace,
      ph: startPh - PH_FALL * Math.min(1, gone / 0.3),
      massG: fullG - CO2_PER_HEXOSE * fermentableGPerL(liquid) * gone * liquid.volumeL,
      // Foam stands while it works hard and before it is two thirds through.
      foam: gone > 0.03 && gone < 0.65 ? pace : 0,
    };
  };
}
