import { startTestServer, type TestServer } from '../testing/test-server.js';
import { pressedIn, roundOf } from './tasting-round.js';

const asked = {
  way: 'rank' as const,
  tasters: [
    { name: 'Wren', codes: [412, 733, 190], pressed: [] },
    { name: '<b>Ash</b>', codes: [733, 190, 412], pressed: [2] },
  ],
};

describe('a tasting on phones', () => {
  let trug: TestServer;
  beforeAll(async () => {
    trug = await startTestServer();
  });
  afterAll(async () => {
    await trug.remove();
  });
  const open = async (): Promise<string> => {
    const { status, body } = await trug.request('POST', '/api/tasting', asked);
    expect([status, body]).toEqual([
      200,
      { links: [expect.stringMatching(/^http:\/\/127\.0\.0\.1:\d+\/[\w-]{12}$/)], codes: asked.tasters.map((t) => t.codes), pressed: [[], [2]] },
    ]);
    return (body as { links: string[] }).links[0] ?? '';
  };
  const press = (link: string, glass: string): Promise<Response> =>
    fetch(link, { method: 'POST', headers: { 'content-type': 'application/x-www-form-urlencoded' }, body: `glass=${glass}` });

  it('is judged through its own door, which shows each taster their glasses and nothing else', async () => {
    const link = await open();
    const who = await (await fetch(link)).text();
    expect(who).toContain('&lt;b&gt;Ash&lt;/b&gt;');
    expect(who).not.toContain('412');
    const page = await press(`${link}/0`, '1');
    expect(page.url).toBe(`${link}/0`);
    expect(await page.text()).toMatch(/733<\/b>best[\s\S]*Take the last press back/);
    await press(`${link}/0`, 'back');
    await press(`${link}/0`, '2');
    // The last of three follows by itself.
    expect(await (await press(`${link}/0`, '0')).text()).toContain('Thank you');
    expect((await trug.request('GET', '/api/tasting')).body).toMatchObject({ pressed: [[2, 0, 1], [2]] });
    expect(await (await fetch(link)).text()).toContain('Wren has judged');
  });
  it('answers nobody without its link, and neither with the book nor for it', async () => {
    const link = await open();
    const door = new URL(link).origin;
    for (const path of ['/', '/api/batches', `/${'A'.repeat(12)}`, `/${'A'.repeat(12)}/0`, `${new URL(link).pathname}/7`, '/../package.json']) {
      const response = await fetch(`${door}${path}`);
      expect([path, response.status]).toEqual([path, 404]);
      expect(response.headers.get('content-security-policy')).toContain("default-src 'none'");
    }
    await press(`${door}/${'A'.repeat(12)}/0`, '1');
    expect((await press(`${link}/0`, 'x'.repeat(5000))).status).toBe(400);
    expect((await trug.request('GET', '/api/tasting')).body).toMatchObject({ pressed: [[], [2]] });
    expect((await fetch(`${trug.url}${new URL(link).pathname}`)).status).toBe(404);
  });
  it('has another link each time it is opened, and none once it is shut', async () => {
    const first = await open();
    const second = await open();
    expect(new URL(second).pathname).not.toBe(new URL(first).pathname);
    expect((await trug.request('DELETE', '/api/tasting')).status).toBe(204);
    expect((await trug.request('GET', '/api/tasting')).body).toBeNull();
    await expect(fetch(second)).rejects.toThrow();
  });
  it.each([
    ['nobody', { ...asked, tasters: [] }],
    ['one glass', { ...asked, tasters: [{ name: 'Wren', codes: [412], pressed: [] }] }],
    ['a glass that is none', { ...asked, tasters: [{ name: 'Wren', codes: [412, 7], pressed: [9] }] }],
  ])('is not opened to %s', async (_what, body) => {
    expect((await trug.request('POST', '/api/tasting', body)).status).toBe(400);
  });
});

describe('a press', () => {
  const round = roundOf(asked);
  it.each<[string, number, number | 'back']>([
    ['of a glass named before', 1, 2],
    ['of no glass', 0, 3],
    ['of no figure', 0, Number.NaN],
    ['of no taster', 5, 0],
  ])('%s changes nothing', (_what, taster, glass) => {
    expect(pressedIn(round, taster, glass)).toBe(round);
  });
  it('of one who has judged is only taken back', () => {
    const done = [0, 1].reduce((r, glass) => pressedIn(r, 0, glass), round);
    expect(done.tasters[0]).toMatchObject({ pressed: [0, 1, 2], isDone: true });
    expect(pressedIn(done, 0, 2)).toBe(done);
    expect(pressedIn(done, 0, 'back').tasters[0]).toMatchObject({ pressed: [0, 1], isDone: false });
  });
});
