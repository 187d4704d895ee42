import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['target', 'node_modules', 'src/api/generated/schema.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  // What the compiler of components looks for takes half of the time, and finds nothing in tests.
  {
    files: ['**/*.test.tsx', '**/*.test.ts'],
    rules: Object.fromEntries(
      Object.keys(hooks.configs.flat.recommended.rules)
        .filter((rule) => !/(rules-of-hooks|exhaustive-deps)$/.test(rule))
        .map((rule) => [rule, 'off']),
    ),
  },
  { files: ['scripts/**'], languageOptions: { globals: { console: 'readonly', process: 'readonly' } } },
  {
    files: ['public/**'],
    languageOptions: {
      globals: Object.fromEntries(
        ['self', 'caches', 'fetch', 'URL', 'setTimeout'].map((name) => [name, 'readonly']),
      ),
    },
  },
  { rules: { '@typescript-eslint/no-non-null-assertion': 'error' } },
);
