/**
 * Lays a compressed copy beside each file of the page that gains by it, as brotli and as gzip, so that the
 * server sends one as it is.
 */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const GAINS = /\.(js|css|html|svg|json|ttf)$/;
/** Smaller ones fit one packet either way. */
const LEAST = 1024;

export function compress(folder) {
  for (const name of readdirSync(folder, { recursive: true })) {
    const file = path.join(folder, name);
    if (!GAINS.test(file) || statSync(file).size < LEAST) continue;
    const plain = readFileSync(file);
    const params = {
      [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
      [constants.BROTLI_PARAM_SIZE_HINT]: plain.length,
    };
    writeFileSync(`${file}.br`, brotliCompressSync(plain, { params }));
    writeFileSync(`${file}.gz`, gzipSync(plain, { level: 9 }));
  }
}
