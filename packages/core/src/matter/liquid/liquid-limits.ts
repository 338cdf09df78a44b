import type { Range } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Liquid } from './liquid.js';

const SUGAR = { min: 0, max: 900 };
const ACID = { min: 0, max: 100 };

/** What each part of a liquid may be when it comes in from outside: wider than any juice, so that no sum of acts is refused. @source our choice */
export const LIQUID_LIMITS = {
  volumeL: LIMITS.volumeL,
  sucroseGPerL: SUGAR,
  hexoseGPerL: SUGAR,
  otherSolidsGPerL: { min: -5, max: SUGAR.max },
  ethanolGPerL: { min: 0, max: 250 },
  malicGPerL: ACID,
  lacticGPerL: ACID,
  citricGPerL: ACID,
  tartaricGPerL: ACID,
  backgroundMmolPerL: { min: 0, max: 2000 },
  strongCationsMmolPerL: { min: -500, max: 1000 },
  tanninGPerL: { min: 0, max: 50 },
  sorbitolGPerL: LIMITS.sorbitolGPerL,
  yanMgPerL: { min: 0, max: 5000 },
  freeSo2MgPerL: { min: 0, max: 1000 },
  totalSo2MgPerL: { min: 0, max: 1000 },
  sorbateMgPerL: { min: 0, max: 2000 },
  sweetenerGPerL: { min: 0, max: 1000 },
} as const satisfies Record<Exclude<keyof Liquid, 'fruit'>, Range>;
