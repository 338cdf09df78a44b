import type { Forecast, ForecastQuestion, PastFerment, Worked } from '@trug/core';
import { forecast, forecastInParts } from '@trug/core/ferment/forecast/forecast';

/** What the page asks: the batch as it stands, what it could become, and the maker's earlier batches with the same yeast. */
export interface ForecastTask {
  readonly asIs: ForecastQuestion;
  /** The same with a change to try; null when none is tried. */
  readonly whatIf: ForecastQuestion | null;
  readonly past: readonly ForecastQuestion[];
}

/** What it gets back. */
export interface ForecastAnswer {
  readonly asIs: Worked<Forecast>;
  readonly whatIf: Worked<Forecast> | null;
}

/** Members that tell the pace of an earlier batch: fewer will do. */
const PAST_MEMBERS = 200;

/**
 * Works a forecast out, saying how far it is.
 *
 * @param task - the questions
 * @param tell - hears the progress, 0–1
 * @returns the forecasts
 */
export function runForecastTask({ asIs, whatIf, past }: ForecastTask, tell: (progress: number) => void): ForecastAnswer {
  const history: readonly PastFerment[] = past.map((question) => ({ rate: forecast({ ...question, members: PAST_MEMBERS }).value.rate.p50 }));
  const share = whatIf === null ? 1 : 0.5;
  const told = inParts({ ...asIs, history }, (progress) => tell(progress * share));
  return { asIs: told, whatIf: whatIf === null ? null : inParts({ ...whatIf, history }, (progress) => tell(share + progress * share)) };
}

function inParts(input: Parameters<typeof forecastInParts>[0], tell: (progress: number) => void): Worked<Forecast> {
  const running = forecastInParts(input);
  for (;;) {
    const part = running.next();
    if (part.done === true) return part.value;
    tell(part.value);
  }
}
