import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** The rules of the house can fail: a page written wrong on purpose is caught by each. */
const root = new URL('..', import.meta.url).pathname;

const folder = mkdtempSync(join(root, '.cradle', 'lint-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const CORE = 'core/src/errors/index.ts';
const WEB = 'web/src/app/Missing.tsx';

/** By the rules as they stand, with the types of these two pages alone: those of the whole house take half a minute. */
const PROGRAM = `
import { ESLint } from 'eslint';
let given = '';
for await (const part of process.stdin) given += part;
const { project, pages } = JSON.parse(given);
const overrideConfig = { files: ['**/*.{ts,tsx}'], languageOptions: { parserOptions: { project: [project] } } };
const eslint = new ESLint({ overrideConfig });
const found = [];
for (const { path, text } of pages) {
  const [{ messages }] = await eslint.lintText(text, { filePath: path });
  found.push(messages.map(({ line, ruleId }) => line + ' ' + ruleId));
}
console.log(JSON.stringify(found));
`;

const lines = (...text: string[]) => [...text, ''].join('\n');
/** Pages written wrong on purpose, and one as it should be. */
const pages = {
  every: {
    path: CORE,
    text: lines(
      'export interface Thing {',
      '  id: string;',
      '}',
      '/** Joins. */',
      'export const join = (a: string, b: string, c: string, d: string) => [a, b, c, d].find((x) => x !== a)!;',
      'export function bare(): void {}',
    ),
  },
  interface: {
    path: WEB,
    text: lines(
      "import { useEffect, useState } from 'react';",
      '/** A page. */',
      'export function Page({ id, open }: { id: string; open: boolean }) {',
      "  const [name, setName] = useState('');",
      '  if (!open) useEffect(() => undefined);',
      '  useEffect(() => fetch(id).then(() => setName(name + id)) as never, []);',
      '  return <img src={id} />;',
      '}',
    ),
  },
  typed: {
    path: CORE,
    text: lines('/** Said. */', 'export const said = (of: { litres: number }) => `${of}`;'),
  },
  good: { path: CORE, text: lines('/** One. */', 'export const one = 1;') },
};
let found: string[][] = [];
const faults = (page: keyof typeof pages) => found[Object.keys(pages).indexOf(page)];

beforeAll(() => {
  const project = join(folder, 'tsconfig.json');
  const files = [join(root, CORE), join(root, WEB)];
  writeFileSync(
    project,
    JSON.stringify({ extends: join(root, 'web/tsconfig.test.json'), include: [], exclude: [], files }),
  );
  const { stdout, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', PROGRAM], {
    cwd: root,
    input: JSON.stringify({ project, pages: Object.values(pages) }),
    encoding: 'utf8',
    // Else the parser with types reads what is on the disk under that name.
    env: { ...process.env, NODE_OPTIONS: '', TSESTREE_SINGLE_RUN: 'false' },
  });
  if (stdout === '') throw new Error(stderr);
  found = JSON.parse(stdout) as string[][];
});

describe('the rules', () => {
  test('of every page: documents, parameters, what is not found', () => {
    expect(faults('every')).toEqual([
      '1 jsdoc/require-jsdoc',
      '2 jsdoc/require-jsdoc',
      '5 @typescript-eslint/max-params',
      '5 no-restricted-syntax',
      '6 jsdoc/require-jsdoc',
    ]);
  });

  test('of the interface: hooks, and what an eye or a hand cannot use', () => {
    expect(faults('interface')).toEqual(
      expect.arrayContaining(['5 react-hooks/rules-of-hooks', '6 react-hooks/exhaustive-deps', '7 jsx-a11y/alt-text']),
    );
  });

  test('by its type: what is no text does not go into a template', () => {
    expect(faults('typed')).toEqual(['2 @typescript-eslint/restrict-template-expressions']);
  });

  test('a page as it should be has none', () => {
    expect(faults('good')).toEqual([]);
  });
});
