import type { SulfiteForm } from '@trug/core';

/** What sulfite comes as, in the maker's words. */
export const SULFITE_FORMS: readonly { readonly id: SulfiteForm; readonly name: string }[] = [
  { id: 'tablet', name: 'tablets' },
  { id: 'potassium-metabisulfite', name: 'potassium metabisulfite powder' },
  { id: 'sodium-metabisulfite', name: 'sodium metabisulfite powder' },
];
