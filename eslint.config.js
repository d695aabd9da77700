import jsdoc from 'eslint-plugin-jsdoc';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const product = ['core/src/**/*.ts', 'server/src/**/*.ts', 'web/src/**/*.{ts,tsx}'];
const tests = ['**/*.test.{ts,tsx}', '**/testing.ts', '**/testing/**'];

/** A fault that no rule has a name for. */
const noLookupAsserted = {
  selector: 'TSNonNullExpression > CallExpression[callee.property.name=/^(find|findLast|get)$/]',
  message: 'What is not found here fails far away: say what was looked for with present(…).',
};
const noUntypedQuery = {
  selector: "CallExpression[callee.property.name='query'][arguments.length=1]",
  message: 'This database driver needs a query type: pass { type: QueryTypes.… }.',
};
/** What others use says what it is: every export, and every field of an exported type. */
const documented = [
  'ExportNamedDeclaration[declaration]',
  'ExportDefaultDeclaration',
  'ExportNamedDeclaration > TSInterfaceDeclaration > TSInterfaceBody > :matches(TSPropertySignature, TSMethodSignature)',
  'ExportNamedDeclaration > TSTypeAliasDeclaration > TSTypeLiteral > TSPropertySignature',
];

export default tseslint.config(
  { ignores: ['node_modules', '.cradle', 'web/dist', 'server/dist', '**/*.cjs'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-restricted-syntax': ['error', noUntypedQuery],
    },
  },
  {
    files: product,
    languageOptions: {
      parserOptions: { project: ['./tsconfig.json', './web/tsconfig.test.json'], tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      // A sentence with figures in it is no text: in a template it would read “[object Object]”.
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true, allowNullish: true },
      ],
    },
  },
  {
    files: product,
    // A row of cases may be as wide as its table, and what a test does not find fails right there.
    ignores: tests,
    plugins: { jsdoc },
    rules: {
      // From four on they are one object with names.
      '@typescript-eslint/max-params': ['error', { max: 3 }],
      'no-restricted-syntax': ['error', noUntypedQuery, noLookupAsserted],
      'jsdoc/require-jsdoc': [
        'error',
        { enableFixer: false, require: { FunctionDeclaration: false }, contexts: documented },
      ],
      'jsdoc/require-description': ['error', { contexts: ['any'], checkConstructors: false }],
      'jsdoc/check-tag-names': ['error', { definedTags: ['example'] }],
      'jsdoc/check-param-names': 'off',
      'jsdoc/empty-tags': 'error',
    },
  },
  {
    // They ask the driver itself, which answers with rows.
    files: ['server/src/db/driver.ts', 'scripts/lib/galera.mjs', 'scripts/lib/testBase.mjs'],
    rules: { 'no-restricted-syntax': ['error', noLookupAsserted] },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    extends: [reactHooks.configs.flat.recommended, jsxA11y.flatConfigs.recommended],
    rules: {
      // What scrolls must be reached by keyboard: such a place is a region with a name.
      'jsx-a11y/label-has-associated-control': ['error', { controlComponents: ['PictureInput'] }],
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region'], tags: [] }],
    },
  },
);
