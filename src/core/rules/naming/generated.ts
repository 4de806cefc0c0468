import type { NamedKind, Table } from '../../catalogue/model';
import { namedConstraint } from '../../naming/named';
import { renaming } from '../../naming/renaming';
import { freeName, isMadeBySystem, isServerName, keepsServerNames } from '../../naming/style';
import { TakenBySchema, type TakenNames } from '../../naming/taken';
import { type Audit, defineRule } from '../rule';

interface Facts {
  readonly kind: NamedKind;
  readonly name: string;
  readonly suggested: string;
  readonly template: string;
  readonly expression: string | null;
}

/** Constraints whose name the system made, where the house names its own. */
export const generatedName = defineRule<Facts>({
  id: 'naming/generated',
  concern: 'Naming',
  about: 'A constraint whose name the system made, where the house names its own.',
  *check(audit) {
    const taken = new TakenBySchema(audit.catalogue);
    for (const table of audit.tables) {
      if (table.kind === 'foreign') continue;
      yield* generatedIn(audit, table, taken.in(table.schema));
    }
  },

  words({ kind, name, template, suggested, expression }, { table }) {
    return {
      title: 'Name made by the system',
      message: `The ${kind} ${name} on ${table} bears a name that the system made; the house style ${template} would call it ${suggested}.`,
      consequence: `An error that quotes ${name} tells nobody what was broken, and the name can differ from server to server, so scripts cannot rely on it.`,
      measured: kind,
      evidence: [
        { label: 'name', text: name },
        { label: 'house style', text: `${template}, as most names here` },
        ...(expression === null ? [] : [{ label: 'rule', text: expression }]),
      ],
      reasons: ['the name is what the server makes up when nobody gives one'],
    };
  },
});

function* generatedIn({ catalogue, style }: Audit, table: Table, taken: TakenNames) {
  for (const constraint of table.constraints) {
    const named = namedConstraint(catalogue, table, constraint);
    const usual = keepsServerNames(style, constraint.kind) && isServerName(style, named);
    if (usual || !(constraint.systemNamed ?? isMadeBySystem(style, named))) continue;
    const suggested = freeName(style, named, taken);
    if (suggested === constraint.name) continue;
    taken.add(suggested);
    yield {
      ...renaming(table, named, suggested),
      confidence: 1,
      facts: {
        kind: constraint.kind,
        name: constraint.name,
        suggested,
        template: style.templates[constraint.kind].text,
        expression: constraint.kind === 'check' ? constraint.expression : null,
      },
    };
  }
}
