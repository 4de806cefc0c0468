// The house grows by a file and a line: what else a new operation or engine needs is named by the compiler, and is all there
// is. Tried with made-up ones that are laid over the real files and type-checked, nothing written.

import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, test } from 'vitest';
import { engineNames } from '../src/core/engines/name';
// @ts-expect-error A script without types, as it runs before there are any.
import { filesOfRule } from '../scripts/new.mjs';

const root = join(import.meta.dirname, '..');
const read = (file: string): string => readFileSync(join(root, file), 'utf8');

type Laid = Readonly<Record<string, string>>;

/** What the compiler has against the core, and what stands on it, with these files laid over it: `file: message`. */
function problemsWith(laid: Laid, roots: readonly string[]): readonly string[] {
  const { config } = ts.readConfigFile(join(root, 'tsconfig.json'), (path) => ts.sys.readFile(path)) as { config: object };
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, root);
  const host = ts.createCompilerHost({ ...options, incremental: false });
  const over = new Map(Object.entries(laid).map(([file, text]) => [join(root, file), text]));
  const [fileExists, readFile] = [host.fileExists.bind(host), host.readFile.bind(host)];
  host.fileExists = (path) => over.has(path) || fileExists(path);
  host.readFile = (path) => over.get(path) ?? readFile(path);
  const directoryExists = host.directoryExists?.bind(host);
  host.directoryExists = (path) =>
    [...over.keys()].some((file) => file.startsWith(`${path}/`)) || (directoryExists?.(path) ?? true);
  host.getSourceFile = (path, version) => {
    const text = host.readFile(path);
    return text === undefined ? undefined : parsed(path, text, version);
  };
  const program = ts.createProgram({
    rootNames: [...roots, 'src/sources/postgresql/pgpass.d.ts'].map((file) => join(root, file)),
    options: { ...options, incremental: false },
    host,
  });
  return program
    .getSourceFiles()
    .filter(({ fileName }) => fileName.startsWith(root) && !fileName.includes('node_modules'))
    .flatMap((file) => program.getSemanticDiagnostics(file))
    .map(({ file, messageText }) => {
      const message = ts.flattenDiagnosticMessageText(messageText, ' ');
      return `${file?.fileName.slice(root.length + 1)}: ${message}`;
    });
}

const known = new Map<string, ts.SourceFile>();

// What one program has parsed serves the next: most files are the same for all.
function parsed(path: string, text: string, version: ts.ScriptTarget | ts.CreateSourceFileOptions): ts.SourceFile {
  const before = known.get(path);
  if (before?.text === text) return before;
  const file = ts.createSourceFile(path, text, version);
  known.set(path, file);
  return file;
}

/** The text of a file with something put before a part of it. */
function withLine(file: string, before: string, line: string): string {
  const text = read(file);
  expect(text).toContain(before);
  return text.replace(before, `${line}${before}`);
}

const users = ['src/work/dockets/planned.ts', 'src/sources/index.ts', 'src/cli/main.ts', 'src/core/plan/rehearsal.ts'];

const operation: Laid = {
  'src/core/operations/paint-hull.ts': `
    import type { TableId } from '../catalogue/identifiers';
    import type { Kind } from './operation';
    export interface PaintHull { readonly kind: 'paintHull'; readonly table: TableId; readonly colour: string; readonly before: string }
    export const paintHull: Kind<PaintHull> = {
      rank: 7,
      words: ({ table, colour }) => \`\${table} painted \${colour}\`,
      inverse: ({ table, colour, before }) => [{ kind: 'paintHull', table, colour: before, before: colour }],
      apply: () => undefined,
      todo: ({ table }) => ({ kind: 'tablePresent', table }),
    };`,
  'src/core/operations/index.ts': withLine('src/core/operations/index.ts', 'export type Operation =', '')
    .replace('  ...{ rename, renameIndex, renameColumn },', '  ...{ rename, renameIndex, renameColumn, paintHull },\n')
    .replace(
      "import { rename } from './rename';",
      "import { rename } from './rename';\nimport { paintHull } from './paint-hull';",
    ),
};

test(
  'a new operation is a file and a line; an engine that cannot write it yet is named, and nothing else',
  { timeout: 300_000 },
  () => {
    const problems = problemsWith(operation, users);
    // Of a family one engine writes for all.
    const writing = engineNames.filter((name) => existsSync(join(root, `src/core/engines/${name}/operations`)));
    expect(problems).toHaveLength(writing.length);
    for (const problem of problems)
      expect(problem).toMatch(/^src\/core\/engines\/\w+\/operations\/index\.ts: .*'paintHull' is missing/);

    const engine = 'src/core/engines/postgresql/operations/index.ts';
    const another = 'src/core/engines/mariadb/operations/index.ts';
    const written: Laid = {
      'src/core/engines/postgresql/operations/painting.ts': `
      import type { PaintHull } from '../../../operations/paint-hull';
      import type { Writing } from './writing';
      export const paintHull: Writing<PaintHull> = {
        statements: ({ colour }) => [\`select '\${colour}'\`],
        cost: () => ({ lock: 'ACCESS SHARE', blocks: 'nobody', work: 'catalogue only' }),
      };`,
      [engine]: withLine(engine, 'type Writings =', "import { paintHull } from './painting';\n").replace(
        '  ...{ setNotNull, dropNotNull, retype },',
        '  ...{ setNotNull, dropNotNull, retype, paintHull },',
      ),
      // Where there is nothing like it, that is said in the table.
      [another]: read(another).replace('checkRows: never,', 'checkRows: never, paintHull: never,'),
    };
    expect(problemsWith({ ...operation, ...written }, users)).toEqual([]);
  },
);

const engine: Laid = {
  'src/core/engines/paper/facts.ts': `
    import type { EngineFacts } from '../engineFacts';
    import { facts as postgresql } from '../postgresql/facts';
    export const facts: EngineFacts = { ...postgresql, title: 'Paper' };`,
  'src/core/engines/paper/index.ts': `
    import type { Engine } from '../engine';
    import { postgresql } from '../postgresql/index';
    import { facts } from './facts';
    export const paper: Engine = { ...postgresql, ...facts };`,
  'src/core/engines/name.ts': read('src/core/engines/name.ts').replace("['postgresql',", "['paper', 'postgresql',"),
  'src/core/engines/facts.ts': read('src/core/engines/facts.ts')
    .replace('EngineFacts>> = { postgresql,', 'EngineFacts>> = { paper, postgresql,')
    .replace("from './postgresql/facts';", "from './postgresql/facts';\nimport { facts as paper } from './paper/facts';"),
  'src/core/engines/index.ts': read('src/core/engines/index.ts')
    .replace('Engine>> = { postgresql,', 'Engine>> = { paper, postgresql,')
    .replace("from './postgresql/index';", "from './postgresql/index';\nimport { paper } from './paper/index';"),
};

test('a new engine is a folder and its lines; the suites ask for a server of it', { timeout: 300_000 }, () => {
  expect(problemsWith(engine, users)).toEqual([]);
  const problems = problemsWith(engine, ['test/contract/operations.test.ts', 'test/kit/server.ts']);
  expect(problems.slice(1)).toEqual([]);
  expect(problems[0]).toMatch(/^test\/kit\/live\.ts: Property 'paper' is missing/);
});

test('a new rule is made whole by a command, which refuses what is no name for one', { timeout: 300_000 }, () => {
  const make = filesOfRule as (id: string) => Laid;
  const files = make('values/made-up');
  expect(Object.keys(files)).toHaveLength(3);
  expect(problemsWith(files, Object.keys(files))).toEqual([]);
  for (const wrong of ['values', 'colours/red', 'values/Made Up', '../x', 'keys/missing']) expect(() => make(wrong)).toThrow();
});
