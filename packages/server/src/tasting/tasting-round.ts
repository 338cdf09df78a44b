import { randomBytes } from 'node:crypto';
import { namedWith, pressesOf, type TrialWay } from '@trug/core';
import type { TastingDto } from '@trug/contract';

/** A blind tasting while it is judged. It knows the numbers on the glasses and nothing of what is in them. */
export interface TastingRound {
  /** What only who was given the link knows. */
  readonly secret: string;
  readonly way: TrialWay;
  readonly tasters: readonly { readonly name: string; readonly codes: readonly number[]; readonly pressed: readonly number[]; readonly isDone: boolean }[];
}

const SECRET_BYTES = 9;

const tasterOf = (way: TrialWay, { name, codes, pressed }: Pick<TastingRound['tasters'][number], 'name' | 'codes' | 'pressed'>) => ({
  name,
  codes,
  pressed,
  isDone: pressed.length === pressesOf(way, codes.length),
});

/** A round as it is asked for. */
export const roundOf = ({ way, tasters }: TastingDto): TastingRound => ({
  secret: randomBytes(SECRET_BYTES).toString('base64url'),
  way,
  tasters: tasters.map((taster) => tasterOf(way, taster)),
});

/**
 * A round once a taster pressed a glass, or took the last press back.
 *
 * @param round - as it stood
 * @param taster - by number
 * @param press - the position of a glass, or `back`
 * @returns the round as it was where that is no glass of theirs, or was named before
 */
export function pressedIn(round: TastingRound, taster: number, press: number | 'back'): TastingRound {
  const who = round.tasters[taster];
  if (!who) return round;
  const isGlass = press === 'back' || (press in who.codes && !who.pressed.includes(press) && !who.isDone);
  if (!isGlass) return round;
  const pressed = press === 'back' ? who.pressed.slice(0, -1) : namedWith(round.way, who.codes.length, who.pressed, press);
  return { ...round, tasters: round.tasters.map((other, i) => (i === taster ? tasterOf(round.way, { ...who, pressed }) : other)) };
}
