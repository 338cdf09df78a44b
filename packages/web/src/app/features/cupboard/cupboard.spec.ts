import { VesselPageActions } from '../../state/vessels.actions';
import type { PlaceDto } from '@trug/contract/plain';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { until } from '../../../testing/until';
import { MovePage } from '../note/move-page';
import { JobList } from '../shelf/job-list';
import { Cupboard } from './cupboard';
import { PlaceList } from './place-list';

const shed: PlaceDto = { id: '01J0000000000000000000SHED', version: 2, name: 'the shed', monthlyC: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 4] };
const VESSEL = { id: '01J0000000000000000000000V', name: 'Jar 1', kind: 'jar' as const, capacityL: 5 };
const emptied = [
  sampleEntry('filled', 0, {
    ...(filled().payload as Extract<ReturnType<typeof filled>, { kind: 'filled' }>['payload']),
    vessels: [{ vesselId: VESSEL.id, volumeL: 5 }],
  }),
  sampleEntry('discarded', 9, { volumeL: 20, why: 'vinegar' }),
];

async function soon<T>(what: () => T | undefined): Promise<T | undefined> {
  await until(() => what() !== undefined);
  await new Promise((resolve) => setTimeout(resolve, 30));
  return what();
}

describe('an emptied vessel', () => {
  it('is dirty until it is said to be clean', async () => {
    const page = await PageHarness.open(Cupboard, { vessels: [VESSEL], batches: [sampleBatch(emptied)], today: 12 });
    expect(page.text()).toContain('dirty');
    expect(page.text()).toContain('burn eyes and skin');
    await page.press('Cleaned: Jar 1');
    expect(page.sent(VesselPageActions.vesselSent.type)[0]).toMatchObject({ sent: { act: 'clean', vessel: { id: VESSEL.id } } });
    expect(page.text()).not.toContain('dirty');
  });
  it('is a job on the shelf', async () => {
    const page = await PageHarness.open(JobList, { vessels: [VESSEL], batches: [sampleBatch(emptied)], today: 12 });
    expect(page.text()).toContain('Clean Jar 1');
  });
});

describe('places', () => {
  const saved = (page: PageHarness): PlaceDto | undefined => page.saved('places').at(-1);
  it('begin with a usual year', async () => {
    const page = await PageHarness.open(PlaceList);
    await page.press('Add a place');
    await page.choose('placeLike', 'cellar');
    await page.type('placeName', 'the vault');
    await page.press('Put it in');
    expect(await soon(() => saved(page))).toMatchObject({ name: 'the vault', version: 0, monthlyC: [8, 8, 8, 9, 11, 13, 15, 15, 14, 12, 10, 9] });
  });
  it('are set month by month, in any unit, and what cannot be read is not filed', async () => {
    const page = await PageHarness.open(PlaceList, { places: [shed] });
    await page.type('month-0', 'cold');
    await page.press('Write it down');
    expect(page.text()).toContain('“cold” for Jan is no temperature');
    await page.type('month-0', '41 F');
    await page.press('Write it down');
    expect((await soon(() => saved(page)))?.monthlyC[0]).toBe(5);
  });
  it('say how warm it should be when a batch is moved there', async () => {
    const page = await PageHarness.open(MovePage, { batches: [sampleBatch([filled(), pitched()])], places: [shed], today: 3, inputs: { id: BATCH_ID } });
    await page.type('place', 'the shed');
    await page.press('Write it down');
    const act = page.written()[0];
    expect(act).toMatchObject({ kind: 'moved', payload: { place: 'the shed' } });
    expect(act?.kind === 'moved' && act.payload.tempC).toBeGreaterThan(5);
  });
});
