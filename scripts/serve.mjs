/** Starts the built server and stays with it: signals reach it, and its end is ours. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { build, install, root } from './ready.mjs';

export function serve(...args) {
  install();
  build();
  const server = spawn(
    process.execPath,
    ['--enable-source-maps', path.join(root, 'dist/node/server/main.js'), ...args],
    {
      cwd: root,
      stdio: 'inherit',
      env: { NODE_ENV: 'production', LOG_LEVEL: 'warn', ...process.env, VUELTA_WATCH_PARENT: '1' },
    },
  );
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
