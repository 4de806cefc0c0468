import type { Catalogue } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

/** Columns of the schema with a time zone, and without one. */
interface Facts {
  readonly zoned: number;
  readonly unzoned: number;
}

/** A moment without a time zone in a schema whose others have one. Where none has one, it is a custom and left alone. */
export const timestampWithoutZone = defineRule<Facts>({
  id: 'values/timestamp-without-zone',
  concern: 'Values',
  about: 'Moments without a time zone among others that have one.',
  *check({ catalogue, tables }) {
    const { zoneOf, zoned } = factsOf(catalogue).types;
    const counts = countBySchema(catalogue);
    for (const table of tables) {
      const count = counts.get(table.schema) ?? { zoned: 0, unzoned: 0 };
      if (count.zoned < 2 || count.unzoned > count.zoned) continue;
      for (const column of table.columns) {
        if (zoneOf(column) !== 'without') continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: table.columns.some((other) => zoneOf(other) === 'with') ? 'Moderate' : 'Minor',
          confidence: 0.8,
          facts: count,
          proposal: zoned(column) ? { kind: 'retype', columns: [column.name], to: 'zoned' } : byHand([column.name]),
        };
      }
    }
  },

  words({ zoned, unzoned }, { schema, table, columns }) {
    return {
      title: 'Moment without time zone',
      message: `${columns.join(', ')} of ${table} is a timestamp without time zone, while ${zoned} of the ${zoned + unzoned} moments in ${schema} have one.`,
      consequence:
        'Compared with the others it means another moment for every session, and twice a year the same hour comes again.',
      measured: 'no zone',
      evidence: [
        { label: 'with zone', text: String(zoned) },
        { label: 'without', text: String(unzoned) },
      ],
      reasons: ['both kinds stand side by side'],
      advice: 'Find out in which zone it was written, then have it tell that.',
      noScript: 'the type of this server that tells a zone ends in 2038.',
    };
  },
});

function countBySchema(catalogue: Catalogue): ReadonlyMap<string, Facts> {
  const { zoneOf } = factsOf(catalogue).types;
  const counts = new Map<string, Facts>();
  for (const { schema, columns } of catalogue.tables) {
    const { zoned, unzoned } = counts.get(schema) ?? { zoned: 0, unzoned: 0 };
    const zones = columns.map((column) => zoneOf(column));
    counts.set(schema, {
      zoned: zoned + zones.filter((zone) => zone === 'with').length,
      unzoned: unzoned + zones.filter((zone) => zone === 'without').length,
    });
  }
  return counts;
}
