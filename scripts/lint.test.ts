import { spawnSync } from 'node:child_process';

/** The rules of the house can fail: a page written wrong on purpose is caught by each. */
const root = new URL('..', import.meta.url).pathname;

function faults(path: string, text: string): string[] {
  const eslint = [
    'node_modules/eslint/bin/eslint.js',
    '--no-cache',
    '--format',
    'json',
    '--stdin',
    '--stdin-filename',
    path,
  ];
  const { stdout } = spawnSync(process.execPath, eslint, {
    cwd: root,
    input: text,
    encoding: 'utf8',
    // Else the parser with types reads what is on the disk under that name.
    env: { ...process.env, TSESTREE_SINGLE_RUN: 'false' },
  });
  const [page] = JSON.parse(stdout) as { messages: { ruleId: string; line: number }[] }[];
  return page?.messages.map((m) => `${m.line} ${m.ruleId}`) ?? ['nothing was read'];
}

describe('the rules', () => {
  test('of every page: documents, parameters, what is not found', () => {
    const text = [
      'export interface Thing {',
      '  id: string;',
      '}',
      '/** Joins. */',
      'export const join = (a: string, b: string, c: string, d: string) => [a, b, c, d].find((x) => x !== a)!;',
      'export function bare(): void {}',
      '',
    ].join('\n');
    expect(faults('core/src/errors/index.ts', text)).toEqual([
      '1 jsdoc/require-jsdoc',
      '2 jsdoc/require-jsdoc',
      '5 @typescript-eslint/max-params',
      '5 no-restricted-syntax',
      '6 jsdoc/require-jsdoc',
    ]);
  }, 60_000);

  test('of the interface: hooks, and what an eye or a hand cannot use', () => {
    const text = [
      "import { useEffect, useState } from 'react';",
      '/** A page. */',
      'export function Page({ id, open }: { id: string; open: boolean }) {',
      "  const [name, setName] = useState('');",
      '  if (!open) useEffect(() => undefined);',
      '  useEffect(() => fetch(id).then(() => setName(name + id)) as never, []);',
      '  return <img src={id} />;',
      '}',
      '',
    ].join('\n');
    const found = faults('web/src/app/Missing.tsx', text);
    expect(found).toContain('5 react-hooks/rules-of-hooks');
    expect(found).toContain('6 react-hooks/exhaustive-deps');
    expect(found).toContain('7 jsx-a11y/alt-text');
  }, 60_000);

  test('a page as it should be has none', () => {
    expect(faults('core/src/errors/index.ts', '/** One. */\nexport const one = 1;\n')).toEqual([]);
  }, 60_000);
});
