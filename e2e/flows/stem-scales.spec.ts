import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** The same drink off every scale a stem may have; what says nothing here is asked about. */
it.each(SCREENS)('every scale of the stem tells one gravity, and what cannot be is asked about, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-05', { timeZone: 'Pacific/Auckland' }, screen, hand);
  const path = await way.beginsJuice({ name: 'Scales', volume: '5 L', sg: '1.050', newCapacity: '6 L' });
  await bench.open(`${path}/read`);
  await bench.fill('sample', '20 C');
  for (const written of ['1.050', '1050', '1,050', '50 points', '12.4 Bx', '6.5 % potential', '129 g/L', 'SG 1.050']) {
    await bench.fill('gravity', written);
    await bench.says(/^1\.0(49|50|51)/, '[data-test=corrected]');
  }
  // A bare figure that may be two things, one that lost its point, a spirit stem's per cent, and a sample out of the kettle.
  await bench.fill('gravity', '12.4');
  await bench.says(/12\.4 °Bx \(1\.050\)\?/, 'trug-gravity');
  await bench.fill('gravity', '1.500');
  await bench.says(/1\.500/, 'trug-gravity');
  expect(await bench.text('aside')).not.toContain('1.500');
  await bench.fill('gravity', '0.92');
  await bench.says(/lighter than spirit|lies between/, 'trug-gravity');
  await bench.fill('gravity', '1.046');
  await bench.fill('sample', '45 C');
  await bench.says(/let it cool|Let it cool|cool/, 'form');
  await bench.fill('sample', '30 C');
  // By the usual table a stem of 20 °C reads some 2.5 points low at 30 °C.
  await bench.says(/^1\.048[0-9]?|^1\.049/, '[data-test=corrected]');
  await way.files(1, () => bench.press('Write it down'));
  const { readings } = await way.state(path);
  expect(readings).toHaveLength(1);
  expect(readings[0]?.raw).toBeCloseTo(1.046, 4);
  expect(readings[0]?.sg).toBeGreaterThan(1.0475);
  expect(readings[0]?.sg).toBeLessThan(1.0495);
  expect(way.faults).toEqual([]);
});
