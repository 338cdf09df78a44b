// The web app's files are packed once, as tightly as can be, and sent so: a small machine packs them for no page.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const DIST = process.argv[2] ?? 'dist';
/** Below this a packet of the network holds it anyway, bytes. */
const SMALL = 1000;

for (const file of readdirSync(DIST, { recursive: true })) {
  if (!/\.(?:js|css|html|svg|json)$/.test(file)) continue;
  const plain = readFileSync(join(DIST, file));
  if (plain.length < SMALL) continue;
  writeFileSync(join(DIST, `${file}.br`), brotliCompressSync(plain));
  // A browser takes nothing tighter from another machine without a certificate.
  writeFileSync(join(DIST, `${file}.gz`), gzipSync(plain, { level: constants.Z_BEST_COMPRESSION }));
}
