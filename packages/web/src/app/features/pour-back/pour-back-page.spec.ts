import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { PourBackPage } from './pour-back-page';

const bottled = sampleEntry('bottled', 28, {
  ...{
    bottles: [
      { kindId: 'crown-500', count: 30 },
      { kindId: 'plastic-500', count: 1 },
    ],
    testBottle: true,
    lossL: 4.5,
  },
  ...{ crate: 'Lot', capColour: 'rust' as const, hottestC: 24, acknowledged: [] },
});
const log = [...testedLog(), bottled];
const vessels = [{ id: 'C', name: 'Round glass', kind: 'carboy' as const, capacityL: 19 }];
const open = (crateId = bottled.id): Promise<PageHarness> =>
  PageHarness.open(PourBackPage, { batches: [sampleBatch(log)], vessels, today: 60, inputs: { id: BATCH_ID, crateId } });

describe('pouring bottles back', () => {
  it('empties all of the crate unless told, into a vessel with room for foam, and proves nothing', async () => {
    const page = await open();
    expect(page.text('aside')).toContain('proves nothing any more');
    await page.change('volume', '14.2 L');
    await page.submit();
    const [back] = page.written();
    expect(back).toMatchObject({
      kind: 'poured-back',
      payload: {
        crateId: bottled.id,
        bottles: [
          { kindId: 'crown-500', count: 30 },
          { kindId: 'plastic-500', count: 1 },
        ],
        vessels: [{ vesselId: 'C', volumeL: expect.closeTo(14.2, 9) }],
      },
    });
    const state = replay([...log, ...page.written()]);
    expect([state.issues, state.stage, state.tested]).toEqual([[], 'rest', null]);
    expect(page.address()).toBe(`/batch/${BATCH_ID}`);
  });
  it('takes no more than are left, and asks for room', async () => {
    const page = await open();
    await page.change('back-crown-500', '40');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('only 30 bottles');
    await page.change('back-crown-500', '4');
    await page.change('back-plastic-500', '0');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Choose vessels that hold all of it');
    await page.tickBox('Round glass');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ bottles: [{ kindId: 'crown-500', count: 4 }], vessels: [{ vesselId: 'C', volumeL: 2 }] });
  });
  it('has nothing to say of a crate that is empty or not there', async () => {
    expect((await open('01E00000000000000000000000')).text()).toContain('No bottle is left in that crate');
  });
});
