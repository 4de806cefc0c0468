import type { Catalogue } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import { counted } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly engine: string;
  /** Tables of the schema that keep transactions. */
  readonly others: number;
  /** What those are kept by, and how a table is brought to it. */
  readonly better?: { readonly engine: string; readonly how: string };
}

/** A table without transactions and references among others that have both. */
export const nonTransactional = defineRule<Facts>({
  id: 'references/non-transactional',
  concern: 'References',
  about: 'A table kept by an engine without transactions and references, among tables that have both.',
  *check({ catalogue, tables }) {
    const others = transactionalBySchema(catalogue);
    const better = factsOf(catalogue).keepsTransactions;
    for (const { id, schema, storage } of tables) {
      const count = others.get(schema) ?? 0;
      if (storage?.transactional !== false || count === 0) continue;
      yield {
        table: id,
        columns: [],
        severity: 'Serious',
        confidence: 1,
        facts: {
          engine: storage.engine,
          others: count,
          ...(better && { better: { engine: better.storage.engine, how: better.how } }),
        },
        proposal: better ? { kind: 'keepBy', columns: [] } : byHand([]),
      };
    }
  },

  words({ engine, others, better }, { table }) {
    return {
      title: 'No transactions, no references',
      message: `${table} is kept by ${engine}, which knows neither transactions nor references, among ${counted(others, 'table')} that know both.`,
      consequence: `What is rolled back stays in ${table} all the same, a reference from it or to it is taken without a word and not kept, and whoever reads it holds up its writers.`,
      measured: engine,
      evidence: [{ label: 'engine', text: engine, harm: true }],
      reasons: ['read from the catalogue'],
      advice: `Bring it to ${better ? `${better.engine} in a change window (${better.how})` : 'one that keeps them'}, then survey again: its references can be declared then.`,
    };
  },
});

function transactionalBySchema({ tables }: Catalogue): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { schema, storage } of tables) if (storage?.transactional) counts.set(schema, (counts.get(schema) ?? 0) + 1);
  return counts;
}
