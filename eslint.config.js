import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import js from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import prettier from 'eslint-config-prettier';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import { importX } from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const nodeGlobals = Object.fromEntries(
  [
    'process',
    'Buffer',
    'console',
    'fetch',
    'setTimeout',
    'clearTimeout',
    'setInterval',
    'clearInterval',
    'AbortSignal',
    'URL',
  ].map((name) => [name, 'readonly']),
);

// Who imports whom, besides itself: what a folder may not reach is refused. Data flows one way.
const layers = {
  core: [],
  input: ['core'],
  sources: ['core', 'input'],
  store: ['core', 'input', 'sources'],
  work: ['core', 'input', 'sources', 'store'],
  jobs: ['core', 'sources', 'store', 'work'],
  app: ['core', 'input', 'sources', 'store', 'work', 'jobs'],
  cli: ['core', 'input', 'sources', 'store', 'work'],
};
const oneWay = Object.entries(layers).map(([layer, below]) => ({
  target: `src/${layer}`,
  from: 'src',
  except: [layer, ...below].map((each) => `./${each}`),
  message: `src/${layer} may reach ${below.length > 0 ? below.join(', ') : 'nothing'} besides itself.`,
}));
// An engine is known by its table; what reads and runs it, too.
const foldersIn = (folder) =>
  readdirSync(join(import.meta.dirname, folder), { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? [`${folder}/${entry.name}`] : [],
  );
const engines = foldersIn('src/core/engines');
const behindTables = [
  {
    target: [
      ...['src/app', 'src/cli', 'src/input', 'src/jobs', 'src/store', 'src/work', 'src/sources/files', 'src/sources/run'],
      ...foldersIn('src/core').filter((folder) => folder !== 'src/core/engines'),
    ],
    from: [...engines, ...engines.map((folder) => folder.replace('core/engines', 'sources'))],
    message: 'Ask core/engines or sources by their tables, not one engine.',
  },
  { target: 'src/app/ui', from: 'src/app/routes', message: 'Parts of the interface know no pages.' },
];

export default defineConfig([
  globalIgnores(['build/', 'node_modules/', '.react-router/', '.pawl/', 'test-results/']),
  js.configs.recommended,
  tseslint.configs.recommendedTypeChecked,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  {
    rules: {
      // Loaders and actions throw pages, as React Router asks for.
      '@typescript-eslint/only-throw-error': [
        'error',
        { allow: [{ from: 'package', name: 'DataWithResponseInit', package: 'react-router' }] },
      ],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'import-x': importX },
    settings: { ...importX.flatConfigs.typescript.settings, 'import-x/resolver-next': [createTypeScriptImportResolver()] },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'import-x/no-restricted-paths': ['error', { zones: [...oneWay, ...behindTables] }],
    },
  },
  {
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'max-params': ['error', 4],
    },
  },
  {
    files: ['src/**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "ThrowStatement > NewExpression[callee.name='Error']",
          message: 'Throw an error that says which room it comes from: CatalogueError, or one of the room’s own.',
        },
      ],
    },
  },
  { files: ['src/app/**/*.{ts,tsx}'], ...reactHooks.configs.flat['recommended-latest'] },
  { files: ['**/*.{js,mjs}'], extends: [tseslint.configs.disableTypeChecked], languageOptions: { globals: nodeGlobals } },
  prettier,
]);
