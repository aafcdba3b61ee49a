/**
 * Bundles the tests that look at one folder of core, so that Jest loads each as one file: loading some two
 * hundred modules for every mutant took most of the time. Run by Stryker in its sandbox, after it has put the
 * mutants into the sources.
 */
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'rolldown';
import { testsOf } from './folders.mjs';

const out = path.resolve('.mutant-tests');
rmSync(out, { recursive: true, force: true });
mkdirSync(out);

/**
 * A module that asks where it stands (for a sample beside it) is told where it stood before it was bundled.
 */
const ownPlace = {
  name: 'own-place',
  transform(code, id) {
    return code.includes('import.meta.url')
      ? code.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(id).href))
      : null;
  },
};

for (const test of testsOf(process.env.MUTANT_FOLDER ?? '')) {
  await build({
    input: test,
    platform: 'node',
    external: ['@jest/globals'],
    plugins: [ownPlace],
    logLevel: 'silent',
    output: {
      file: path.join(out, `${test.replaceAll('/', '__').replace(/\.ts$/, '')}.mjs`),
      format: 'es',
      codeSplitting: false,
      minify: false,
    },
  });
}
