import { defineConfig, globalIgnores } from 'eslint/config';
import nextTypescript from 'eslint-config-next/typescript';
import nextVitals from 'eslint-config-next/core-web-vitals';
import prettier from 'eslint-config-prettier/flat';

const wholeLibrary = {
  selector: "ImportDeclaration[source.value='zod'] > ImportSpecifier",
  message: 'Import * as z: what of it nobody uses is then left out of play, a seventh of its weight.',
};

export default defineConfig([
  ...nextVitals,
  ...nextTypescript,
  prettier,
  globalIgnores(['.next/**', '.build/**', 'public/shell/**', '.data/**', 'node_modules/**', 'next-env.d.ts', 'db/migrations/**']),
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-restricted-syntax': ['error', wholeLibrary],
    },
  },
  {
    files: ['{app,cli,db,e2e,features,scripts,server,ui,workers}/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    // A promise that nobody waits for is said to be one, with `void`.
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  // Play is a page of its own beside the framework: it leaves by plain links.
  { files: ['features/play/**'], rules: { '@next/next/no-html-link-for-pages': 'off' } },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'setTimeout', 'fetch', 'performance', 'crypto'],
      'no-restricted-syntax': [
        'error',
        wholeLibrary,
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'The core has no randomness of its own: pass a Random in.',
        },
        { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'The core has no clock: pass the moment in.' },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core has no clock: pass the moment in.' },
      ],
    },
  },
]);
