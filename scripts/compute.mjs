import { spawn } from 'node:child_process';
import { ensurePackages } from './lib/packages.mjs';
import { packageProgram, ROOT } from './lib/run.mjs';

/** The core from the shell: reads a request from standard input and prints JSON, nothing else. */
await ensurePackages({ quiet: true });
const child = spawn(packageProgram('tsx'), [`${ROOT}/compute/main.ts`, ...process.argv.slice(2)], { stdio: 'inherit' });
child.on('exit', (code) => process.exit(code ?? 1));
