import { MatMenuHarness } from '@angular/material/menu/testing';
import { SettingsPageActions } from '../../state/settings.actions';
import { dayAt, filled, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { until } from '../../../testing/until';
import { JobList } from './job-list';

const jar = (id: string): { id: string; name: string; kind: 'jar'; capacityL: number; cleanedAt: null } => ({
  id,
  name: `Jar ${id}`,
  kind: 'jar',
  capacityL: 7,
  cleanedAt: null,
});
const working = sampleBatch([filled(), pitched(), reading(7, 1.012), reading(12, 1.005)]);
/** Emptied three jars. */
const poured = (): ReturnType<typeof sampleBatch> => {
  const vessels = ['A', 'B', 'C'].map((vesselId) => ({ vesselId, volumeL: 6.5 }));
  const fill = filled();
  return sampleBatch([
    fill.kind === 'filled' ? { ...fill, payload: { ...fill.payload, vessels } } : fill,
    pitched(),
    sampleEntry('discarded', 5, { volumeL: 20, why: 'poured away' }),
  ]);
};

describe('the list of jobs', () => {
  const putOff = (page: PageHarness): object[] =>
    page.sent<ReturnType<typeof SettingsPageActions.settingsChanged>>(SettingsPageActions.settingsChanged.type).flatMap(({ sent }) => sent.putOff);
  it('puts one off from its menu, and shows it on its new day', async () => {
    const page = await PageHarness.open(JobList, { batches: [working], today: 26 });
    await until(() => page.has('trug-job-menu'));
    expect(page.text('section')).toContain('Overdue');
    const menu = await page.harness(MatMenuHarness);
    await menu.open();
    expect(await Promise.all((await menu.getItems()).map((item) => item.getText()))).toEqual([
      'Put off until tomorrow',
      'Put off for 3 days',
      'Put off for a week',
      'Put off for a month',
      'Put off for half a year',
      'Not for me',
    ]);
    await menu.clickItem({ text: 'Put off for a week' });
    expect(putOff(page)).toEqual([{ jobId: expect.stringContaining(':read:') as string, until: dayAt(33).slice(0, 10) }]);
    expect(page.text('section')).toContain('This week');
    expect(page.text('section')).toContain('Put off until');
  });
  it('leaves one out that is not for this maker', async () => {
    const page = await PageHarness.open(JobList, { batches: [working], today: 26 });
    await until(() => page.has('trug-job-menu'));
    await (await page.harness(MatMenuHarness)).clickItem({ text: 'Not for me' });
    expect(page.text()).toContain('Nothing is due');
  });
  it('folds vessels to clean into one row that names them', async () => {
    const page = await PageHarness.open(JobList, { batches: [poured()], vessels: ['A', 'B', 'C'].map(jar), today: 9 });
    expect(page.count('li')).toBe(1);
    expect(page.text('b')).toBe('Clean 3 vessels');
    // Emptied on other days than one another, maybe: no day is told of all.
    expect(page.text('.detail')).toMatch(/^Jar A, Jar B, Jar C\. Rinse each, brush/);
  });
});
