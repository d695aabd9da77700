import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** A busy machine takes its time: no test may end for that. All share one patience; what never comes is what fails. */
const root = new URL('..', import.meta.url).pathname;
const TESTS = new Set(['test', 'it', 'step', 'beforeAll', 'beforeEach', 'afterAll', 'afterEach', 'describe']);

/** Lines of a test file on which something is given a time of its own, ms. */
function limits(text: string): number[] {
  const source = ts.createSourceFile('x.tsx', text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: number[] = [];
  const say = (node: ts.Node) => found.push(source.getLineAndCharacterOfPosition(node.getStart()).line + 1);
  /** `test`, also of `test.each(…)('…', …)`. */
  const named = (of: ts.Expression): string =>
    ts.isIdentifier(of)
      ? of.text
      : ts.isPropertyAccessExpression(of) || ts.isCallExpression(of) || ts.isTaggedTemplateExpression(of)
        ? named('tag' in of ? of.tag : of.expression)
        : '';
  const look = (node: ts.Node): void => {
    if (ts.isCallExpression(node) && TESTS.has(named(node.expression))) {
      const work = node.arguments.findIndex((a) => ts.isArrowFunction(a) || ts.isFunctionExpression(a));
      const more = work < 0 ? undefined : node.arguments[work + 1];
      if (more) say(more);
    }
    if (ts.isPropertyAssignment(node) && node.name.getText() === 'timeout') say(node);
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

test('a limit of its own is found, wherever it is given', () => {
  const text = [
    "test('a', () => undefined, 5_000);",
    "test.each([1])('%d', async (n) => {",
    '  await waitFor(() => n, { timeout: 20 });',
    '}, 60_000);',
    'beforeAll(() => undefined, LONG);',
    "test('good', () => setTimeout(work, 5_000));",
  ];
  expect(limits(text.join('\n'))).toEqual([1, 4, 3, 5]);
});

test('no test has a limit of its own', () => {
  const files = ['core/src', 'web/src', 'server/test', 'e2e', 'scripts'].flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter((path) => /\.test\.tsx?$/.test(path))
      .map((path) => join(folder, path)),
  );
  expect(files.length).toBeGreaterThan(200);
  const found = files.flatMap((path) =>
    limits(readFileSync(join(root, path), 'utf8')).map((line) => `${path}:${line}`),
  );
  expect(found).toEqual([]);
});
