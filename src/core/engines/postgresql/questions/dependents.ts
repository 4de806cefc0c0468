// What names a constraint or a column, or rests on it, beside the references that the catalogue shows. Functions keep their
// text as it was written: a name in it does not follow when the object gets another.

import { type TableId, tableNames } from '../../../catalogue/identifiers';
import { type Asking, type Dependent, type NamedPart, rowsOf } from '../../questions';

export function* dependents(table: TableId, { kind, name }: NamedPart): Asking<readonly Dependent[]> {
  const { schema, table: relation } = tableNames(table);
  const text = `select case p.prokind when 'p' then 'procedure' else 'function' end as kind, p.oid::pg_catalog.regprocedure::text as name, 'names it' as how
       from pg_catalog.pg_proc p
       join pg_catalog.pg_namespace n on n.oid = p.pronamespace
       where n.nspname not in ('pg_catalog', 'information_schema') and p.prokind in ('f', 'p') 
         and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~ $4
       ${kind === 'column' ? namesTable : ''}
       union all
       ${resting[kind]}
       order by 1, 2`;
  const values = [schema, relation, name, wholeWord(name), wholeWord(relation)];
  const rows = yield* rowsOf({ text, columns: 3, values: kind === 'column' ? values : values.slice(0, 4) });
  return rows.map(([what, called, how]) => ({ kind: what, name: called, how }) as Dependent);
}

// A column's name alone is said of many tables: a text speaks of this one where it says the table too.
const namesTable = `and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~* $5`;

// Letters, digits and _ around it would make it another name (manual, 9.7.3).
function wholeWord(name: string): string {
  return `(^|[^[:alnum:]_])${name.replaceAll(/[^\p{L}\p{N}_]/gu, '\\$&')}($|[^[:alnum:]_])`;
}

const publications = `union all
         select 'publication', p.pubname
         from pg_catalog.pg_publication_rel r
         join pg_catalog.pg_publication p on p.oid = r.prpubid
         where d.classid = 'pg_catalog.pg_publication_rel'::pg_catalog.regclass and r.oid = d.objid`;

// What the server itself names by a number follows; whatever else is not of the table itself may be told by its views.
const restingOnTable = `select distinct part.kind, part.name, 'rests on it'
       from pg_catalog.pg_class c
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and d.refobjid = c.oid
       join lateral (
         select 'view' as kind, r.ev_class::pg_catalog.regclass::text as name
         from pg_catalog.pg_rewrite r
         where d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid and r.ev_class <> c.oid
         union all
         select 'policy', pg_catalog.format('%I of %s', p.polname, p.polrelid::pg_catalog.regclass)
         from pg_catalog.pg_policy p
         where d.classid = 'pg_catalog.pg_policy'::pg_catalog.regclass and p.oid = d.objid and p.polrelid <> c.oid
         ${publications}
       ) as part on true
       where n.nspname = $1 and c.relname = $2 and $3 = c.relname`;

const restingOnConstraint = `select distinct 'view', v.oid::pg_catalog.regclass::text, 'rests on it'
       from pg_catalog.pg_constraint k
       join pg_catalog.pg_class c on c.oid = k.conrelid
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_constraint'::pg_catalog.regclass and d.refobjid = k.oid
       join pg_catalog.pg_rewrite r on d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid
       join pg_catalog.pg_class v on v.oid = r.ev_class
       where n.nspname = $1 and c.relname = $2 and k.conname = $3`;

// Manual, "pg_depend": what was made with the column in it depends on it, whatever it is.
const restingOnColumn = `select distinct part.kind, part.name, 'rests on it'
       from pg_catalog.pg_attribute a
       join pg_catalog.pg_class c on c.oid = a.attrelid
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and d.refobjid = a.attrelid and d.refobjsubid = a.attnum
       join lateral (
         select 'view' as kind, r.ev_class::pg_catalog.regclass::text as name
         from pg_catalog.pg_rewrite r
         where d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid and r.ev_class <> a.attrelid
         union all
         select 'trigger', pg_catalog.format('%I of %s', t.tgname, t.tgrelid::pg_catalog.regclass)
         from pg_catalog.pg_trigger t
         where d.classid = 'pg_catalog.pg_trigger'::pg_catalog.regclass and t.oid = d.objid
         union all
         select 'policy', pg_catalog.format('%I of %s', p.polname, p.polrelid::pg_catalog.regclass)
         from pg_catalog.pg_policy p
         where d.classid = 'pg_catalog.pg_policy'::pg_catalog.regclass and p.oid = d.objid
         union all
         select 'generated column', pg_catalog.format('%s.%I', g.adrelid::pg_catalog.regclass, o.attname)
         from pg_catalog.pg_attrdef g
         join pg_catalog.pg_attribute o on o.attrelid = g.adrelid and o.attnum = g.adnum
         where d.classid = 'pg_catalog.pg_attrdef'::pg_catalog.regclass and g.oid = d.objid and g.adnum <> a.attnum
         ${publications}
       ) as part on true
       where n.nspname = $1 and c.relname = $2 and a.attname = $3 and not a.attisdropped`;

const resting: Readonly<Record<NamedPart['kind'], string>> = {
  table: restingOnTable,
  column: restingOnColumn,
  constraint: restingOnConstraint,
};
