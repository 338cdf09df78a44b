import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { MalolacticPage } from './malolactic-page';

const open = (...more: ReturnType<typeof finishedLog>): Promise<PageHarness> =>
  PageHarness.open(MalolacticPage, { batches: [sampleBatch([...finishedLog(), ...more])], today: 60, inputs: { id: BATCH_ID } });

describe('the malolactic change', () => {
  it('shows what it would do, and is filed as begun', async () => {
    const page = await open();
    expect(page.text('aside')).toMatch(/Acid g\/L as malic ?\d\.\d ?\d\.\d/);
    await page.press('Write it down');
    expect(page.written()[0]).toMatchObject({ kind: 'malolactic', payload: { turnedFraction: 0, wanted: true, bacteria: true, done: false } });
  });
  it('reckons how far it has come from the acid measured', async () => {
    const page = await open();
    await page.tick('input[name="is"][value="over"]');
    await page.tick('input[name="wanted"][value="no"]');
    expect(page.text()).toContain('To stop it: sulfite');
    const now = Number(/Acid g\/L as malic ?(\d\.\d)/.exec(page.text('aside'))?.[1]);
    await page.type('ta', String(now + 3));
    await page.press('Write it down');
    expect(page.text()).toContain('only takes acid away');
    await page.type('ta', String(now - 1));
    expect(page.text()).toMatch(/About \d\d % of its malic acid has turned/);
    await page.press('Write it down');
    expect(page.written()[0]).toMatchObject({ kind: 'malolactic', payload: { wanted: false, bacteria: false, done: true } });
  });
  it('is refused where there is sorbate', async () => {
    const page = await open(sampleEntry('stabilised', 40, { so2MgPerL: 50, sorbateMgPerL: 200 }));
    await page.press('Write it down');
    expect(page.text()).toContain('geraniums');
    expect(page.written()).toEqual([]);
  });
});
