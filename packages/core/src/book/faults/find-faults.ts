import { caution, type CautionId } from '../../base/cautions/catalogue.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { FAULTS, type Fault, type FaultId } from './fault-data.js';
import { FAULT_QUESTIONS, type FaultAnswers, type FaultQuestion } from './fault-questions.js';

/** A cause with how likely it is. */
export interface FaultCause {
  readonly fault: Fault;
  /** 0–1, over all causes together. */
  readonly chance: number;
  readonly confidence: 'very likely' | 'likely' | 'possible';
}

/** What the batch itself says for or against a fault. */
export interface FaultFact {
  readonly id: FaultId;
  /** Times the usual odds. */
  readonly times: number;
  /** Why, in the maker's words. */
  readonly why: string;
}

/** Causes less likely than this are not named. */
const LEAST_CHANCE = 0.05;
const VERY_LIKELY = 0.75;
const LIKELY = 0.4;

const FAULT_CAUTIONS: Partial<Record<FaultId, CautionId>> = {
  vinegar: 'vinegar',
  film: 'mouldy-film',
  mould: 'mouldy-film',
  rope: 'ropy',
  gusher: 'burst-glass',
  stuck: 'sealed-ferment',
};

/** Chance of an answer where a fault is: as its table says, or its part of the rest, shared as in sound drinks. */
function chanceOf(fault: Fault, question: FaultQuestion, answer: string): number {
  const named = fault.shows[question.id];
  const own = question.answers.find((a) => a.id === answer)?.inSound ?? 0;
  if (!named) return own;
  const given = named[answer];
  if (given !== undefined) return given;
  const rest = 1 - Object.values(named).reduce((sum, p) => sum + p, 0);
  const unnamed = question.answers.filter((a) => named[a.id] === undefined).reduce((sum, a) => sum + a.inSound, 0);
  return unnamed > 0 ? (rest * own) / unnamed : 0;
}

/**
 * Likely causes of what a maker sees, smells and tastes.
 *
 * @param answers - what was answered; more answers, more sureness
 * @param facts - what the batch's own log says for or against a fault
 * @returns causes from the likeliest on; with no answer at all, only the usual odds
 * @source Bayes' rule with answers taken as independent for each fault; the tables are our estimates
 */
export function findFaults(answers: FaultAnswers, facts: readonly FaultFact[] = []): Worked<readonly FaultCause[]> {
  const asked = FAULT_QUESTIONS.flatMap((question) => {
    const answer = question.answers.find((a) => a.id === answers[question.id]);
    return answer ? [{ question, answer }] : [];
  });
  const odds = FAULTS.map((fault) => {
    const times = facts.filter((f) => f.id === fault.id).reduce((product, f) => product * f.times, 1);
    return asked.reduce((product, { question, answer }) => product * chanceOf(fault, question, answer.id), fault.usual * times);
  });
  const sum = odds.reduce((a, b) => a + b, 0);
  const causes = FAULTS.map((fault, i) => ({ fault, chance: sum > 0 ? (odds[i] ?? 0) / sum : 0 }))
    .filter((c) => c.chance >= LEAST_CHANCE)
    .sort((a, b) => b.chance - a.chance)
    .map((c): FaultCause => ({ ...c, confidence: c.chance >= VERY_LIKELY ? 'very likely' : c.chance >= LIKELY ? 'likely' : 'possible' }));
  const steps = [
    ...asked.map(({ question, answer }) => ({
      label: question.ask,
      expression: `“${answer.text}” is met in ${percent(answer.inSound)} of sound drinks`,
      result: causes[0] ? `in ${percent(chanceOf(causes[0].fault, question, answer.id))} with: ${causes[0].fault.name.toLowerCase()}` : '',
      source: 'our estimate',
    })),
    ...facts
      .filter((f) => causes.some((c) => c.fault.id === f.id))
      .map((f) => ({
        label: f.why,
        expression: 'from the batch’s own log',
        result: `${f.times >= 1 ? f.times : `1/${Math.round(1 / f.times)}`} times the usual odds`,
        source: 'our estimate',
      })),
  ];
  const cautions = causes.filter((c) => c.confidence !== 'possible').flatMap((c) => FAULT_CAUTIONS[c.fault.id] ?? []);
  return worked(causes, steps, [...new Set(cautions)].map(caution));
}

const percent = (share: number): string => (share < 0.01 ? 'fewer than 1 in 100' : `about ${Math.round(share * 100)} in 100`);
