import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import pino from 'pino';
import { startServer, type RunningServer } from './start-server.js';

const SCRIPT = `console.log(${JSON.stringify('x'.repeat(5000))})`;
const webDir = mkdtempSync(join(tmpdir(), 'trug-web-'));
const config = { host: '127.0.0.1', tastingHost: '127.0.0.1', port: 0, dataDir: null, today: '2026-11-23', webDir, logLevel: 'silent' };
let server: RunningServer;
beforeAll(async () => {
  writeFileSync(join(webDir, 'index.html'), '<h1>Trug</h1>');
  writeFileSync(join(webDir, 'main-ABCDEFGH.js'), SCRIPT);
  writeFileSync(join(webDir, 'main-ABCDEFGH.js.br'), brotliCompressSync(SCRIPT));
  writeFileSync(join(webDir, 'main-ABCDEFGH.js.gz'), gzipSync(SCRIPT));
  writeFileSync(join(webDir, 'preloads.json'), JSON.stringify({ shelf: ['shelf-ABCDEFGH.js'] }));
  server = await startServer(config, pino({ level: 'silent' }));
});
afterAll(async () => {
  await server.stop();
  rmSync(webDir, { recursive: true, force: true });
});

const get = (path: string): Promise<Response> => fetch(`${server.url}${path}`);

describe('serving the web app', () => {
  it.each(['/', '/shelf', '/batch/01J/read'])('answers %s with the app, never kept', async (path) => {
    const response = await get(path);
    expect(await response.text()).toBe('<h1>Trug</h1>');
    expect(response.headers.get('cache-control')).toBe('no-cache');
  });
  it('names what the shelf needs where the shelf is asked for', async () => {
    for (const path of ['/', '/shelf']) expect((await get(path)).headers.get('link')).toBe('</shelf-ABCDEFGH.js>; rel=modulepreload');
    expect((await get('/batch/01J/read')).headers.get('link')).toBeNull();
  });
  it('lets a built file be kept for good, and sends it as the build has packed it', async () => {
    for (const [takes, sent] of [
      ['gzip, deflate, br', 'br'],
      ['gzip, deflate', 'gzip'],
      ['identity', null],
    ] as const) {
      const response = await fetch(`${server.url}/main-ABCDEFGH.js`, { headers: { 'accept-encoding': takes } });
      expect(response.headers.get('cache-control')).toContain('immutable');
      expect(response.headers.get('content-encoding')).toBe(sent);
      expect(response.headers.get('content-type')).toContain('javascript');
      expect(await response.text()).toBe(SCRIPT);
    }
  });
  it('keeps for good whatever carries a hash, the builder’s or that of joined scripts, and nothing else', async () => {
    for (const [file, kept] of [
      ['chunk-0fe1d2c3.js', true],
      ['worker-ABCD1234.js', true],
      ['told.json', false],
      ['wild-blossom.js', false],
    ] as const) {
      writeFileSync(join(webDir, file), SCRIPT);
      expect([file, (await get(`/${file}`)).headers.get('cache-control')?.includes('immutable')]).toEqual([file, kept]);
    }
  });
  it('answers a missing file and an unknown API path as missing, not with the app', async () => {
    expect((await get('/gone.js')).status).toBe(404);
    expect((await get('/api/gone')).status).toBe(404);
    expect((await get('/../package.json')).status).toBe(404);
  });
  it('will not start on a web app that is not built, or a port in use', async () => {
    await expect(startServer({ ...config, webDir: join(webDir, 'nowhere') }, pino({ level: 'silent' }))).rejects.toThrow(/not built/);
    const port = Number(new URL(server.url).port);
    await expect(startServer({ ...config, port }, pino({ level: 'silent' }))).rejects.toThrow(/already answers on port/);
  });
});
