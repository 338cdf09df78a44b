import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import { startServer, type RunningServer } from '../app/start-server.js';

/** A Trug of a test's own: a free port, a throw-away folder, the day held still. */
export interface TestServer extends RunningServer {
  readonly dataDir: string;
  readonly request: (method: string, path: string, body?: unknown) => Promise<{ readonly status: number; readonly body: unknown; readonly headers: Headers }>;
  readonly remove: () => Promise<void>;
}

export const TODAY = '2026-11-23';

/** Starts one. */
export async function startTestServer(): Promise<TestServer> {
  const dataDir = mkdtempSync(join(tmpdir(), 'trug-test-'));
  const running = await startServer(
    { host: '127.0.0.1', port: 0, tastingHost: '127.0.0.1', dataDir, today: TODAY, webDir: undefined, logLevel: 'silent', floodWindowMs: 600_000 },
    pino({ level: 'silent' }),
  );
  return {
    ...running,
    dataDir,
    request: async (method, path, body) => {
      const text = typeof body === 'string' ? body : JSON.stringify(body);
      const response = await fetch(`${running.url}${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body === undefined ? {} : { body: text }),
      });
      const answer = await response.text();
      return { status: response.status, body: answer === '' ? null : (JSON.parse(answer) as unknown), headers: response.headers };
    },
    remove: async () => {
      await running.stop();
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
}
