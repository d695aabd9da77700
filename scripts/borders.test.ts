import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** The rule about imports can fail: a house built wrong on purpose is caught at each border. */
const root = new URL('..', import.meta.url).pathname;
let house: string;

beforeAll(() => {
  mkdirSync(join(root, '.cradle'), { recursive: true });
  house = mkdtempSync(join(root, '.cradle', 'house-'));
  const write = (path: string, text: string) => {
    mkdirSync(join(house, path, '..'), { recursive: true });
    writeFileSync(join(house, path), text);
  };
  write(
    'tsconfig.json',
    '{ "compilerOptions": { "module": "preserve", "moduleResolution": "bundler", "allowImportingTsExtensions": true, "noEmit": true } }',
  );
  write('core/src/clock.ts', "import { readFileSync } from 'node:fs';\nexport const now = () => readFileSync('x');\n");
  write('core/src/up.ts', "import { page } from '../../web/src/page.ts';\nexport const up = page;\n");
  write('core/src/a.ts', "import { b } from './b.ts';\nexport const a = () => b;\n");
  write('core/src/b.ts', "import { a } from './a.ts';\nexport const b = () => a;\n");
  write('core/src/good.ts', 'export const good = 1;\n');
  write('core/src/kernel/index.ts', "import type { Thing } from '../things/index.ts';\nexport type Heard = Thing;\n");
  write('core/src/things/index.ts', "export type { Thing } from './thing.ts';\n");
  write(
    'core/src/things/thing.ts',
    "import type { Heard } from '../kernel/index.ts';\nexport interface Thing {\n  heard: Heard[];\n}\n",
  );
  write('core/src/things/inner.ts', "import { state } from '../job/index.ts';\nexport const inner = state;\n");
  write('core/src/things/inner.test.ts', "import { deep } from '../job/deep.ts';\nexport const test = deep;\n");
  write('core/src/job/index.ts', "import { inner } from '../things/inner.ts';\nexport const state = () => inner;\n");
  write('core/src/job/deep.ts', 'export const deep = 1;\n');
  write('web/src/page.ts', "import { table } from '../../server/src/table.ts';\nexport const page = table;\n");
  write('server/src/table.ts', "import { view } from '../../web/src/view.ts';\nexport const table = view;\n");
  write(
    'server/src/db/migrations/001-first.ts',
    "import { table } from '../../table.ts';\nexport const up = () => table;\n",
  );
  write('web/src/view.ts', "import { good } from '../../core/src/good.ts';\nexport const view = good;\n");
});
afterAll(() => rmSync(house, { recursive: true, force: true }));

const broken = (config: string, ...folders: string[]): string[] => {
  const bin = join(root, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
  const run = spawnSync(process.execPath, [bin, '--config', join(root, config), '--output-type', 'json', ...folders], {
    cwd: house,
    encoding: 'utf8',
  });
  const { summary } = JSON.parse(run.stdout) as { summary: { violations: { rule: { name: string } }[] } };
  return [...new Set(summary.violations.map((v) => v.rule.name))].sort();
};

test('each border is held', () => {
  expect(broken('.dependency-cruiser.cjs', 'core/src', 'server/src', 'web/src')).toEqual([
    'by-the-front-door',
    'core-by-its-face',
    'core-knows-no-machine',
    'core-stands-alone',
    'kernel-knows-no-subject',
    'migrations-stand-alone',
    'no-circles',
    'server-not-web',
    'subjects-below-the-job',
    'tests-by-the-front-door',
    'web-not-server',
  ]);
});

test('folders in a circle are caught, also where only types go round', () => {
  expect(broken('.dependency-cruiser.folders.cjs', 'core/src/kernel', 'core/src/things')).toEqual([
    'no-circles-of-folders',
  ]);
});
