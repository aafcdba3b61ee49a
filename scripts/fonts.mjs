/**
 * Makes the faces of the signs that the main face lacks: out of each that has them, just those, so that a
 * page fetches some kilobytes for an arrow and not a whole face. Run again when a sign is added to fonts.css.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import subset from 'subset-font';
import { root } from './ready.mjs';

const range = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
const FACES = [
  {
    from: '@fontsource-variable/noto-sans/files/noto-sans-latin-wght-normal.woff2',
    to: 'signs-latin.woff2',
    signs: ['µ', '′', '″'],
  },
  {
    from: '@fontsource-variable/noto-sans/files/noto-sans-greek-wght-normal.woff2',
    to: 'signs-greek.woff2',
    signs: range(0x370, 0x3ff),
  },
  {
    from: '@fontsource/dejavu-sans/files/dejavu-sans-latin-400-normal.woff2',
    to: 'signs-math.woff2',
    signs: [
      ...range(0x215b, 0x215e),
      ...range(0x2190, 0x21ff),
      ...['√', '≈', '≠', '≡', '≢', '≣', '≤', '≥', '✓'],
    ],
  },
];

const folder = path.join(root, 'web/theme/fonts');
mkdirSync(folder, { recursive: true });
for (const { from, to, signs } of FACES) {
  const whole = readFileSync(path.join(root, 'node_modules', from));
  const part = await subset(whole, signs.join(''), { targetFormat: 'woff2' });
  writeFileSync(path.join(folder, to), part);
  console.log(`${to}: ${whole.length} → ${part.length} bytes`);
}
