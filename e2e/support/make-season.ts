import { SEASON_DAY, TestTrug } from './trug';

/** Jest calls it once, before the first flow. */
export default (): Promise<void> => TestTrug.makeSeason(SEASON_DAY);
