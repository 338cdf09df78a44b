/** What goes into a drink, and is taken out of the cupboard for it. */
export const DRAWN_SUPPLIES = ['yeast', 'nutrient', 'sulfite', 'acid', 'carbonate', 'tannin', 'sugar', 'enzyme', 'bentonite', 'finings'] as const;
/** One of them. */
export type DrawnSupply = (typeof DRAWN_SUPPLIES)[number];

/** What the cupboard holds besides vessels. Fruit of one's own is told there by what it is like, and grows again. */
export const SUPPLY_KINDS = [...DRAWN_SUPPLIES, 'bottles', 'fruit', 'other'] as const;
/** A kind of supply. */
export type SupplyKind = (typeof SUPPLY_KINDS)[number];
