import { awaitsHeat } from '@trug/core/book/state/crate-heat';
import type { BatchState, Pulp } from '@trug/core';
import { fizzWord } from '@trug/core/finish/bottle/fizz-levels';
import { isAtRest, type Evidence } from '@trug/core/ferment/verdict/verdict';
import { BEFORE_BOTTLING, TESTED_SUGAR } from '@trug/core/ferment/verdict/verdict-words';
import { restartOutcomeOf } from '@trug/core/book/outlook/restart-of';
import { countText } from '@trug/core/matter/quantity/count-text';
import { wantsAcidFirst } from '@trug/core/book/plan/wants-acid-first';
import { clearsUntil } from '@trug/core/book/state/clearing';
import { hasFruitIn, outOn } from '@trug/core/book/state/fruit-out';
import { calendarDays, dayText, instantMs } from '@trug/core/matter/quantity/days';
import { dayIn, hourIn } from '@trug/core/matter/quantity/zone';
import type { BatchView } from '../../../state/batch-views.selectors';

/** What the Now panel says: one sentence, what it rests on, and the one thing to do. */
export interface NowWords {
  readonly sentence: string;
  readonly tone: 'plain' | 'good' | 'act';
  readonly evidence: readonly Evidence[];
  readonly next: string;
  readonly main: { readonly page: string; readonly verb: string } | null;
  readonly also: readonly { readonly page: string; readonly verb: string }[];
}

const READ = { page: 'read', verb: 'Write a reading' };
const STRAIN = { page: 'strain', verb: 'Strain it' };
const RACK = { page: 'rack', verb: 'Rack it' };
const BOTTLE = { page: 'bottle', verb: 'Bottle bench' };
const KEG = { page: 'keg', verb: 'Keg it' };
const NOTE = { page: 'note', verb: 'Write a note' };
const INFUSE = { page: 'infuse', verb: 'Steep something in it' };
const TRIAL = { page: 'trial', verb: 'Bench trial' };
const TASTE = { page: 'taste', verb: 'Taste it' };
const PITCH = { page: 'pitch', verb: 'Add yeast' };
const PITCH_FIRST = { page: 'pitch', verb: 'Pitch the yeast' };
const ADJUST = { page: 'adjust', verb: 'Adjust it' };
const SHARPEN = { page: 'adjust/acid', verb: 'Add acid' };
const SULFITE = { page: 'adjust/sulfite', verb: 'Sulfite it' };
const SPLIT = { page: 'split', verb: 'Split it for a trial' };
const RESTART = { page: 'restart', verb: 'Set it going again' };
const CLEAR = { page: 'clear', verb: 'Clear it' };
const LOOK = { page: 'clear', verb: 'Has it cleared?' };
const MALOLACTIC = { page: 'malolactic', verb: 'Malolactic change' };
const TEST = { page: 'test', verb: 'What sugar is left?' };
const STABILISE = { page: 'stabilise', verb: 'Stabilise it' };
const SWEETEN = { page: 'sweeten', verb: 'Sweeten it' };
const TAKE_OUT = { page: 'take-out', verb: 'Take some out' };
const OPEN_KEG = { page: 'open-keg', verb: 'Open the keg' };
const KEEVE = { page: 'keeve', verb: 'Keeve it' };
const HEAT = { page: 'heat', verb: 'Heat the bottles' };
const MOVE = { page: 'move', verb: 'Move it' };

/**
 * What to say first about a batch.
 *
 * @param view - the batch
 * @returns the words of its Now panel
 */
export function nowWords(view: BatchView): NowWords {
  const { state, verdict, method } = view;
  if (!state.filledAt) return { sentence: 'Nothing is in it yet.', tone: 'plain', evidence: [], next: '', main: null, also: [NOTE] };
  if (state.keg) return kegWords(view);
  if (!state.liquid) return cellarWords(view);
  if (state.pulp) return pulpWords(view, state.pulp);
  if (!state.pitchedAt) {
    const wait = view.jobs.find((job) => job.kind === 'pitch');
    const waits = state.sulfitedAt !== null && wait !== undefined && instantMs(wait.dueAt) > instantMs(view.now) ? 'sulfite' : 'yeast';
    return {
      sentence: waits === 'sulfite' ? `Waiting out its sulfite, ${method.waits.sulfiteToPitchH} hours in all.` : 'The juice is in. It waits for yeast.',
      tone: 'plain',
      evidence:
        state.sulfitedAt === null
          ? []
          : [{ text: `Sulfited at ${hourIn(state.sulfitedAt, state.zone)} on ${dayText(state.sulfitedAt, false, state.zone)}`, speaks: 'for' }],
      next: wait?.detail ?? '',
      main: PITCH_FIRST,
      also: [
        ...(wantsAcidFirst(state) !== null ? [SHARPEN] : []),
        ...(state.sulfitedAt === null && !state.heatedJuice ? [SULFITE] : []),
        ADJUST,
        SPLIT,
        READ,
        MOVE,
        KEEVE,
        TAKE_OUT,
      ],
    };
  }
  if (hasFruitIn(state)) return fruitWords(view);
  if (!verdict) return { sentence: 'Put by.', tone: 'plain', evidence: [], next: '', main: null, also: [NOTE] };
  const v = verdict.value;
  const done = v.next.kind === 'rack-or-bottle';
  const toTheWarm = v.next.kind === 'restart' || v.next.kind === 'warm';
  const bottleFirst = done && (state.rackedAt !== null || state.primed !== null);
  const stillUntil = done ? restsUntil(view) : null;
  const doneFirst = bottleFirst ? BOTTLE : RACK;
  return {
    sentence: v.sentence,
    tone: done ? 'good' : toTheWarm || v.next.kind === 'stabilise' ? 'act' : 'plain',
    evidence: [...restartEvidence(view), ...steepingEvidence(state), ...v.evidence],
    // Once it is off its lees, racking is not what comes next.
    next: state.plan
      ? state.plan.next
      : stillUntil !== null
        ? `Leave it still until ${stillUntil}, while it clears. Then: ${v.next.text}`
        : v.status === 'finished-dry' && bottleFirst
          ? 'It is off its lees. Bottle it once it is clear and has rested.'
          : v.status === 'settled-short' && state.rackedAt !== null
            ? `It is off its lees. ${state.tested ? TESTED_SUGAR : BEFORE_BOTTLING}`
            : v.next.text,
    main: stillUntil !== null ? LOOK : done ? doneFirst : v.next.kind === 'stabilise' ? TEST : v.next.kind === 'restart' ? RESTART : toTheWarm ? MOVE : READ,
    // Under one button: every act that makes sense at this stage.
    also: done
      ? [
          ...(bottleFirst ? [READ, RACK] : [BOTTLE, READ]),
          ...(stillUntil !== null ? [doneFirst] : [CLEAR]),
          KEG,
          TEST,
          MALOLACTIC,
          STABILISE,
          SWEETEN,
          TRIAL,
          INFUSE,
          ADJUST,
          TASTE,
          MOVE,
          TAKE_OUT,
        ]
      : v.next.kind === 'stabilise'
        ? [RACK, STABILISE, SWEETEN, TRIAL, INFUSE, BOTTLE, KEG, READ, RESTART, ADJUST, TASTE, TAKE_OUT]
        : toTheWarm
          ? [...(v.next.kind === 'restart' ? [MOVE] : []), READ, PITCH, TEST, RACK, ADJUST, TASTE, TAKE_OUT]
          : [RACK, MOVE, ADJUST, INFUSE, PITCH, CLEAR, TEST, BOTTLE, KEG, TASTE, TAKE_OUT],
  };
}

/** The day until which what was put in to clear it needs rest; null where none does, or the day has come. */
function restsUntil({ state, now }: BatchView): string | null {
  const lookAt = clearsUntil(state);
  return lookAt !== null && calendarDays(now, lookAt, state.zone) > 0 ? dayText(lookAt, false, state.zone) : null;
}

/** On its pulp: how long, what it waits for, and what its yeast does where it has one. */
function pulpWords({ state, verdict, jobs, now }: BatchView, pulp: Pulp): NowWords {
  const due = jobs.find((job) => job.kind === 'strain' || job.kind === 'stir') ?? jobs.find((job) => job.kind === 'pitch');
  const on = `On its pulp for ${countText(calendarDays(pulp.since, now, state.zone), 'day')}, of about ${pulp.days}`;
  const main = due?.kind === 'strain' ? STRAIN : state.pitchedAt === null ? PITCH_FIRST : READ;
  return {
    sentence: verdict ? verdict.value.sentence : `${on}. It waits for yeast.`,
    tone: 'plain',
    evidence: verdict ? [{ text: `${on}: readings lag while fruit still gives up its sugar`, speaks: 'note' }, ...verdict.value.evidence] : [],
    next: due?.detail ?? '',
    main,
    also: [STRAIN, READ, PITCH, ADJUST, MOVE, NOTE].filter((act) => act.page !== main.page),
  };
}

/** How a restart is going, once new yeast went into a batch that had stopped. */
function restartEvidence({ state, verdict }: BatchView): readonly Evidence[] {
  const outcome = verdict && !isAtRest(verdict.value.status) ? restartOutcomeOf(state) : null;
  return outcome ? [{ text: outcome.text, speaks: outcome.is === 'going' ? 'for' : 'note' }] : [];
}

/** What steeps in it, and until when. */
const steepingEvidence = (state: BatchState): readonly Evidence[] =>
  state.infusions.map((each) => ({
    text: `In it until ${dayText(outOn(each, state.zone), false)}: ${each.name}`,
    speaks: 'note',
  }));

/** Fruit gives up sugar for days: whatever the readings say, nothing is proven until it is out. */
function fruitWords(view: BatchView): NowWords {
  return {
    sentence: 'Fruit steeps in it and gives up its sugar. No reading proves an end until it is out.',
    tone: 'plain',
    evidence: [...steepingEvidence(view.state), ...(view.verdict?.value.evidence ?? [])],
    next: 'Taste it every few days. Once the fruit is out, equal readings over two weeks prove the end again.',
    main: { ...INFUSE, verb: 'Take it out' },
    also: [TASTE, READ, RACK, ADJUST, MOVE, NOTE, TAKE_OUT],
  };
}

function kegWords({ state, now }: BatchView): NowWords {
  const { keg } = state;
  const level = keg ? `${keg.targetVolumes.toFixed(1)} volumes` : '';
  const gassedOn = keg?.gassedOn ?? null;
  return {
    sentence:
      gassedOn !== null && dayIn(now, state.zone) < gassedOn
        ? `In the keg, taking gas: at ${level} about ${dayText(gassedOn)}.`
        : `In the keg, gassed to ${level}.`,
    tone: 'good',
    evidence: [],
    next: 'Check that it holds its pressure, and that the relief valve lifts.',
    main: { ...TAKE_OUT, verb: 'Draw some' },
    also: [TASTE, OPEN_KEG, NOTE],
  };
}

function cellarWords({ state, jobs }: BatchView): NowWords {
  const left = state.crates.flatMap((c) => c.lots).reduce((sum, lot) => sum + lot.left, 0);
  const crate = state.crates.at(-1);
  if (!crate) {
    return {
      sentence: 'Nothing is left of it here: it was poured into others, drunk or thrown away. The log stays.',
      tone: 'plain',
      evidence: [],
      next: '',
      main: NOTE,
      also: [],
    };
  }
  const evidence: Evidence[] =
    crate.wakesVolumes === null
      ? [{ text: crate.sparkling ? `${crate.co2Volumes.toFixed(1)} volumes, ${fizzWord(crate.co2Volumes)}` : 'Still', speaks: 'for' }]
      : [
          {
            text: awaitsHeat(crate)
              ? `Not heated through: left as it is, its sugar would make ${crate.wakesVolumes.toFixed(1)} volumes and burst its bottles`
              : `Still, while sulfite and sorbate hold its sugar. Were that to wake, it would make ${crate.wakesVolumes.toFixed(1)} volumes and burst its bottles: keep them cold and open one each week`,
            speaks: 'against',
          },
        ];
  return {
    sentence: left > 0 ? `In the bottle: ${left} left, filled on ${dayText(crate.bottledAt, false, state.zone)}.` : 'All drunk. The log stays.',
    tone: 'good',
    evidence,
    next: jobs[0]?.detail ?? '',
    main: awaitsHeat(crate) ? HEAT : { page: '/cellar', verb: 'To the crate' },
    also: [TASTE, NOTE],
  };
}
