import { factsOf } from '../../engines/facts';
import { foreignKeysOf, getTable } from '../../catalogue/lookups';
import type { Column, Table } from '../../catalogue/model';
import { rowOf } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { defineRule } from '../rule';

interface Facts {
  readonly declared: boolean;
  readonly parent: string;
  readonly pairs: readonly Mismatch[];
}

interface Mismatch {
  readonly child: string;
  readonly childType: string;
  readonly parent: string;
  readonly parentType: string;
  readonly what: 'type' | 'length' | 'collation';
}

/** A reference whose two sides are of different type, length or collation. */
export const mismatchedReference = defineRule<Facts, 'confidence'>({
  id: 'references/type-mismatch',
  concern: 'References',
  about: 'A reference whose two sides differ in type, length or collation.',
  thresholds: { confidence: { value: 70, words: 'Least confidence in percent of an undeclared reference' } },
  *check({ catalogue, references, tables }, limits) {
    const { short } = factsOf(catalogue).types;
    for (const table of tables) {
      const declared = foreignKeysOf(table).map((key) => ({ ...key, confidence: 1, declared: true }));
      const found = referencesFrom(references, table.id)
        .filter((r) => r.confidence * 100 >= limits.confidence)
        .map((r) => ({ ...r, declared: false }));
      for (const reference of [...declared, ...found]) {
        const parent = getTable(catalogue, reference.parent);
        const pairs = reference.columns.flatMap((name, i) =>
          mismatchOf([table, name], [parent, reference.parentColumns[i] ?? ''], short),
        );
        if (pairs.length === 0) continue;
        yield {
          table: table.id,
          columns: reference.columns,
          apart: parent.id,
          severity: pairs.some((pair) => pair.what === 'type') ? 'Moderate' : 'Minor',
          confidence: Math.round(reference.confidence * 100) / 100,
          facts: { declared: reference.declared, parent: parent.id, pairs },
          proposal: {
            ...{ kind: 'retype', columns: reference.columns, to: 'as parent' },
            references: { schema: parent.schema, table: parent.name, columns: reference.parentColumns },
          },
        };
      }
    }
  },

  words({ declared, parent, pairs }, { table, columns }) {
    const [first] = pairs;
    const told = pairs.map((pair) => `${pair.child} is ${pair.childType} and ${pair.parent} is ${pair.parentType}`).join('; ');
    return {
      title: first?.what === 'length' ? 'Lengths differ' : first?.what === 'collation' ? 'Collations differ' : 'Types differ',
      message: `${columns.join(', ')} of ${table} refers to ${parent}${declared ? '' : ' without a foreign key'}, but ${told}.`,
      consequence: `A ${rowOf(parent.split('.').at(-1) ?? parent)} may get a key that no child can hold, and joins convert every value before they compare.`,
      measured: first ? `${first.childType} / ${first.parentType}` : '',
      evidence: pairs.flatMap((pair) => [
        { label: 'child', text: `${pair.child} ${pair.childType}` },
        { label: 'parent', text: `${pair.parent} ${pair.parentType}` },
      ]),
      reasons: ['read from the catalogue'],
      advice: 'Bring the child to the parent’s type, in a change window: it rewrites the child.',
    };
  },
});

function mismatchOf(
  [child, name]: readonly [Table, string],
  [parent, parentName]: readonly [Table, string],
  short: (type: string) => string,
): readonly Mismatch[] {
  const own = child.columns.find((c) => c.name === name);
  const target = parent.columns.find((c) => c.name === parentName);
  const what = own && target ? differenceOf(own, target, short) : null;
  if (!own || !target || what === null) return [];
  const spelled = (column: Column): string =>
    what === 'collation' ? `${column.declaredType} collate ${column.collation ?? 'default'}` : column.declaredType;
  return [{ child: own.name, childType: spelled(own), parent: target.name, parentType: spelled(target), what }];
}

function differenceOf(a: Column, b: Column, short: (type: string) => string): Mismatch['what'] | null {
  if (a.collation !== b.collation) return 'collation';
  if (short(a.declaredType) === short(b.declaredType) || (a.domain !== null && a.family === b.family && a.length === b.length))
    return null;
  if (a.family === 'text' && b.family === 'text') return a.length === b.length ? null : 'length';
  return 'type';
}
