// npm run types: every file is checked once, by the project it belongs to. Each project alone would check again all that it imports.
import { relative } from 'node:path';
import ts from 'typescript';
import { inRoot, root } from './lib/paths.mjs';

/** Narrow ones first: the core knows no page and no machine, the product of the web no tests. What is checked by one is not by the next. */
const projects = ['core/tsconfig.json', 'tsconfig.json', 'web/tsconfig.json', 'web/tsconfig.test.json'];

const host = {
  getCurrentDirectory: () => root,
  getCanonicalFileName: (name) => name,
  getNewLine: () => '\n',
};
const parsed = ts.createDocumentRegistry();
const done = new Set();
let faults = 0;

for (const project of projects) {
  const config = ts.getParsedCommandLineOfConfigFile(
    inRoot(project),
    {},
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: (fault) => {
        throw new Error(ts.formatDiagnostic(fault, host));
      },
    },
  );
  const program = ts.createProgram(config.fileNames, config.options, sharing(config.options));
  const own = config.fileNames.filter((name) => !done.has(name)).map((name) => program.getSourceFile(name));
  const found = [
    ...config.errors,
    ...program.getOptionsDiagnostics(),
    ...own.flatMap((file) => [...program.getSyntacticDiagnostics(file), ...program.getSemanticDiagnostics(file)]),
  ];
  if (found.length > 0)
    process.stdout.write(`${relative(root, inRoot(project))}\n${ts.formatDiagnostics(found, host)}`);
  faults += found.length;
  config.fileNames.forEach((name) => done.add(name));
}
process.exit(faults === 0 ? 0 : 1);

/** Reads each file once for all projects that read it alike. */
function sharing(options) {
  const usual = ts.createCompilerHost(options);
  return {
    ...usual,
    getSourceFile: (name, how, onError) => {
      const text = ts.sys.readFile(name);
      if (text === undefined) return usual.getSourceFile(name, how, onError);
      return parsed.acquireDocument(name, options, ts.ScriptSnapshot.fromString(text), '1', undefined, how);
    },
  };
}
