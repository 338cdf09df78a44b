import { bottleById } from '../../base/reference/bottle-kinds.js';
import { seededRandom } from '../../base/numeric/random.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { followOn, type FoldedLog } from '../log/follow-on.js';
import { replay } from '../log/replay.js';

/** Volumes of gas that a litre holds at one atmosphere of it, by Carroll's polynomial for carbon dioxide in water, less for alcohol. */
function perAtm(tempC: number, abv: number): number {
  const k = tempC + 273.15;
  const henryMPa = Math.exp(-6.8346 + 12817 / k - 3.7668e6 / k ** 2 + 2.997e8 / k ** 3);
  return (0.101325 / henryMPa) * 54.6 * 22.414 * (1 - 0.01 * abv);
}

/** What presses on a bottle at a heat, its drink swollen by a fiftieth at 65 °C, bar gauge. */
function gaugeBar(volumes: number, room: number, tempC: number, abv: number, airBar: number): number {
  const left = room - ((tempC - 12) / 53) * 0.018 * (1 - room);
  const co2 = (volumes / (perAtm(tempC, abv) + (left * 273.15) / (273.15 + tempC))) * 1.01325;
  return co2 + airBar * (room / left) * ((273.15 + tempC) / 285.15) - 1.01325;
}

/** Minutes of a bath that kill as much as one at 60 °C: ten times as much for 6.95 °C more. */
const units = (minutes: number, tempC: number): number => minutes * 10 ** ((tempC - 60) / 6.948);

const BOTTLES = ['crown-330', 'crown-500', 'sparkling-750', 'swing-500', 'plastic-500'] as const;
const SUGAR_VOLUMES = 0.25;

describe('bottles that are heated, whatever is accepted with its dangers in words', () => {
  it('stand the bath, and a year at 25 °C after it', () => {
    const random = seededRandom(65);
    const between = (least: number, most: number): number => least + (most - least) * random.uniform();
    const wrong: string[] = [];
    let [filled, heated, refused] = [0, 0, 0];
    for (let season = 0; season < 400; season += 1) {
      const make = logOf();
      const og = between(1.04, 1.062);
      const abv = (og - 0.997) * 131;
      const base = [
        make.filled({ gravity: { instrument: 'hydrometer', reading: og, sampleC: 20, calibratedAtC: 20, offsetSg: 0 } }),
        make.pitched(),
        ...[7, 18, 26].map((day) => make.read(day, 0.997)),
        make.malolactic(27, { done: true, turnedFraction: 1 }),
        make.racked(28, 19.5),
      ];
      const fromKeg = random.uniform() < 0.5;
      const kegVolumes = between(1.2, 2.6);
      let volumes = fromKeg ? kegVolumes : between(0.6, 0.9);
      const room = between(0.045, 0.12);
      const massG = between(100, 900);
      const kindId = BOTTLES[Math.floor(random.uniform() * BOTTLES.length)] ?? 'crown-500';
      const airBar = between(0.6, 0.9);
      // Yeast that had starved makes what it makes a day, from the sugar on.
      const pace = between(0, 0.2);
      const [toFill, toBath] = [between(0.02, 1.3), between(0.02, 1.4)];
      const [minutes, coreC] = [between(2, 30), between(59, 73)];
      const acknowledged = ['heat-due', 'hot-bottles'];
      const day = 40.1;
      const acts: readonly Entry[] = [
        ...(fromKeg ? [make.kegged(30, { targetVolumes: kegVolumes, acknowledged }), make.entry('unsealed', 40, {})] : []),
        make.entry('sweetened', day, { sweetenerId: 'sucrose', massG }),
        make.bottled(day + toFill, { kindId, count: 15, toHeat: { headspace: room }, acknowledged }),
      ];
      let on: FoldedLog = { log: base, state: replay(base) };
      const isFilled = acts.every((entry) => {
        const next = followOn(on, entry);
        if (next.ok) on = next.on;
        return next.ok;
      });
      if (!isFilled) {
        refused += 1;
        continue;
      }
      filled += 1;
      volumes += pace * (toFill + toBath);
      const crateId = on.state.crates[0]?.id ?? '';
      const bath = followOn(on, make.entry('heated', day + toFill + toBath, { crateId, steps: [{ minutes, coreC }], acknowledged }));
      if (!bath.ok) continue;
      heated += 1;
      const what = `${kindId}, ${volumes.toFixed(2)} volumes, ${(room * 100).toFixed(1)} % room, ${minutes.toFixed(0)} min at ${coreC.toFixed(1)} °C`;
      const kind = bottleById(kindId);
      const hot = gaugeBar(volumes, room, coreC, abv, airBar);
      if (hot > (kind.hotLimitBar ?? 0)) wrong.push(`${what}: ${hot.toFixed(2)} bar hot`);
      const crate = bath.on.state.crates[0];
      const isDead = crate?.wakesVolumes === null;
      if (isDead && units(minutes, coreC) < 49.5) wrong.push(`${what}: called dead`);
      // What is called dead keeps its sugar; else all of it makes gas.
      const later = isDead ? volumes : volumes + (massG / 19.5) * SUGAR_VOLUMES;
      const bar = gaugeBar(later, room, 25, abv, airBar);
      if (isDead && bar > (kind.limitBar ?? 0)) wrong.push(`${what}: ${bar.toFixed(2)} bar a year later`);
      if (!isDead && (crate?.wakesVolumes ?? 0) < later - 1) wrong.push(`${what}: not said that it wakes`);
    }
    expect(wrong).toEqual([]);
    expect(filled).toBeGreaterThan(80);
    expect(heated).toBeGreaterThan(40);
    expect(refused).toBeGreaterThan(80);
  });
});
