import { primaryKeyOf, referencesTo } from '../../catalogue/lookups';
import { surrogateName } from '../../evidence/keys';
import { namesADescription } from '../../naming/meaning';
import { counted, rowOf, spoken, wordsOf } from '../../naming/words';
import { defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly changing: readonly string[];
  readonly children: readonly string[];
}

const changing = new Set([
  'email',
  'phone',
  'status',
  'state',
  'name',
  'address',
  'title',
  'login',
  'username',
  'password',
  'label',
  'price',
  'updated',
  'modified',
]);

/** A primary key made of what changes in life, which children repeat. A list whose names are its keys is left alone while nothing refers to it. */
export const volatileKey = defineRule<Facts>({
  id: 'keys/volatile',
  concern: 'Keys',
  about: 'A primary key that holds what changes in life, such as a name or an address, while children repeat it.',
  *check({ catalogue, tables }) {
    for (const table of tables) {
      const key = primaryKeyOf(table);
      const moving = key?.columns.filter(changes) ?? [];
      const children = referencesTo(catalogue, table.id).map(({ child }) => child.id as string);
      if (!key || moving.length === 0 || children.length === 0) continue;
      yield {
        table: table.id,
        columns: key.columns,
        name: key.name,
        severity: children.length > 2 ? 'Moderate' : 'Minor',
        confidence: 0.7,
        facts: { name: key.name, changing: moving, children: [...new Set(children)] },
        proposal: { kind: 'replaceKey', columns: key.columns, name: key.name, surrogate: surrogateName(table, catalogue) },
      };
    }
  },

  words({ changing: moving, children, name }, { table }) {
    const names = moving.map(spoken).join(' and ');
    return {
      title: 'Key that changes',
      message: `The primary key ${name} of ${table} holds its ${names}, which changes in life, and ${counted(children.length, 'table')} ${children.length === 1 ? 'repeats' : 'repeat'} it.`,
      consequence: `Whenever a ${rowOf(table)} gets another ${names}, every child has to be changed with it, or is lost.`,
      measured: moving.join(', '),
      evidence: [{ label: 'changing', text: moving.join(', ') }, ...children.map((child) => ({ label: 'child', text: child }))],
      reasons: ['judged by the name of the column'],
    };
  },
});

function changes(column: string): boolean {
  const words = wordsOf(column);
  return changing.has(words.at(-1) ?? '') || namesADescription(column);
}
