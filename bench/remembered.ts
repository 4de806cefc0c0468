// A source that remembers: what was measured once is kept in a file and not asked of the server again, so that a method can be tried
// on the whole corpus in seconds. The file is beside the corpus; delete it when the data changes.

import { appendFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Catalogue } from '../src/core/catalogue/model';
import type { Fact } from '../src/core/evidence/evidence';
import { type EvidenceRequest, keyOf } from '../src/core/evidence/requests';
import type { Source } from '../src/sources/source';

export type Recalled = Pick<Source, 'readCatalogue' | 'measure'>;

/** Opens the source only when something is asked that no file answers. */
export function remembering(file: string, open: () => Promise<Source>): Recalled & { readonly close: () => Promise<void> } {
  const facts = existsSync(`${file}.facts`)
    ? new Map(
        readFileSync(`${file}.facts`, 'utf8')
          .split('\n')
          .filter((line) => line !== '')
          .map((line) => JSON.parse(line) as Fact)
          .map((fact) => [fullKeyOf(fact.request), fact]),
      )
    : new Map<string, Fact>();
  let source: Promise<Source> | null = null;
  const opened = (): Promise<Source> => (source ??= open());
  mkdirSync(dirname(file), { recursive: true });
  return {
    async readCatalogue() {
      if (existsSync(`${file}.catalogue`)) return JSON.parse(readFileSync(`${file}.catalogue`, 'utf8')) as Catalogue;
      const catalogue = await (await opened()).readCatalogue();
      writeFileSync(`${file}.catalogue`, JSON.stringify(catalogue));
      return catalogue;
    },
    async measure(requests, catalogue, options) {
      const open = requests.filter((request) => !facts.has(fullKeyOf(request)));
      if (open.length > 0) {
        const measured = await (await opened()).measure(open, catalogue, options);
        for (const fact of measured) facts.set(fullKeyOf(fact.request), fact);
        appendFileSync(`${file}.facts`, measured.map((fact) => `${JSON.stringify(fact)}\n`).join(''));
      }
      return requests.flatMap((request) => facts.get(fullKeyOf(request)) ?? []);
    },
    async close() {
      if (source) await (await source).close();
    },
  };
}

// A probe is known by its column alone, though what it looks among may differ from method to method.
function fullKeyOf(request: EvidenceRequest): string {
  return request.kind === 'probe' ? `${keyOf(request)} ${JSON.stringify(request.parents)}` : keyOf(request);
}
