import { caution } from '../../base/cautions/catalogue.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** How pectic enzyme or bentonite is given. */
export interface PacketDose {
  readonly massG: number;
  /** Hours to wait before the next thing goes in. */
  readonly waitH: number;
  readonly advice: readonly string[];
}

/** Usual packet rates, g/L. @source usual packets of powdered pectinase and of bentonite; the packet wins */
export const PACKET_G_PER_L = { enzyme: 0.5, bentonite: 0.6 } as const;
/** What is dosed by its packet alone: no sum of the must says how much. */
export const isDosedByPacket = (kind: string): kind is keyof typeof PACKET_G_PER_L => kind in PACKET_G_PER_L;
/** Below this the enzyme works so slowly that twice as much is given, °C. @source usual packet advice */
const COLD_C = 12;
/** Above this it is destroyed, °C. @source usual packet advice */
const HOT_C = 50;

/**
 * Pectic enzyme for a juice: by the packet's rate, or the usual one.
 *
 * @param input - volume, L; temperature, °C; the packet's rate, g/L; whether sulfite or bentonite went in, and whether the juice was boiled or has fermented
 * @returns grams, the wait and how to time it with sulfite and bentonite
 * @throws {CoreError} OUT_OF_RANGE
 * @source usual packet rate; enzyme is a protein, so heat destroys it and bentonite carries it down
 */
export function enzymeDose(input: {
  readonly volumeL: number;
  readonly tempC: number;
  readonly packetGPerL?: number | undefined;
  readonly boiled: boolean;
  /** Whether it has fermented: alcohol slows the enzyme as cold does. */
  readonly fermented?: boolean;
  readonly bentoniteIn: boolean;
  readonly sulfitedHoursAgo: number | null;
}): Worked<PacketDose> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const tempC = inRange('tempC', input.tempC, LIMITS.tempC);
  const rate = inRange('packetGPerL', input.packetGPerL ?? PACKET_G_PER_L.enzyme, LIMITS.packetGPerL);
  const cold = tempC < COLD_C;
  const times = cold || input.fermented === true ? 2 : 1;
  const advice: string[] = [];
  if (tempC > HOT_C) advice.push(`${celsius(tempC)} destroys it. Let the juice cool below ${HOT_C} °C first.`);
  if (input.boiled) advice.push('Boiling has set the pectin free: add the enzyme once it is cool, and expect some haze all the same.');
  if (input.bentoniteIn) advice.push('Bentonite is in already and carries the enzyme down. Rack off it first, or leave the enzyme out.');
  if (input.sulfitedHoursAgo !== null && input.sulfitedHoursAgo < 12) advice.push('Sulfite went in not long ago. Give it about 12 hours before the enzyme.');
  if (cold) advice.push('In the cold it is slow: twice the dose, or twice the time.');
  return worked({ massG: rate * times * volumeL, waitH: 12, advice }, [
    {
      label: 'Pectic enzyme',
      expression: `${figure(rate, 2)} g/L${times === 1 ? '' : cold ? ' × 2 for the cold' : ' × 2 for the alcohol'} × ${figure(volumeL, 1)} L`,
      result: `${figure(rate * times * volumeL, 1)} g`,
      source: 'usual packet rate; your packet wins',
    },
  ]);
}

/**
 * Bentonite for a juice or a hazy cider.
 *
 * @param input - volume, L, and the packet's rate, g/L
 * @returns grams and how to do it
 * @throws {CoreError} OUT_OF_RANGE
 * @source usual packet rate
 */
export function bentoniteDose(input: { readonly volumeL: number; readonly packetGPerL?: number | undefined }): Worked<PacketDose> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const rate = inRange('packetGPerL', input.packetGPerL ?? PACKET_G_PER_L.bentonite, LIMITS.bentoniteGPerL);
  return worked(
    {
      massG: rate * volumeL,
      waitH: 24,
      advice: [
        'Stir it into twenty times its weight of hot water and let it swell a day before it goes in.',
        'After the enzyme has done its work, never before.',
      ],
    },
    [
      {
        label: 'Bentonite',
        expression: `${figure(rate, 2)} g/L × ${figure(volumeL, 1)} L`,
        result: `${figure(rate * volumeL, 1)} g`,
        source: 'usual packet rate; your packet wins',
      },
    ],
    [caution('scald')],
  );
}
