import hooks from 'eslint-plugin-react-hooks';
import typescript from 'typescript-eslint';

export default typescript.config(
  {
    ignores: [
      '.next/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
      '**/*.mjs',
      '**/*.cjs',
    ],
  },
  ...typescript.configs.recommended,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      // Prettier breaks the code; this holds the comments to its width. Sentences and addresses stay whole.
      'max-len': [
        'error',
        {
          code: 120,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreUrls: true,
          ignorePattern: '^\\s*<|helperText=',
        },
      ],
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  { files: ['src/ui/**', 'src/app/**'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core is repeatable: use randomFrom(seed).' },
        { object: 'Date', property: 'now', message: 'The core does not know what time it is.' },
      ],
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch', 'Buffer'],
    },
  },
  { files: ['scripts/**', '**/*.test.ts', 'e2e/**'], rules: { 'no-console': 'off' } },
);
