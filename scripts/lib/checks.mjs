import { inCradle } from './paths.mjs';

const borders = (config, ...folders) => ['npx', 'depcruise', '--config', config, '--output-type', 'err', ...folders];

/** What is checked without being run: a name, and the command that ends well where it holds; the long ones first. */
export const checks = [
  ['lint', 'npx', 'eslint', '--cache', '--cache-location', inCradle('eslint'), '.'],
  ['types', process.execPath, 'scripts/types.mjs'],
  [
    'format',
    'npx',
    'prettier',
    '--check',
    '--cache',
    '--cache-location',
    inCradle('prettier'),
    '--log-level',
    'warn',
    '.',
  ],
  ['borders', ...borders('.dependency-cruiser.cjs', 'core/src', 'server/src', 'web/src')],
  ['borders between folders', ...borders('.dependency-cruiser.folders.cjs', 'core/src')],
];
