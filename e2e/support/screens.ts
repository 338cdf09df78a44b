import type { HandName } from '../pages/hands';
import { DESK, PHONE } from './trug';

type Screen = readonly [where: string, screen: typeof DESK | typeof PHONE, hand: HandName];

const AT_A_DESK: Screen = ['at a desk', DESK, 'mouse'];
const ON_A_PHONE: Screen = ['on a phone', PHONE, 'finger'];

/**
 * The screens on which a way of making is walked from end to end: on the phone, where it is done, and with `TRUG_LONG=1` at a desk
 * as well, which takes as long again.
 */
export const SCREENS: readonly Screen[] = process.env['TRUG_LONG'] === '1' ? [AT_A_DESK, ON_A_PHONE] : [ON_A_PHONE];
