import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['target', 'node_modules', 'src/api/generated/schema.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  { files: ['scripts/**'], languageOptions: { globals: { console: 'readonly', process: 'readonly' } } },
  { rules: { '@typescript-eslint/no-non-null-assertion': 'error' } },
);
