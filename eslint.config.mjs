import nextVitals from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';
import tseslint from 'typescript-eslint';

const config = [
  { ignores: ['.next/', 'data/', 'node_modules/', 'next-env.d.ts', 'test-results/', 'playwright-report/'] },
  ...nextVitals,
  ...nextTypescript,
  ...tseslint.configs.strict,
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'performance'],
      'no-restricted-syntax': [
        'error',
        { selector: "MemberExpression[object.name='Math'][property.name='random']", message: 'Chance is passed in.' },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The clock is passed in.' },
        { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'The clock is passed in.' },
      ],
    },
  },
];

export default config;
