// Compresses what the build left in dist/client, once, so that the server never has to: next to each file of text a .gz
// and a .br.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXT = /\.(js|mjs|css|html|svg|json|txt|xml|webmanifest)$/;
const WORTH_IT = 1024;

function* filesBelow(path) {
  for (const name of readdirSync(path)) {
    const file = join(path, name);
    if (statSync(file).isDirectory()) yield* filesBelow(file);
    else yield file;
  }
}

for (const file of filesBelow('dist/client')) {
  if (!TEXT.test(file)) continue;
  const bytes = readFileSync(file);
  if (bytes.length < WORTH_IT) continue;
  writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(
    `${file}.br`,
    brotliCompressSync(bytes, {
      params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length },
    }),
  );
}
