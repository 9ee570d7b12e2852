import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';

export default ts.config(
  {
    ignores: [
      'vendor/',
      'node_modules/',
      'var/',
      'public/',
      'storage/',
      'test-results/',
      '.svelte-check/',
      '**/*.d.ts',
    ],
  },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-expressions': ['error', { allowTernary: true, allowShortCircuit: true }],
      'no-console': ['error', { allow: ['warn', 'error'] }],
      'svelte/no-navigation-without-resolve': 'off', // the studio's router is its own
    },
  },
);
