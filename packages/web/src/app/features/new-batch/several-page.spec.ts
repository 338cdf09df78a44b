import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { SeveralPage } from './several-page';

const open = (): Promise<PageHarness> => PageHarness.open(SeveralPage, { today: 1, settings: { mass: 'imperial' } });

it('begins every juice with every yeast, each in a jar of its own, with what was weighed', async () => {
  const page = await open();
  expect(page.text('aside')).toContain('No jars yet');
  await page.submit();
  expect(page.text('[role=alert]')).toContain('Write the juices');
  await page.type('juices', 'Russet row 1.052\nCarton 1.046');
  await page.type('volume', '1 L');
  await page.choose('yeast2', 'english-ale');
  await page.type('mass2', '0.4');
  expect(page.text('aside h2')).toBe('4 jars');
  expect(page.texts('.names .hand')).toEqual(['Russet row × Crisp cider', 'Russet row × English-ale', 'Carton × Crisp cider', 'Carton × English-ale']);
  await page.submit();
  const [filing] = page.filed();
  expect(filing?.batches.map((b) => b.name)).toHaveLength(4);
  const second = (filing?.entries ?? []).filter((e) => e.batchId === filing?.batches[1]?.id);
  expect(second).toMatchObject([
    { kind: 'filled', payload: { source: 'Russet row', volumeL: 1, vessels: [{ volumeL: 1 }] } },
    { kind: 'pitched', payload: { yeastId: 'english-ale', massG: 0.4 } },
  ]);
  expect(replay(second).issues).toEqual([]);
  const jars = new Set((filing?.entries ?? []).flatMap((e) => (e.kind === 'filled' ? e.payload.vessels.map((v) => v.vesselId) : [])));
  expect(jars.size).toBe(4);
});
it('says beneath the lines which cannot be used, and begins none of them', async () => {
  const page = await open();
  await page.type('juices', 'Russet row 1.052\nCarton');
  await page.type('volume', '1 L');
  expect(page.text('.stops')).toContain('“Carton”: Write its name and then its gravity');
  await page.submit();
  expect(page.text('[role=alert]')).toContain('it says why beneath them');
  expect(page.filed()).toEqual([]);
});
