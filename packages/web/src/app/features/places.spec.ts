import { BatchPageActions } from '../state/batches.actions';
import { SettingsPageActions } from '../state/settings.actions';
import { VesselPageActions } from '../state/vessels.actions';
import { DOUBLE_CLICK_MS } from '../writing/outbox';
import { BATCH_ID, dayAt, finishedLog, filled, pitched, reading, sampleBatch, sampleEntry, testedLog } from '../../testing/sample-batch';
import { sampleJuice } from '../../testing/sample-juice';
import { sampleSupply } from '../../testing/sample-supply';
import { PageHarness } from '../../testing/page-harness';
import { until } from '../../testing/until';
import { Cellar } from './cellar/cellar';
import { Cupboard } from './cupboard/cupboard';
import { SupplyList } from './cupboard/supply-list';
import { ComingPlace } from './places/coming-place';
import { SettingsPage } from './settings/settings-page';
import { Shelf } from './shelf/shelf';

const big = { id: 'V', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 };
const bottledLog = [
  ...finishedLog(),
  sampleEntry('primed', 27, { fermentableId: 'sucrose', massG: 130, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 }),
  sampleEntry('bottled', 27, {
    bottles: [{ kindId: 'crown-500', count: 2 }],
    testBottle: false,
    lossL: 19,
    crate: 'Lot',
    capColour: 'plum',
    hottestC: 24,
    acknowledged: [],
  }),
];

describe('Shelf', () => {
  it('has three doors when it is empty: cartons, fruit, and a season to look around in', async () => {
    const page = await PageHarness.open(Shelf);
    expect(page.text()).toContain('An empty shelf');
    await until(() => page.has('trug-first-run'));
    for (const door of ['Cartons', 'My own fruit', 'Show me a season']) expect(page.text('trug-first-run ul')).toContain(door);
    expect(page.text('trug-job-list')).toContain('Nothing is due');
  });
  it('draws each vessel with what it holds, in words too', async () => {
    const page = await PageHarness.open(Shelf, { batches: [sampleBatch([filled(), pitched(), reading(3, 1.04), reading(6, 1.03)])], vessels: [big], today: 6 });
    expect(page.text('h1 + span')).toBe('1 vessel, 20 L, 1 working');
    expect(page.has('trug-vessel svg[aria-label="Big glass, 20 L of 23 L, working"]')).toBe(true);
    expect(page.count('.foam')).toBeGreaterThan(0);
  });
  it('fetches the logs of what stands on it, each once, when nothing else goes on', async () => {
    const bare = { ...sampleBatch([filled(), pitched(), reading(3, 1.04)]), entries: null };
    const page = await PageHarness.open(Shelf, { batches: [bare], vessels: [big], today: 6 });
    const wanted = (): readonly string[] =>
      page.sent<ReturnType<typeof BatchPageActions.logsWanted>>(BatchPageActions.logsWanted.type).flatMap((a) => a.batchIds);
    await until(() => wanted().length > 0);
    expect(wanted()).toEqual([bare.id]);
  });
  it('leads from a job to where it is done', async () => {
    const page = await PageHarness.open(Shelf, {
      batches: [sampleBatch([filled(), pitched(), reading(7, 1.012), reading(18, 0.999)])],
      vessels: [big],
      today: 26,
    });
    expect(page.text('trug-job-list')).toContain('Overdue1');
    await page.press('Read: Read Lot again');
    expect(page.address()).toMatch(/\/read$/);
  });
});

describe('Cellar', () => {
  it('counts down as bottles are opened, and stops at none', async () => {
    const page = await PageHarness.open(Cellar, { batches: [sampleBatch(bottledLog)], today: 80 });
    expect(page.text('.left')).toBe('2 of 2 left');
    await page.press('Open one crown-capped 500 mL of Lot');
    // A second press at once is a double click, and one bottle.
    await page.press('Open one crown-capped 500 mL of Lot');
    expect(page.text('.left')).toBe('1 of 2 left');
    await new Promise((resolve) => setTimeout(resolve, DOUBLE_CLICK_MS));
    await page.press('Open one crown-capped 500 mL of Lot');
    expect(page.text('.left')).toBe('0 of 2 left');
    expect(page.has('button[disabled]')).toBe(true);
    expect(page.written().map((e) => e.kind)).toEqual(['opened', 'opened']);
  });
  it('takes a bottle out of the crate it is pressed on, where a batch has two alike', async () => {
    const run = (day: number, crate: string) =>
      sampleEntry('bottled', day, {
        bottles: [{ kindId: 'crown-500', count: 3 }],
        testBottle: false,
        lossL: 0.1,
        crate,
        capColour: 'rust',
        hottestC: 22,
        acknowledged: [],
      });
    const [one, other] = [run(28, 'First run'), { ...run(29, 'Second run'), id: '01E00000000000000000000999' }];
    const page = await PageHarness.open(Cellar, { batches: [sampleBatch([...testedLog(), one, other])], today: 60 });
    await page.press('Open one crown-capped 500 mL of Second run');
    expect(page.written()).toMatchObject([{ kind: 'opened', payload: { kindId: 'crown-500', count: 1, crateId: other.id } }]);
    expect(page.texts('.left')).toEqual(['2 of 3 left', '3 of 3 left']);
  });
  it('shows a keg with what is left in it, and a way to draw some', async () => {
    const kegged = sampleEntry('kegged', 30, { vessel: { vesselId: 'K', volumeL: 19 }, lossL: 1, targetVolumes: 2.4, storeC: 4, acknowledged: [] });
    const drawn = sampleEntry('discarded', 40, { volumeL: 4, why: 'drunk from the vessel' });
    const page = await PageHarness.open(Cellar, { batches: [sampleBatch([...finishedLog(), kegged, drawn])], today: 41, settings: { temperature: 'degF' } });
    expect(page.text('.page-head')).toContain('1 keg');
    expect(page.text('.keg')).toContain('15 L of 19 L left');
    expect(page.text('.keg')).toMatch(/2\.4 volumes · kept at 39 °F/);
    await page.press('Draw some of Lot');
    expect(page.address()).toBe(`/batch/${BATCH_ID}/take-out`);
  });
  it('warns of a crate whose sugar only sulfite and sorbate hold', async () => {
    const racked = sampleEntry('racked', 27, { vessels: [{ vesselId: 'V', volumeL: 19 }], lossL: 1 });
    const stabilised = sampleEntry('stabilised', 27.2, { so2MgPerL: 150, sorbateMgPerL: 200 });
    const sweetened = sampleEntry('sweetened', 28, { sweetenerId: 'sucrose', massG: 400 });
    const bottled = sampleEntry('bottled', 29, {
      bottles: [{ kindId: 'crown-500', count: 30 }],
      testBottle: false,
      lossL: 0.4,
      crate: 'Lot',
      capColour: 'rust',
      hottestC: 22,
      acknowledged: ['re-ferment'],
    });
    const log = [...finishedLog(), racked, stabilised, sweetened, bottled];
    const page = await PageHarness.open(Cellar, { batches: [sampleBatch(log)], today: 40 });
    expect(page.text('.held')).toContain('Only sulfite and sorbate hold its sugar');
    expect(page.text('trug-cautions')).toContain('if it wakes in the bottle, the bottles burst');
    expect((await PageHarness.open(Cellar, { batches: [sampleBatch(bottledLog)], today: 40 })).has('.held')).toBe(false);
  });
  it('says when it drinks well', async () => {
    expect((await PageHarness.open(Cellar, { batches: [sampleBatch(bottledLog)], today: 30 })).text('.words')).toContain('Ready from about');
    expect((await PageHarness.open(Cellar, { batches: [sampleBatch(bottledLog)], today: 90 })).text('.words')).toContain('At its best until');
    expect((await PageHarness.open(Cellar)).text()).toContain('No bottles yet');
  });
});

describe('the jobs beside the shelf', () => {
  it('hold pulp that wants stirring, and lead to where it is done', async () => {
    const steeping = {
      startedAt: dayAt(0),
      days: 5,
      fruitKg: 2,
      waterL: 3,
      sugarG: 0,
      acidG: 0,
      teaCups: 0,
      driedFruitG: 0,
      hot: false,
      stirredAt: [],
      strainedAt: null,
    };
    const page = await PageHarness.open(Shelf, { juices: [sampleJuice({ name: 'Crab pulp', origin: 'steeped', volumeL: 0, steeping })], today: 2 });
    expect(page.text('trug-job-list [aria-label=Today]')).toContain('Stir Crab pulp');
    await page.press('Stir: Stir Crab pulp');
    expect(page.address()).toBe('/juice');
  });
});

describe('Cupboard', () => {
  it('tells free vessels from full ones', async () => {
    const page = await PageHarness.open(Cupboard, { batches: [sampleBatch([filled()])], vessels: [big, { ...big, id: 'W', name: 'Spare' }], today: 1 });
    expect(page.text('li:nth-child(1)')).toContain('Lot');
    expect(page.text('li:nth-child(2)')).toContain('free');
  });
  it('adds one of the usual size unless told another', async () => {
    const page = await PageHarness.open(Cupboard);
    await page.press('Add a vessel');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Give it a name');
    await page.type('name', 'Back jar');
    await page.submit();
    await page.type('name', 'Demijohn');
    await page.type('capacity', '1 imp gal');
    await page.submit();
    const added = page.sent<ReturnType<typeof VesselPageActions.vesselSent>>(VesselPageActions.vesselSent.type);
    expect(added.map(({ sent }) => sent.vessel.capacityL)).toEqual([5, 4.54609]);
    expect(page.text('ul')).toContain('Demijohn');
  });
  it('puts a vessel right under its own draft, and away for good and back', async () => {
    const spare = { ...big, id: 'W', name: 'Spare' };
    const page = await PageHarness.open(Cupboard, { vessels: [big, spare], today: 1 });
    const sent = (): object | undefined => page.sent<ReturnType<typeof VesselPageActions.vesselSent>>(VesselPageActions.vesselSent.type).at(-1)?.sent;
    await page.press('Add a vessel');
    await page.type('name', 'Half typed');
    await page.press('Change Spare');
    expect(page.value('name')).toBe('Spare');
    await page.type('capacity', '5 gal');
    await page.press('Write it down');
    expect(sent()).toMatchObject({ act: 'change', was: spare, vessel: { ...spare, capacityL: expect.closeTo(18.927, 3) as number } });
    await page.press('Add a vessel');
    expect(page.value('name')).toBe('Half typed');
    await page.press('Change Spare');
    await page.press('Put it away for good');
    expect(sent()).toMatchObject({ act: 'change', vessel: { id: 'W', retiredOn: dayAt(1).slice(0, 10) } });
    expect(page.text('.planks')).not.toContain('Spare');
    await page.press('Use again: Spare');
    expect(page.text('.planks')).toContain('Spare');
  });
});

describe('SupplyList', () => {
  const packets = (amount: number): ReturnType<typeof sampleSupply> =>
    sampleSupply({
      id: '01S00000000000000000000YST',
      kind: 'yeast',
      refId: 'crisp-cider',
      name: 'Crisp cider type',
      amount,
      unit: 'packet',
      packetG: 5,
      bestBefore: '2026-09-01',
    });
  it('counts what the logs have left of each, and marks what is past its date', async () => {
    const pitch = sampleEntry('pitched', 0.1, {
      yeastId: 'crisp-cider',
      massG: 5,
      method: 'sprinkled',
      juiceC: 18,
      supplies: [{ supplyId: '01S00000000000000000000YST', amount: 1.5 }],
    });
    const page = await PageHarness.open(SupplyList, { batches: [sampleBatch([filled(), pitch])], supplies: [packets(2)], today: 1 });
    expect(page.text('tbody')).toContain('half a packet of 5 g');
    expect(page.text('tbody')).toContain('past its date');
    const gone = await PageHarness.open(SupplyList, { batches: [sampleBatch([filled(), pitch])], supplies: [packets(1)], today: 1 });
    expect(gone.text('tbody')).not.toContain('Crisp');
    expect(gone.text('details')).toContain('Used up: 1');
  });
  it('takes sugar by weight in any unit and yeast by the packet, and keeps what it refuses', async () => {
    const page = await PageHarness.open(SupplyList);
    await page.press('Add a packet or jar');
    await page.shows('trug-supply-form');
    await page.choose('supplyWhat', 'sugar:sucrose');
    await page.type('supplyAmount', 'a bag');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('“a bag” is not a weight');
    expect(page.value('supplyAmount')).toBe('a bag');
    await page.type('supplyAmount', '1 lb');
    await page.type('supplyPaid', '2.40');
    await page.submit();
    await page.choose('supplyWhat', 'yeast:restart');
    await page.type('supplyAmount', '3');
    await page.submit();
    const saved = page.saved('supplies');
    expect(saved[0]).toMatchObject({ kind: 'sugar', refId: 'sucrose', unit: 'g', amount: expect.closeTo(453.6, 1) as number, packetG: null, paid: 2.4 });
    expect(saved[1]).toMatchObject({ kind: 'yeast', refId: 'restart', unit: 'packet', amount: 3, packetG: 5 });
    expect(saved[1]).not.toHaveProperty('paid', 2.4);
  });
  it('is put right by what is found of it, whatever the logs have used', async () => {
    const pitch = sampleEntry('pitched', 0.1, {
      yeastId: 'crisp-cider',
      massG: 5,
      method: 'sprinkled',
      juiceC: 18,
      supplies: [{ supplyId: '01S00000000000000000000YST', amount: 1 }],
    });
    const page = await PageHarness.open(SupplyList, { batches: [sampleBatch([filled(), pitch])], supplies: [packets(4)], today: 1 });
    await page.press('Change Crisp cider type');
    await page.shows('trug-supply-form');
    expect(page.value('supplyAmount')).toBe('3');
    await page.type('supplyAmount', '1');
    await page.submit();
    // One in the log and one in the drawer: two were brought in.
    expect(page.saved('supplies')[0]).toMatchObject({ amount: 2, bestBefore: '2026-09-01' });
  });
});

describe('SettingsPage', () => {
  const saved = (page: PageHarness): object | undefined =>
    page.sent<ReturnType<typeof SettingsPageActions.settingsChanged>>(SettingsPageActions.settingsChanged.type).at(-1)?.sent;
  it('changes a unit at once', async () => {
    const page = await PageHarness.open(SettingsPage);
    await page.choose('temperature', 'degF');
    expect(saved(page)).toMatchObject({ temperature: 'degF', version: 0 });
    expect(page.text('[name=hottest]')).toContain('Hottest day');
  });
  it('learns the hydrometer’s heat and offset', async () => {
    const page = await PageHarness.open(SettingsPage);
    await page.type('calibrated', '60F');
    await page.type('offset', '1.002');
    await page.press('Keep these figures');
    expect((saved(page) as { calibratedAtC: number }).calibratedAtC).toBeCloseTo(15.556, 3);
    expect((saved(page) as { offsetSg: number }).offsetSg).toBeCloseTo(-0.002, 9);
  });
  it.each([
    ['calibrated', '70 C', 'between 4 °C and 30 °C'],
    ['hottest', 'very', 'is not a temperature'],
    ['hottest', '70 C', 'between 5 °C and 50 °C'],
    ['offset', '1.2', 'too far off to be corrected'],
    ['offset', 'about one', 'too far off to be corrected'],
  ])('refuses %s of %s and says why', async (field, text, why) => {
    const page = await PageHarness.open(SettingsPage);
    await page.type(field, text);
    await page.press('Keep these figures');
    expect(page.text('[role=alert]')).toContain(why);
    expect(saved(page)).toBeUndefined();
  });
});

describe('ComingPlace', () => {
  it.each(['year', 'practice'])('says what will stand at %s and leads somewhere', async (place) => {
    const page = await PageHarness.open(ComingPlace, { inputs: { place } });
    expect(page.text('p')).toMatch(/^Here you will/);
    expect(page.has('a[href]')).toBe(true);
  });
  it('knows what it does not know', async () => {
    expect((await PageHarness.open(ComingPlace, { inputs: { place: 'attic' } })).text('h1')).toBe('Nothing here');
  });
});
