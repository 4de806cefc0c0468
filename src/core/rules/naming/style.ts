import { renaming, renamingTerm } from '../../naming/renaming';
import type { StyledKind } from '../../naming/styled';
import { isOwn } from '../../naming/terms';
import { termBreaches } from '../../naming/termBreaches';
import type { Table } from '../../catalogue/model';
import { groupBy } from '../../grouping';
import { namedAround, type NamedObject } from '../../naming/named';
import { freeName, type HouseStyle, isMadeBySystem, nameUnder } from '../../naming/style';
import { namesTaken } from '../../naming/taken';
import { once } from '../../once';
import { type Audit, defineRule } from '../rule';

interface Facts {
  readonly kind: StyledKind;
  readonly name: string;
  readonly suggested: string;
  readonly template: string;
}

/** Names that somebody chose, and that are not as the adopted house style would have them. */
export const styleBreach = defineRule<Facts>({
  id: 'naming/style',
  concern: 'Naming',
  about: 'A constraint, index, table or column whose name is not as the house style, adopted for this source, would have it.',
  *check(audit) {
    if (audit.style.adopted.size === 0) return;
    const judged = new Set(audit.tables.map(({ id }) => id));
    for (const { table, object, suggested } of breachesOf(audit)) {
      if (!judged.has(table.id)) continue;
      yield {
        ...renaming(table, object, suggested),
        confidence: 1,
        facts: { kind: object.kind, name: object.name, suggested, template: audit.style.templates[object.kind].text },
      };
    }
    for (const breach of termBreaches(audit)) {
      if (breach.isCase || !judged.has(breach.table.id)) continue;
      const { kind, name } = breach.term;
      yield {
        ...renamingTerm(breach),
        confidence: 1,
        facts: { kind, name, suggested: breach.suggested, template: breach.template },
      };
    }
  },

  words({ kind, name, template, suggested }, { table }) {
    return {
      title: 'Not named in the house style',
      message: `The ${kind} ${name}${kind === 'table' ? '' : ` on ${table}`} would be called ${suggested} in the house style.`,
      consequence: `Whoever reads ${name} in an error message, or looks for it, cannot tell by the pattern what it is and where it belongs.`,
      measured: kind,
      evidence: [
        { label: 'name', text: name },
        { label: 'house style', text: template },
        { label: 'would be', text: suggested },
      ],
      reasons: ['the house style was adopted for this source, and this name is made otherwise'],
    };
  },
});

interface Breach {
  readonly table: Table;
  readonly object: NamedObject;
  readonly suggested: string;
}

function breachesOf({ catalogue, style }: Audit): readonly Breach[] {
  return [...groupBy(ownedTables(catalogue), ({ schema }) => schema)].flatMap(([schema, tables]) => {
    const objects = tables.flatMap((table) => namedAround(catalogue, table).map((object) => ({ table, object })));
    const wrong = objects.filter(({ object }) => breaks(style, object));
    // What is to be renamed gives its name up: two that bear each other's swap them.
    const given = new Set(wrong.map(({ object }) => object.name));
    const there = namesTaken(catalogue, schema);
    const since = new Set<string>();
    const taken = { has: (name: string) => since.has(name) || (there.has(name) && !given.has(name)) };
    return wrong.flatMap(({ table, object }) => {
      if (isNumbered(style, object, taken)) return [];
      const suggested = freeName(style, object, taken);
      since.add(suggested);
      return suggested === object.name ? [] : [{ table, object, suggested }];
    });
  });
}

const ownedTables = once(({ tables }: Audit['catalogue']): readonly Table[] => tables.filter(isOwn));

function breaks(style: HouseStyle, object: NamedObject): boolean {
  if (!style.adopted.has(object.kind) || nameUnder(style, object) === object.name) return false;
  // What stands on expressions says what it is for in words of its own.
  if (object.kind === 'index' && object.columns.includes('expr')) return false;
  return ['index', 'sequence', 'trigger', 'not null'].includes(object.kind) || !isMadeBySystem(style, object);
}

/** `ix_call_vessel_id_2`, where another has the plain name and keeps it. */
function isNumbered(style: HouseStyle, object: NamedObject, taken: { has(name: string): boolean }): boolean {
  const plain = nameUnder(style, object);
  return taken.has(plain) && object.name.startsWith(plain) && /^_?[\p{L}\p{N}]+$/u.test(object.name.slice(plain.length));
}
