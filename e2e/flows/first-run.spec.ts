import { connect, type Socket } from 'node:net';
import { Bench } from '../pages/bench';
import { DESK, PHONE, TestTrug } from '../support/trug';

describe('a first look', () => {
  let trug: TestTrug;
  beforeAll(async () => {
    trug = new TestTrug();
    await trug.start('2026-11-23');
  });
  afterAll(() => trug.stop());

  it.each([
    ['at a desk', DESK],
    ['on a phone', PHONE],
  ])('shows a made-up season and leaves the empty shelf as it was, %s', async (_where, screen) => {
    const { page, faults } = await trug.page(screen);
    const bench = new Bench(page, trug.url);
    await bench.open('/shelf');
    await bench.pressDoor('Show me a season');
    await bench.says(/On the shelf/);
    expect(page.url().startsWith(trug.url)).toBe(false);
    await bench.says(/made-up season to look around in/, 'body');
    expect(await trug.ask('/api/batches')).toEqual([]);

    await bench.press('Leave it');
    await bench.says(/An empty shelf/);
    expect(page.url().startsWith(trug.url)).toBe(true);
    // The season answers on a port of its own, on this machine.
    expect(faults.filter((fault) => !/^asked for http:\/\/localhost:/.test(fault))).toEqual([]);
  });

  it('shows another season at once, while the one that was left is still held up by a slow window', async () => {
    const first = await openSeason(trug);
    const slow = await halfAsk(first);
    await fetch(`${first}/api/season`, { method: 'DELETE' });
    const second = await openSeason(trug);
    expect(second).not.toBe(first);
    expect((await fetch(`${second}/api/batches`)).ok).toBe(true);
    slow.destroy();
    await fetch(`${second}/api/season`, { method: 'DELETE' });
  });
});

async function openSeason(trug: TestTrug): Promise<string> {
  const response = await fetch(`${trug.url}/api/season`, { method: 'POST' });
  const { url } = (await response.json()) as { url: string };
  return url;
}

/** Begins to ask and never ends: whoever stops waits for it a while. */
async function halfAsk(url: string): Promise<Socket> {
  const socket = connect(Number(new URL(url).port), 'localhost');
  socket.on('error', () => undefined);
  await new Promise((resolve) => {
    socket.write('POST /api/batches HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{', resolve);
  });
  return socket;
}
