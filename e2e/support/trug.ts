import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { flags } from '../../tools/chromium.json';

const ROOT = join(__dirname, '../..');
/** By which the demo's maker knows that it writes into this test's own Trug. */
const RUN = 'e2e';

/** The day of which the season is made once, before all flows. */
export const SEASON_DAY = '2026-11-23';
const seasonFolder = (today: string): string => join(ROOT, '.cache', 'e2e-season', today);

/** A machine that is busy with other tests may take its time; nothing is measured by this. */
export const WITHIN_MS = 90_000;

/** Pages behind whose back something was written: what they have may be older than what is kept. */
export const BEHIND = new WeakSet<Page>();

/** A screen to test at. */
export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844, hasTouch: true, isMobile: true };

/** A Trug of a test's own, with a browser on it and a clock that can be moved. */
export class TestTrug {
  private child: ChildProcess | null = null;
  private browser: Browser | null = null;
  private readonly dataDir = mkdtempSync(join(tmpdir(), 'trug-e2e-'));
  private readonly profile = mkdtempSync(join(tmpdir(), 'trug-e2e-profile-'));
  private port = 0;

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** Keeps the demo season of a day in a folder, for others to begin from. */
  static async makeSeason(today: string): Promise<void> {
    const trug = new TestTrug();
    trug.port = await freePort();
    await trug.serve(today);
    await finished(spawn(process.execPath, [join(ROOT, 'packages/server/dist/demo/main.js'), trug.url, RUN], { stdio: 'inherit' }));
    await trug.halt();
    rmSync(seasonFolder(today), { recursive: true, force: true });
    cpSync(trug.dataDir, seasonFolder(today), { recursive: true });
    await trug.stop();
  }

  /** Starts on a day, with the demo season of `SEASON_DAY` when asked. */
  async start(today: string, season = false): Promise<void> {
    this.port = await freePort();
    if (season) cpSync(seasonFolder(today), this.dataDir, { recursive: true });
    await this.serve(today);
    this.browser = await puppeteer.launch({
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium-headless-shell',
      args: [...flags, `--user-data-dir=${this.profile}`],
      headless: true,
    });
  }

  /** The same data on another day. */
  async moveClock(today: string): Promise<void> {
    await this.turn(today);
    // What a page has is of the day before: where it is opened next, the app begins anew.
    for (const page of (await this.browser?.pages()) ?? []) BEHIND.add(page);
  }

  /** A page that fails the test when the app throws or asks the network for anything but Trug. */
  async page(viewport: typeof DESK | typeof PHONE, motion: 'reduce' | 'no-preference' = 'reduce'): Promise<{ readonly page: Page; readonly faults: string[] }> {
    if (!this.browser) throw new Error('start first');
    const page = await this.browser.newPage();
    await page.setViewport(viewport);
    page.setDefaultTimeout(WITHIN_MS);
    // Bubbles that rise for ever cost a machine without a graphics card half its time.
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: motion }]);
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(String(error)));
    page.on('console', (message) => {
      // An error is named with where it came from.
      const told = message.args().flatMap((arg) => arg.remoteObject().description ?? []);
      if (message.type() === 'error') faults.push([message.text(), ...told].join(' '));
    });
    page.on('request', (request) => {
      if (!request.url().startsWith(this.url) && !request.url().startsWith('data:')) faults.push(`asked for ${request.url()}`);
    });
    return { page, faults };
  }

  /** Asks the server itself, beside any page. */
  async ask<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.url}${path}`)).json()) as T;
  }

  /** Sends something to the server itself, as another window or a script would. */
  async send(method: string, path: string, body: unknown): Promise<void> {
    const response = await fetch(`${this.url}${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
    if (!response.ok) throw new Error(`${method} ${path} was refused: ${await response.text()}`);
    for (const page of (await this.browser?.pages()) ?? []) BEHIND.add(page);
  }

  async stop(): Promise<void> {
    await this.browser?.close();
    await this.halt();
    rmSync(this.dataDir, { recursive: true, force: true });
    rmSync(this.profile, { recursive: true, force: true });
  }

  private async serve(today: string): Promise<void> {
    const env = {
      ...process.env,
      TRUG_PORT: String(this.port),
      TRUG_DATA: this.dataDir,
      TRUG_TODAY: today,
      TRUG_LOG: 'silent',
      TRUG_TASTING_HOST: '127.0.0.1',
      TRUG_RUN: RUN,
      TRUG_WEB: join(ROOT, 'packages/web/dist'),
    };
    this.child = spawn(process.execPath, [join(ROOT, 'packages/server/dist/main.js')], { env, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] });
    for (let i = 0; i < 600; i += 1) {
      if (
        await fetch(`${this.url}/api/clock`).then(
          (r) => r.ok,
          () => false,
        )
      )
        return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('Trug did not start');
  }

  /** Turns the clock of the server that is running, and waits until it has. */
  private async turn(today: string): Promise<void> {
    const { child } = this;
    if (!child) throw new Error('start first');
    await new Promise<void>((resolve) => {
      const heard = (message: unknown): void => {
        if (typeof message !== 'object' || message === null || !('today' in message)) return;
        child.off('message', heard);
        resolve();
      };
      child.on('message', heard);
      child.send({ today });
    });
  }

  private async halt(): Promise<void> {
    if (!this.child) return;
    const ended = finished(this.child);
    this.child.kill('SIGTERM');
    await ended;
    this.child = null;
  }
}

async function finished(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null) return;
  await new Promise((resolve) => child.once('exit', resolve));
}

async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}
