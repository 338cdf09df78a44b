/** Blends and additions by charge balance with pKa of the CRC Handbook. */
export const ACID_CASES = [
  { what: 'malic', start: { ph: 4.0, taGPerL: 3.5 }, ph: 3.78, taGPerL: 4.5 },
  { what: 'potassium-bicarbonate', start: { ph: 3.2, taGPerL: 9 }, ph: 3.4, taGPerL: 8.33 },
] as const;

/** Free sulfite for 0.8 mg/L molecular, pKa 1.81. */
export const FREE_SULFITE_CASES = [
  { ph: 3.0, freeMgPerL: 13.2 },
  { ph: 3.3, freeMgPerL: 25.5 },
  { ph: 3.5, freeMgPerL: 40.0 },
  { ph: 3.8, freeMgPerL: 79.0 },
] as const;
