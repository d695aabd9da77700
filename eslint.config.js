import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules', '.cradle', 'web/dist', '**/*.cjs'] },
  ...tseslint.configs.recommended,
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
