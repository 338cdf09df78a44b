import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { API_PATHS } from '@trug/contract';

const WEB = join(__dirname, '../../../web/src');
const isName = (name: string): name is keyof typeof API_PATHS => name in API_PATHS;

it('the page asks for what the app opens with, and for nothing else', () => {
  const html = readFileSync(join(WEB, 'index.html'), 'utf8');
  const preloaded = [...html.matchAll(/rel="preload" href="([^"]+)" as="fetch" crossorigin/g)].map(([, path]) => path);
  const load = /load\(\)[^]*?\n {2}\}/.exec(readFileSync(join(WEB, 'app/state/trug-api.ts'), 'utf8'))?.[0] ?? '';
  const asked = [...load.matchAll(/API_PATHS\.(\w+)/g)].flatMap(([, name]) => (name !== undefined && isName(name) ? [API_PATHS[name]] : []));
  // Once, for all of it.
  expect(asked).toEqual([API_PATHS.start]);
  expect(preloaded).toEqual(asked);
});
