/** Fields whose names do not say by themselves what they are. */
const WORDS: Readonly<Record<string, string>> = {
  ph: 'pH',
  sg: 'gravity',
  co2Volumes: 'fizz',
  targetVolumes: 'fizz',
  tannin: 'tannin',
  taGPerL: 'acidity',
  tanninGPerL: 'tannin',
  yanMgPerL: 'nitrogen',
  so2MgPerL: 'sulfite',
  sorbateMgPerL: 'sorbate',
  abv: 'strength',
  massG: 'weight',
  volumeL: 'volume',
  lossL: 'loss',
  capacityL: 'size of the vessel',
  placeC: 'temperature of the place',
  sampleC: 'temperature of the sample',
  juiceC: 'temperature of the juice',
  storeC: 'temperature of the store',
  hottestC: 'hottest temperature',
  calibratedAtC: 'temperature on the stem',
  tempC: 'temperature',
  offsetSg: 'offset of the stem',
};

/** Units at the end of a field's name, and how the figure behind it is said. */
const UNIT = /(GPerL|MgPerL|MmolPerL|GPer100Ml|PerL|Ml|Kg|Mg|L|G|C|Sg|Bar|Brix|Days|H)$/;

/**
 * A refusal without the names that programs give to fields: `payload.massG must lie between…` says `The weight must lie between…`.
 *
 * @param text - a sentence, as a rule gives it
 * @returns the sentence as a maker would say it
 */
export function withoutFieldNames(text: string): string {
  return text.replace(
    /(^|[\s(])(?!pH )(?:[a-z][A-Za-z]*\.|\d+\.)*([a-z]+[A-Z][A-Za-z0-9]*|ph|sg|abv)(?= (?:must|should|may|has|is)\b)/g,
    (_, before: string, field: string) => {
      const words = WORDS[field] ?? field.replace(UNIT, '').replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
      const sentence = before === '' ? `The ${words}` : `the ${words}`;
      return `${before}${sentence}`;
    },
  );
}
