import nextVitals from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';
import tseslint from 'typescript-eslint';

// Core and use cases give reasons with figures; the dictionary has the words. An error that is thrown speaks to programmers.
const NO_SENTENCES = [
  String.raw`Literal[value=/^[A-Z][^\n]* [^\n]* [^\n]*[.?!]$/]`,
  String.raw`TemplateElement[value.cooked=/[a-z]+ [a-z]+ [a-z]+/]`,
].map((selector) => ({
  selector: `${selector}:not(ThrowStatement *)`,
  message: 'A sentence belongs in words/: give a reason with its figures.',
}));

const CLOCK_AND_CHANCE = [
  { selector: "MemberExpression[object.name='Math'][property.name='random']", message: 'Chance is passed in.' },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The clock is passed in.' },
  { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'The clock is passed in.' },
];

const config = [
  { ignores: ['**/.next/', 'data/', 'node_modules/', 'next-env.d.ts', 'test-results/', 'playwright-report/'] },
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
      // A reason in a sentence would be "[object Object]".
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        {
          allowNumber: true,
          allowBoolean: true,
          allowNullish: true,
          allowAny: true,
          allowRegExp: true,
          allowNever: true,
        },
      ],
    },
  },
  {
    files: ['app/**/*.tsx', 'components/**/*.{ts,tsx}'],
    ignores: ['components/ui/{Link.tsx,useGo.ts}', '**/*.test.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            { name: 'next/link', importNames: ['default'], message: 'Links are components/ui/Link.' },
            { name: 'next/navigation', importNames: ['useRouter'], message: 'Ways are components/ui/useGo.' },
          ],
        },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "ImportExpression:not(CallExpression[callee.name='fetched'] ImportExpression)",
          message: 'What is loaded later is asked for by components/ui/fetched.',
        },
        {
          selector: "NewExpression[callee.name='Worker']:not(CallExpression[callee.name='workedOut'] NewExpression)",
          message: 'Work beside the page is started by components/ui/workedOut.',
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'performance'],
      'no-restricted-syntax': ['error', ...CLOCK_AND_CHANCE, ...NO_SENTENCES],
    },
  },
  {
    files: ['usecases/**/*.ts', 'db/**/*.ts', 'instruments/**/*.ts'],
    // A schema says at its field what it cannot take.
    ignores: ['**/*.test.ts', '**/*Input.ts', 'usecases/inputs.ts'],
    rules: { 'no-restricted-syntax': ['error', ...NO_SENTENCES] },
  },
];

export default config;
