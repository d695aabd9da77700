// Runs Jest with native modules switched on; everything after the script's name goes to Jest.
import { spawn } from 'node:child_process';
import { createRequire } from 'node:module';
import { findChromium } from './lib/chromium.mjs';
import { ensureServer } from './lib/server.mjs';

// Tests that drive a whole server drive the one that is run.
await ensureServer();

const jest = createRequire(import.meta.url).resolve('jest/bin/jest');
const child = spawn(process.execPath, ['--experimental-vm-modules', '--no-warnings', jest, ...process.argv.slice(2)], {
  stdio: 'inherit',
  env: { ...process.env, CHROMIUM: process.env.CHROMIUM ?? findChromium() ?? '' },
});
child.on('exit', (code) => process.exit(code ?? 1));
