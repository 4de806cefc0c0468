// What names a constraint or rests on it, beside the references that the catalogue shows. Functions keep their text as
// it was written: a name in it does not follow when the constraint gets another.

import { type TableId, tableNames } from '../../../catalogue/identifiers';
import { type Asking, type Dependent, rowsOf } from '../../questions';

export function* dependents(table: TableId, constraint: string): Asking<readonly Dependent[]> {
  const { schema, table: relation } = tableNames(table);
  // A whole word: letters, digits and _ around it would make it another name (manual, 9.7.3).
  const named = `(^|[^[:alnum:]_])${constraint.replaceAll(/[^\p{L}\p{N}_]/gu, '\\$&')}($|[^[:alnum:]_])`;
  const text = `select case p.prokind when 'p' then 'procedure' else 'function' end as kind, p.oid::pg_catalog.regprocedure::text as name, 'names it' as how
       from pg_catalog.pg_proc p
       join pg_catalog.pg_namespace n on n.oid = p.pronamespace
       where n.nspname not in ('pg_catalog', 'information_schema') and p.prokind in ('f', 'p') 
         and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~ $4
       union all
       select distinct 'view', v.oid::pg_catalog.regclass::text, 'rests on it'
       from pg_catalog.pg_constraint k
       join pg_catalog.pg_class c on c.oid = k.conrelid
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_constraint'::pg_catalog.regclass and d.refobjid = k.oid
       join pg_catalog.pg_rewrite r on d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid
       join pg_catalog.pg_class v on v.oid = r.ev_class
       where n.nspname = $1 and c.relname = $2 and k.conname = $3
       order by 1, 2`;
  const rows = yield* rowsOf({ text, columns: 3, values: [schema, relation, constraint, named] });
  return rows.map(([kind, name, how]) => ({ kind, name, how }) as Dependent);
}
