import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules', '.cradle', 'web/dist', '**/*.cjs'] },
  ...tseslint.configs.recommended,
  {
    // A sentence with figures in it is no text: in a template it would read “[object Object]”.
    files: ['core/src/**/*.ts', 'server/src/**/*.ts', 'web/src/**/*.{ts,tsx}'],
    languageOptions: {
      parserOptions: { project: ['./tsconfig.json', './web/tsconfig.test.json'], tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true, allowNullish: true },
      ],
    },
  },
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='query'][arguments.length=1]",
          message: 'This database driver needs a query type: pass { type: QueryTypes.… }.',
        },
      ],
    },
  },
);
