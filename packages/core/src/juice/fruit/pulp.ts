/** A sugar or syrup by weight. */
export interface WeighedSugar {
  readonly fermentableId: string;
  readonly massG: number;
}

/** Juice in a kilo of apples or pears, L. @source usual composition: about 85 % juice */
export const JUICE_L_PER_KG = 0.82;
/** Share of it that chopped fruit gives up to water. @source our estimate: heat opens the flesh, cold steeping takes less */
export const DRAWN = { hot: 0.85, cold: 0.7 } as const;
/** Litres of water soaked up by a kilo of pulp and lost in straining. @source our estimate */
const LOST_L_PER_KG = 0.15;
/** Room a kilo of whole fruit takes, L. @source our estimate: an apple just floats, with its air */
const ROOM_L_PER_KG = 1.1;

/**
 * Room that the pulp itself takes in a bucket, beside what will run off it.
 *
 * @param fruit - what is steeped
 * @returns L
 * @source our estimates: {@link ROOM_L_PER_KG} less the juice that is drawn out, with the water that stays in it
 */
export const pulpL = (fruit: { readonly fruitKg: number; readonly hot: boolean }): number =>
  fruit.fruitKg * (ROOM_L_PER_KG - JUICE_L_PER_KG * DRAWN[fruit.hot ? 'hot' : 'cold'] + LOST_L_PER_KG);

/** Litres of water that stay in the pulp when it is strained. */
export const lostInPulpL = (fruitKg: number): number => fruitKg * LOST_L_PER_KG;

/** Hours after which pulp wants to be stirred again. @source usual practice: two or three times a day */
export const HOURS_BETWEEN_STIRS = 8;
