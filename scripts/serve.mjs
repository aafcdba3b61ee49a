/** Starts the built server and stays with it: signals reach it, and its end is ours. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { build, install, root } from './ready.mjs';

function spawnBuilt(file, ...args) {
  return spawn(process.execPath, ['--enable-source-maps', path.join(root, 'dist/node', file), ...args], {
    cwd: root,
    stdio: 'inherit',
    env: { NODE_ENV: 'production', LOG_LEVEL: 'warn', ...process.env, VUELTA_WATCH_PARENT: '1' },
  });
}

/** The simulated devices by themselves. */
export function standIns() {
  install();
  build();
  const child = spawnBuilt('stand-ins/main.js');
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

export function serve(...args) {
  install();
  build();
  const server = spawnBuilt('server/main.js', ...args);
  // they end with this script; where their ports are taken the demo goes on without them
  if (args.includes('--demo')) spawnBuilt('stand-ins/main.js');
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
