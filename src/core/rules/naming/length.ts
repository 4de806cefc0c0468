import { renaming } from '../../naming/renaming';
import { factsOf } from '../../engines/facts';
import type { NamedKind } from '../../catalogue/model';
import { namedOf } from '../../naming/named';
import { freeName, isMadeBySystem } from '../../naming/style';
import { TakenBySchema } from '../../naming/taken';
import { defineRule } from '../rule';

interface Facts {
  readonly kind: NamedKind;
  readonly name: string;
  readonly suggested: string;
}

/** Names as long as names may be: what somebody meant to say was cut, and the next such name will be the same. */
export const cutName = defineRule<Facts>({
  id: 'naming/length',
  concern: 'Naming',
  about: 'A constraint or index whose name was cut off where the engine keeps no more.',
  *check(audit) {
    const { shorten } = factsOf(audit.catalogue).names;
    const taken = new TakenBySchema(audit.catalogue);
    for (const table of audit.tables) {
      if (table.kind === 'foreign' || table.extension !== undefined) continue;
      for (const object of namedOf(audit.catalogue, table)) {
        if (shorten(object.name, 1) === object.name || isMadeBySystem(audit.style, object) || isMarked(object.name)) continue;
        const names = taken.in(table.schema);
        const suggested = freeName(audit.style, object, names);
        names.add(suggested);
        yield {
          ...renaming(table, object, suggested),
          confidence: 0.7,
          facts: { kind: object.kind, name: object.name, suggested },
        };
      }
    }
  },

  words({ kind, name, suggested }, { table }) {
    return {
      title: 'Name cut off',
      message: `The ${kind} ${name} on ${table} is as long as a name can be: most likely it was cut.`,
      consequence:
        'A script that makes it anew under its whole name finds another name than it wrote, and two such names can become one.',
      measured: `${name.length} signs`,
      evidence: [
        { label: 'name', text: name },
        { label: 'would be', text: suggested },
      ],
      reasons: ['it ends where the engine keeps no more of a name'],
    };
  },
});

// Shortened word by word, with a mark of its own.
function isMarked(name: string): boolean {
  return /_[0-9a-z]{4}$/.test(name) && /\d/.test(name.slice(-4));
}
