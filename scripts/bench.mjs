import path from 'node:path';
import { bin, install, root, run } from './ready.mjs';
install();
run(process.execPath, [bin('typescript/bin/tsc'), '-p', 'tsconfig.build.json']);
run(process.execPath, [path.join(root, 'dist/node/bench/main.js')]);
