import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** Exported functions of a source, each with its examples. */
function functionsOf(path: string, text: string): { name: string; examples: string[] }[] {
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const examplesOf = (node: ts.Node) =>
    ts
      .getJSDocTags(node)
      .filter((tag) => tag.tagName.text === 'example')
      .map((tag) => tag.getText().trim());
  return source.statements.flatMap((node) => {
    const exported =
      ts.canHaveModifiers(node) && ts.getModifiers(node)?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword);
    if (!exported) return [];
    if (ts.isFunctionDeclaration(node) && node.name) return [{ name: node.name.text, examples: examplesOf(node) }];
    if (!ts.isVariableStatement(node)) return [];
    return node.declarationList.declarations
      .filter((d) => d.initializer && (ts.isArrowFunction(d.initializer) || ts.isFunctionExpression(d.initializer)))
      .map((d) => ({ name: d.name.getText(), examples: examplesOf(d) }));
  });
}

const root = new URL('../core/src', import.meta.url).pathname;
const functions = readdirSync(root, { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('.ts') && !/testing|\.test\.|\.d\.ts/.test(path))
  .flatMap((path) => functionsOf(path, readFileSync(join(root, path), 'utf8')));

describe('examples of the core', () => {
  test('a function without one is seen, and one with it', () => {
    const text =
      '/** Adds. */\nexport const add = (a: number) => a;\n/** Takes. @example take(3) // 2 */\nexport function take() {}\n';
    expect(functionsOf('a.ts', text)).toEqual([
      { name: 'add', examples: [] },
      { name: 'take', examples: ['@example take(3) // 2'] },
    ]);
  });

  test('nine in ten exported functions show one', () => {
    const without = functions.filter((f) => f.examples.length === 0);
    expect(functions.length).toBeGreaterThan(300);
    // Named, so that whoever adds one too many sees which.
    expect(without.length > functions.length / 10 ? without.map((f) => f.name) : []).toEqual([]);
  });

  test('an example shows its own function', () => {
    const strangers = functions.filter((f) => f.examples.some((e) => !new RegExp(`\\b${f.name}\\b`).test(e)));
    expect(strangers.map((f) => [f.name, ...f.examples])).toEqual([]);
  });
});
