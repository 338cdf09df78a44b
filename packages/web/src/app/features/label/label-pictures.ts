/** Pictures of our own for a label, strokes in a box of 40 × 40: `ink` is drawn, `fill` filled with the label's colour. */
export const LABEL_PICTURES = [
  {
    id: 'apple',
    name: 'an apple',
    ink: 'M20 13c-5-4-14-2-14 9c0 8 6 15 10 15c2 0 2-1 4-1s2 1 4 1c4 0 10-7 10-15c0-11-9-13-14-9M20 13c0-4 1-7 4-9M21 9c4-1 8 0 10 3c-4 1-8 0-10-3',
    fill: 'M20 13c-5-4-14-2-14 9c0 8 6 15 10 15c2 0 2-1 4-1s2 1 4 1c4 0 10-7 10-15c0-11-9-13-14-9',
  },
  {
    id: 'pear',
    name: 'a pear',
    ink: 'M20 8c-4 0-5 4-5 8c0 5-6 7-6 13c0 6 5 9 11 9s11-3 11-9c0-6-6-8-6-13c0-4-1-8-5-8M20 8c0-3 1-4 3-6M21 6c3-2 6-2 8 0c-2 2-6 2-8 0',
    fill: 'M20 8c-4 0-5 4-5 8c0 5-6 7-6 13c0 6 5 9 11 9s11-3 11-9c0-6-6-8-6-13c0-4-1-8-5-8',
  },
  {
    id: 'branch',
    name: 'a twig',
    ink: 'M4 34c10-2 22-10 32-28M13 31c-2-6 0-10 5-13c2 6 0 10-5 13M22 25c-1-7 1-11 7-13c1 7-1 11-7 13M12 31c5 4 9 4 14 1c-4-4-9-5-14-1M24 23c5 2 9 1 12-3c-5-2-9-1-12 3',
    fill: 'M13 31c-2-6 0-10 5-13c2 6 0 10-5 13M22 25c-1-7 1-11 7-13c1 7-1 11-7 13M12 31c5 4 9 4 14 1c-4-4-9-5-14-1M24 23c5 2 9 1 12-3c-5-2-9-1-12 3',
  },
  {
    id: 'basket',
    name: 'a trug of fruit',
    ink: 'M4 22h32l-5 13H9ZM8 22c2-12 22-12 24 0M10 22c0-5 7-5 7 0M17 22c0-6 8-6 8 0M25 22c0-5 6-5 6 0M7 28h26',
    fill: 'M10 22c0-5 7-5 7 0M17 22c0-6 8-6 8 0M25 22c0-5 6-5 6 0Z',
  },
] as const;

/** A picture on a label: one of ours, or one of the maker's, as an address of its bytes. */
export type LabelPicture = (typeof LABEL_PICTURES)[number] | { readonly own: string };
