/** Puts beside each script and style of the built app the same compressed, so that it is sent so. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { ROOT } from './setup.mjs';

const FOLDER = path.join(ROOT, 'dist', '_expo');
const SMALLEST = 1024;

for (const name of readdirSync(FOLDER, { recursive: true })) {
  const file = path.join(FOLDER, name);
  if (!/\.(?:js|css|json)$/.test(name) || statSync(file).size < SMALLEST) continue;
  const text = readFileSync(file);
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: 10,
    [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
  };
  writeFileSync(`${file}.br`, brotliCompressSync(text, { params }));
  writeFileSync(`${file}.gz`, gzipSync(text, { level: 9 }));
}
