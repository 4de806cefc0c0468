// Makes what a new rule takes: its file, its line in the table, and its cases. `npm run new rule references/x`.

import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const table = 'src/core/rules/index.ts';
const concerns = ['keys', 'references', 'uniqueness', 'nullability', 'values', 'naming'];

/** The files of a new rule, by path: those that are new, and the table with its line. Throws Error with words for who typed it. */
export function filesOfRule(id) {
  const [concern, name, ...more] = id.split('/');
  if (!concerns.includes(concern) || !/^[a-z]+(-[a-z]+)*$/.test(name ?? '') || more.length > 0)
    throw new Error(`A rule is named by its path, as in references/sentinel; concerns are ${concerns.join(', ')}.`);
  const rule = `${camel(name)}Rule`;
  const file = `src/core/rules/${id}.ts`;
  if (existsSync(join(root, file))) throw new Error(`${file} is there already.`);
  return {
    [file]: ruleFile(id, rule, concern),
    [`src/core/rules/${id}.test.ts`]: testFile(id),
    [table]: withRule(readFileSync(join(root, table), 'utf8'), id, rule),
  };
}

function camel(name) {
  return name.replace(/-([a-z])/g, (_, letter) => letter.toUpperCase());
}

// Imports stand in the order of their paths, rules in that of their concern.
function withRule(text, id, rule) {
  const lines = text.split('\n');
  const added = `import { ${rule} } from './${id}';`;
  const after = lines.findLastIndex((line) => line.startsWith('import') && pathIn(line) < `./${id}`);
  lines.splice(after + 1, 0, added);
  const end = lines.findLastIndex((line) => line.startsWith(']'));
  lines.splice(end, 0, `  ${rule},`);
  return lines.join('\n');
}

function pathIn(line) {
  return /from '([^']+)'/.exec(line)?.[1] ?? '';
}

function ruleFile(id, rule, concern) {
  return `import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly column: string;
}

/** What it looks for, and why that is wrong. */
export const ${rule} = defineRule<Facts>({
  id: '${id}',
  concern: '${concern[0].toUpperCase()}${concern.slice(1)}',
  about: 'What it looks for, in one sentence.',
  *check({ tables }) {
    for (const table of tables) {
      for (const { name } of table.columns.filter((column) => column.name === 'example')) {
        yield {
          table: table.id,
          columns: [name],
          severity: 'Minor',
          confidence: 0.9,
          facts: { column: name },
          proposal: byHand([name]),
        };
      }
    }
  },

  words({ column }, { table }) {
    return {
      title: 'A few words for a list',
      message: \`\${column} of \${table} is an example.\`,
      consequence: 'One plain sentence: why it matters.',
      measured: 'an example',
      evidence: [],
      reasons: ['what makes us sure'],
    };
  },
});
`;
}

function testFile(id) {
  return `import { expect, test } from 'vitest';
import { foundBy } from '../../../../test/kit/found';
import { sketch } from '../../../../test/kit/sketch';

const port = sketch(\`
  port.berth: berth_no key, example text
  port.vessel: vessel_id key, name text
\`);

test('${id} finds what it is for, and leaves the rest alone', () => {
  expect(foundBy('${id}', port)).toEqual(['port.berth(example): Minor, an example']);
});
`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const [kind, id = ''] = process.argv.slice(2);
  try {
    if (kind !== 'rule') throw new Error('Say what is to be made: npm run new rule references/x.');
    for (const [file, text] of Object.entries(filesOfRule(id))) {
      mkdirSync(dirname(join(root, file)), { recursive: true });
      writeFileSync(join(root, file), text);
      process.stdout.write(`${file}\n`);
    }
  } catch (error) {
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 1;
  }
}
