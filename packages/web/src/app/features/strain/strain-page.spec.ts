import { replay } from '@trug/core/book/log/replay';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, pitched, SAMPLE_STEEP, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { until } from '../../../testing/until';
import { BatchPage } from '../batch/batch-page';
import { StrainPage } from './strain-page';

const steeped = sampleEntry('steeped', 0, SAMPLE_STEEP);
const jars = ['A', 'B'].map((id) => ({ id: `01J00000000000000000000JR${id}`, name: `Jar ${id}`, kind: 'jar' as const, capacityL: 5 }));
const open = (log = [steeped], vessels = jars): Promise<PageHarness> =>
  PageHarness.open(StrainPage, { batches: [sampleBatch(log)], vessels, today: 4, inputs: { id: BATCH_ID } });

describe('StrainPage', () => {
  it('files what ran off into its jars, and what it reads', async () => {
    const page = await open();
    await page.type('volume', '6 L');
    await page.type('gravity', '1.075');
    await page.type('sample', '20 C');
    expect(page.text('trug-before-after')).toContain('1.075');
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['strained', 'reading']);
    const state = replay([steeped, ...page.written()]);
    expect(state.issues).toEqual([]);
    expect(state.vessels.map((v) => v.volumeL)).toEqual([3, 3]);
    expect(gravityOf(state.must ?? fail())).toBeCloseTo(1.075, 5);
  });
  it('files no reading where nothing was read, and nothing at all where it finds no room', async () => {
    const page = await open([steeped, pitched()], jars.slice(0, 1));
    await page.type('volume', '6 L');
    await page.submit();
    expect(page.text('aside [role=alert]')).toContain('hold all of it');
    await page.type('volume', '4.4 L');
    await page.tick('input[name=squeezed][value=squeezed]');
    await page.submit();
    expect(page.written()).toMatchObject([{ kind: 'strained', payload: { squeezed: true, vessels: [{ vesselId: jars[0]?.id }] } }]);
  });
  it('says so where there is no pulp', async () => {
    const page = await open([steeped, sampleEntry('strained', 3, { vessels: [{ vesselId: 'J', volumeL: 4 }], squeezed: false })]);
    expect(page.text()).toContain('It stands on no pulp');
  });
});

describe('a batch on its pulp', () => {
  it('says its day, waits for yeast, and is stirred with one press', async () => {
    const page = await PageHarness.open(BatchPage, { batches: [sampleBatch([steeped])], vessels: jars, today: 1, inputs: { id: BATCH_ID } });
    expect(page.text('trug-now')).toContain('On its pulp for 1 day, of about 4. It waits for yeast.');
    await until(() => page.text('trug-care').includes('stirred'));
    expect(page.text('trug-care')).toContain('Not stirred yet');
    await page.press('Stirred just now');
    expect(page.written()).toMatchObject([{ kind: 'stirred' }]);
  });
  it('asks to be strained when its days are over', async () => {
    const page = await PageHarness.open(BatchPage, { batches: [sampleBatch([steeped, pitched()])], vessels: jars, today: 5, inputs: { id: BATCH_ID } });
    expect(page.text('trug-now .btn-main')).toBe('Strain it');
    expect(page.text('trug-now')).toContain('Its 4 days are over');
  });
});

function fail(): never {
  throw new Error('nothing is there');
}
