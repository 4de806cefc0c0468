// What names a table, a column or a constraint, beside the references that the catalogue shows. Views, programs and triggers
// keep their text as it was written: a name in it does not follow when the object gets another.

import { type TableId, tableNames } from '../../../catalogue/identifiers';
import { type Asking, type Dependent, type NamedPart, rowsOf } from '../../questions';
import { ownSchemas } from './catalogue-queries';
import { literal } from '../quote';

export function* dependents(table: TableId, { kind, name }: NamedPart): Asking<readonly Dependent[]> {
  const { schema, table: relation } = tableNames(table);
  const says = (text: string): string => {
    const named = `${text} regexp ${literal(wholeWord(name))}`;
    // A column's name alone is said of many tables: a text speaks of this one where it says the table too.
    return kind === 'column' ? `${named} and ${text} regexp ${literal(wholeWord(relation))}` : named;
  };
  const rows = yield* rowsOf({
    text: `select lower(routine_type), concat(routine_schema, '.', routine_name), 'names it'
       from information_schema.routines where routine_schema not in ${ownSchemas} and ${says('routine_definition')}
       union all
       select 'view', concat(table_schema, '.', table_name), 'names it'
       from information_schema.views where table_schema not in ${ownSchemas} and ${says('view_definition')}
       union all
       select 'trigger', concat(trigger_name, ' of ', event_object_schema, '.', event_object_table), 'names it'
       from information_schema.triggers where trigger_schema not in ${ownSchemas}
         and (${says('action_statement')}${kind === 'column' ? ` or event_object_schema = ${literal(schema)} and event_object_table = ${literal(relation)} and action_statement regexp ${literal(wholeWord(name))}` : ''})
       ${
         kind === 'column'
           ? `union all
       select 'generated column', concat(table_schema, '.', table_name, '.', column_name), 'rests on it'
       from information_schema.columns where table_schema = ${literal(schema)} and table_name = ${literal(relation)}
         and generation_expression regexp ${literal(wholeWord(name))}`
           : ''
       }
       order by 1, 2`,
    columns: 3,
  });
  return rows.map(([what, called, how]) => ({ kind: what, name: called, how }) as Dependent);
}

// Letters, digits and _ around it would make it another name.
function wholeWord(name: string): string {
  return `(^|[^[:alnum:]_])${name.replaceAll(/[^\p{L}\p{N}_]/gu, '\\$&')}($|[^[:alnum:]_])`;
}
