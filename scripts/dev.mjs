/**
 * For developers: rebuilds and restarts the server on change, and serves the page with hot reload on port
 * 5173.
 */
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { bin, install, root, run } from './ready.mjs';

install();
if (!existsSync(path.join(root, 'dist/node/server/main.js')))
  run(process.execPath, [bin('typescript/bin/tsc'), '-p', 'tsconfig.build.json']);
const children = [
  [bin('typescript/bin/tsc'), '-p', 'tsconfig.build.json', '--watch', '--preserveWatchOutput'],
  ['--enable-source-maps', '--watch', path.join(root, 'dist/node/server/main.js'), '--demo'],
  [bin('vite/bin/vite.js')],
].map((args) => spawn(process.execPath, args, { cwd: root, stdio: 'inherit' }));
const stop = () => children.forEach((child) => child.kill());
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
