import type { StrengthSchool } from './abv-from-gravities.js';

/** How each is called, and when it is right. @source usual practice, and their difference from the mass balance */
export const STRENGTH_SCHOOL_WORDS: readonly { readonly id: StrengthSchool; readonly name: string; readonly note: string }[] = [
  { id: 'mass-balance', name: 'by what was fermented', note: 'The sugar that went and the alcohol it made. Right at every strength.' },
  { id: 'x131.25', name: 'the simple sum', note: 'What the gravity fell by, times 131.25. Right for ciders of 4 to 7 %.' },
  { id: 'x135', name: 'the wine-maker’s sum', note: 'The same times 135. Right above 10 %.' },
  { id: 'duty-table', name: 'the sliding table', note: 'A factor that grows with the fall, as where duty is paid on strength.' },
];
