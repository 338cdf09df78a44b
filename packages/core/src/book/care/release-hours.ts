/** A loosened cap is seen to this often. @source house rule: three times a day */
export const RELEASE_HOURS = 8;
