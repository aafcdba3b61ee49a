/** Writes the service worker of the built page, with the files of this very build put in. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** What the page needs to open anywhere; each face once, in the form that every browser takes. */
const OPENS = /\.(js|css|woff2|svg|webmanifest)$/;

/** @param source the worker, with a place for what the page is made of @param folder of the built page */
export function offlinePage(source, folder) {
  const built = readdirSync(folder, { recursive: true })
    .map((name) => name.split(path.sep).join('/'))
    .filter((name) => OPENS.test(name) && name !== 'sw.js');
  const files = ['/', ...built.map((name) => `/${name}`)].sort();
  // the names of files change with what is in them, but for the page's own
  const made = createHash('sha256')
    .update(files.join())
    .update(readFileSync(path.join(folder, 'index.html')));
  const page = JSON.stringify({ name: made.digest('hex').slice(0, 16), files });
  writeFileSync(path.join(folder, 'sw.js'), readFileSync(source, 'utf8').replace('__PAGE__', page));
}
