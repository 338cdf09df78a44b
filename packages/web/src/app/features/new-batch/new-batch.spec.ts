import type { Filing } from '../../state/batches.actions';
import { VesselPageActions } from '../../state/vessels.actions';
import { PageHarness } from '../../../testing/page-harness';
import { NewBatch } from './new-batch';

const vessels = [
  { id: 'J', name: 'Back jar', kind: 'jar' as const, capacityL: 5 },
  { id: 'C', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 },
];
const open = (settings = {}): Promise<PageHarness> => PageHarness.open(NewBatch, { vessels, settings });

async function told(page: PageHarness): Promise<void> {
  await page.type('volume', '20 L');
  await page.type('sg', '1.048');
}
const begun = (page: PageHarness): Filing | undefined => page.filed()[0];

describe('NewBatch', () => {
  it('asks for what it still has to be told', async () => {
    const page = await open();
    expect(page.text('aside')).toContain('how much juice there is');
    await page.type('volume', '20 L');
    expect(page.text('aside')).toContain('its sugar');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Still to tell');
  });
  it('chooses the smallest free vessel with room for foam', async () => {
    const page = await open();
    await page.type('volume', '4 L');
    expect(page.value('vessel')).toBe('J');
    const big = await open();
    await told(big);
    expect(big.value('vessel')).toBe('C');
  });
  it('finds the sugar and begins with fill, sugar and yeast, in that order', async () => {
    const page = await open();
    await told(page);
    await page.type('abv', '7');
    expect(page.text('[data-test=sugar]')).toBe('158 g');
    await page.submit();
    expect(begun(page)?.entries.map((e) => e.kind)).toEqual(['filled', 'addition', 'pitched']);
    expect(begun(page)?.entries[0]?.payload).toMatchObject({ volumeL: 20, vessels: [{ vesselId: 'C', volumeL: 20 }] });
  });
  it('leaves the yeast for tomorrow when sulfite goes in', async () => {
    const page = await open();
    await told(page);
    await page.tick('input[name=clean][value=sulfite]');
    expect(page.text('aside')).toMatch(/\d+ tablets, crushed/);
    await page.submit();
    expect(begun(page)?.entries.map((e) => e.kind)).toEqual(['filled', 'addition']);
    expect(localStorage.getItem(`trug.draft.pitch:${begun(page)?.batches[0]?.id ?? ''}@nobody`)).toContain('crisp-cider');
  });
  it('leaves the yeast for later where something is done first', async () => {
    const page = await open();
    await told(page);
    await page.tick('input[name=clean][value=later]');
    await page.submit();
    expect(begun(page)?.entries.map((e) => e.kind)).toEqual(['filled']);
    expect(localStorage.getItem(`trug.draft.pitch:${begun(page)?.batches[0]?.id ?? ''}@nobody`)).toContain('crisp-cider');
  });
  it('stops at preserved juice', async () => {
    const page = await open();
    await told(page);
    await page.choose('preservative', 'sorbate-benzoate');
    expect(page.text()).toContain('will not ferment');
    await page.submit();
    expect(begun(page)).toBeUndefined();
  });
  it('will not overfill a vessel', async () => {
    const page = await open();
    await told(page);
    await page.choose('vessel', 'J');
    expect(page.text('.vessel')).toContain('It does not fit');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('do not fit into Back jar');
    expect(begun(page)).toBeUndefined();
  });
  it('takes gallons as the maker means them', async () => {
    const page = await open({ volume: 'imp-gal' });
    await page.type('volume', '1');
    await page.type('sg', '1.048');
    await page.submit();
    expect(begun(page)?.entries[0]?.payload).toMatchObject({ volumeL: 4.54609 });
  });
  it('says beside the field what it cannot read, and keeps it', async () => {
    const page = await open();
    await page.type('volume', 'a lot');
    expect(page.text('[name=volume] .field-error')).toContain('“a lot” is not a volume');
    expect(page.value('volume')).toBe('a lot');
  });
  it('adds a vessel on the way and fills it', async () => {
    const page = await PageHarness.open(NewBatch, {});
    await told(page);
    await page.choose('newKind', 'bucket');
    await page.type('newName', 'Old bucket');
    await page.press('Put it in the cupboard');
    expect(page.sent(VesselPageActions.vesselSent.type)[0]).toMatchObject({
      sent: { act: 'add', vessel: { name: 'Old bucket', kind: 'bucket', capacityL: 25 } },
    });
    expect(page.text('.vessel')).toContain('Room enough for foam');
  });
  it('names a batch by its number when the tape is left blank', async () => {
    const page = await open();
    await told(page);
    await page.submit();
    expect(begun(page)?.batches[0]?.name).toBe('Carton No. 1');
  });
});
