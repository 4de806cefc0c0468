import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readDefinition, withNullability } from './column-text';
import { isOnePart, isWhole, readShown } from './shown';

const statement = `CREATE TABLE \`be\`\`rth, (x\` (
  \`no\` varchar(20) CHARACTER SET latin1 COLLATE latin1_bin NOT NULL DEFAULT 'a,\\'b' COMMENT 'it''s, (so); --',
  \`area, "x"\` int(10) unsigned DEFAULT NULL CHECK (\`area, "x"\` > 0),
  \`kind\` enum('a','b''c',')') DEFAULT NULL,
  PRIMARY KEY (\`no\`),
  UNIQUE KEY \`u\` (\`kind\`,\`no\`(10) DESC) COMMENT 'x',
  UNIQUE KEY \`h\` (\`no\`) USING HASH,
  FULLTEXT KEY \`f\` (\`no\`),
  CONSTRAINT \`fk\` FOREIGN KEY (\`area, "x"\`, \`no\`) REFERENCES \`other\`.\`p\` (\`a\`, \`b\`) ON DELETE SET NULL ON UPDATE NO ACTION,
  CONSTRAINT \`ck\` CHECK (\`no\` <> ', CONSTRAINT \`x\` CHECK (1)')
) ENGINE=InnoDB AUTO_INCREMENT=5 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci
 PARTITION BY RANGE  COLUMNS(\`no\`)
(PARTITION \`p0\` VALUES LESS THAN ('m') ENGINE = InnoDB)`;

test('a table is read as it was declared, whatever its names and texts want to be', () => {
  const { columns, keys, references, checks, partitioned, partitionedBy } = readShown(statement);
  expect([...columns.keys()]).toEqual(['no', 'area, "x"', 'kind']);
  expect(columns.get('no')).toContain("COMMENT 'it''s, (so); --'");
  expect(
    keys.map(({ kind, name, parts }) => [kind, name, ...parts.map((p) => `${p.column} ${p.prefix} ${p.descending}`)]),
  ).toEqual([
    ['primary', 'PRIMARY', 'no null false'],
    ['unique', 'u', 'kind null false', 'no 10 true'],
    ['unique', 'h', 'no null false'],
    ['fulltext', 'f', 'no null false'],
  ]);
  expect(references).toEqual([
    {
      name: 'fk',
      columns: ['area, "x"', 'no'],
      schema: 'other',
      parent: 'p',
      parentColumns: ['a', 'b'],
      onDelete: 'set null',
      onUpdate: 'no action',
    },
  ]);
  expect(checks.map(({ name, column }) => [name, column])).toEqual([
    ['area, "x"', 'area, "x"'],
    ['ck', null],
  ]);
  expect([partitioned, partitionedBy]).toEqual([true, ['no']]);
});

test('a quote in the name of a reference is read as one also where the server leaves it as it is', () => {
  const said = (name: string): string => `CREATE TABLE \`a\` (
  \`x\` int(11) DEFAULT NULL,
  KEY \`k\` (\`x\`),
  CONSTRAINT \`${name}\` FOREIGN KEY (\`x\`) REFERENCES \`p\` (\`a\`)
) ENGINE=InnoDB`;
  const read = (name: string) => readShown(said(name)).references.map((one) => [one.name, one.columns, one.parent]);
  for (const name of ['a`_ibfk_1', 'a`b`c', '`']) expect(read(name)).toEqual([[name, ['x'], 'p']]);
  for (const name of ['a`_ibfk_1', '` FOREIGN KEY (`x']) expect(read(name.replaceAll('`', '``'))).toEqual([[name, ['x'], 'p']]);
});

test('a definition that would be more than a part of a statement is none', () => {
  for (const whole of [
    'int(11) NOT NULL',
    "varchar(9) DEFAULT ';,' COMMENT 'a -- b'",
    'decimal(9,2) DEFAULT (1 + 2)',
    'int DEFAULT -1',
  ])
    expect(isOnePart(whole)).toBe(true);
  for (const more of [
    'int, drop column x',
    'int; drop table x',
    'int -- x',
    'int # x',
    'int /* x',
    "varchar(9) DEFAULT 'x",
    'int CHECK (1',
    'int) , (y int',
    'decimal(9; drop table x)',
  ])
    expect(isOnePart(more)).toBe(false);
  expect([isWhole("`a` in ('x', 'y')"), isWhole('`a` > 0); drop table x'), isWhole('`a` > 0 -- x')]).toEqual([
    true,
    false,
    false,
  ]);
});

/** As the server writes a text. */
function written(text: string): string {
  const escaped = text.replaceAll('\\', '\\\\').replaceAll('\n', '\\n').replaceAll('\r', '\\r').replaceAll('\0', '\\0');
  return `'${escaped.replaceAll("'", "''")}'`;
}

const hostile = fc.oneof(
  fc.string(),
  fc
    .array(
      fc.constantFrom(
        "'",
        '`',
        '(',
        ')',
        ',',
        '\\',
        ' INVISIBLE ',
        ' AUTO_INCREMENT ',
        ' DEFAULT 3',
        ' NOT NULL',
        ' AS (x)',
        '\n',
      ),
    )
    .map((parts) => parts.join('')),
);

test('whatever a default and a comment of a column say, they are read as that, and all else as it is', () =>
  fc.assert(
    fc.property(hostile, hostile, fc.boolean(), (text, comment, counts) => {
      const said = readDefinition(
        `varchar(20) COLLATE ascii_bin${counts ? ' NOT NULL' : ''} DEFAULT ${written(text)} ON UPDATE now(3)${counts ? ' AUTO_INCREMENT' : ''} COMMENT ${written(comment)} CHECK (\`a\` <> ${written(text)})`,
      );
      expect(said).toEqual({
        ...{ declaredType: 'varchar(20)', characterSet: null, collation: 'ascii_bin', nullable: !counts, counts },
        ...{ given: written(text), generated: null, onUpdate: 'now(3)', invisible: false, comment },
      });
    }),
  ));

test('what a comment of a table says is neither its counter, nor how it is split or versioned', () =>
  fc.assert(
    fc.property(hostile, fc.constantFrom('', ' AUTO_INCREMENT=7'), (text, counter) => {
      const comment = written(`${text} AUTO_INCREMENT=9 WITH SYSTEM VERSIONING PARTITION BY RANGE (\`a\`)`);
      const read = readShown(`CREATE TABLE \`t\` (\n  \`a\` int(11) DEFAULT NULL\n) ENGINE=InnoDB${counter} COMMENT=${comment}`);
      expect([read.next, read.versioned, read.partitioned]).toEqual([counter === '' ? null : '7', false, false]);
    }),
  ));

describe('what a definition says of nulls', () => {
  test.each([
    ['varchar(20) DEFAULT NULL', 'varchar(20) NOT NULL'],
    [
      "varchar(20) CHARACTER SET latin1 COLLATE latin1_bin DEFAULT NULL COMMENT 'NULL'",
      "varchar(20) CHARACTER SET latin1 COLLATE latin1_bin NOT NULL COMMENT 'NULL'",
    ],
    ['timestamp NULL DEFAULT NULL ON UPDATE current_timestamp()', 'timestamp NOT NULL ON UPDATE current_timestamp()'],
    ['int(10) unsigned zerofill DEFAULT 7', 'int(10) unsigned zerofill NOT NULL DEFAULT 7'],
    ["varchar(9) DEFAULT 'NULL' CHECK (`a` is not null)", "varchar(9) NOT NULL DEFAULT 'NULL' CHECK (`a` is not null)"],
  ])('%s', (before, after) => {
    expect(withNullability(before, false)).toBe(after);
  });

  test('is said once, and all else stays', () =>
    fc.assert(
      fc.property(
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom('', " COMMENT 'NOT NULL'", ' DEFAULT 3', ' AUTO_INCREMENT'),
        (first, second, rest) => {
          const said = withNullability(withNullability(`int(11)${rest}`, first), second);
          expect(said).toBe(`int(11) ${second ? 'NULL' : 'NOT NULL'}${rest}`);
        },
      ),
    ));
});
