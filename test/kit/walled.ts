// A source behind a wall in a store of its own, filled by surveys that are drawn: use cases are tried on it without a server to audit.

import type pg from 'pg';
import { afterAll, beforeAll } from 'vitest';
import { engineNames } from '../../src/core/engines/name';
import type { TableId } from '../../src/core/catalogue/identifiers';
import { audit } from '../../src/core/rules/audit';
import { documentOf } from '../../src/core/survey/document';
import { readSurveyDocument, type ReadSurvey } from '../../src/input/surveyDocument';
import { openStore } from '../../src/store/db';
import { migrate } from '../../src/store/migrate';
import { addSource, type Environment, findSource } from '../../src/store/sources/sources';
import { pawlItself } from '../../src/work/actor';
import type { Room } from '../../src/work/enter';
import { useDatabase } from './database';
import { evidence, profiled } from './measured';
import { sketch } from './sketch';
import { there } from './there';

interface Walled {
  readonly url: string;
  store(this: void): pg.Pool;
  /** Another source, as Pawl itself enters it. */
  source(this: void, environment?: Environment): Promise<Room>;
}

export function useWalled(): Walled {
  const database = useDatabase();
  let store: pg.Pool;
  let made = 0;
  beforeAll(async () => {
    await migrate(database.url);
    store = openStore(database.url);
  });
  afterAll(() => store.end());
  return {
    url: database.url,
    store: () => store,
    source: async (environment = 'test') => {
      const id = await addSource(store, {
        ...{ name: `behind a wall ${made++}`, environment, kind: 'files', secret: '' },
        settings: { engine: engineNames[0], database: 'sketch', rows: false },
      });
      const office = { store, enqueue: () => Promise.resolve(), offerLogin: () => Promise.resolve(true) };
      return { source: there(await findSource(store, id)), store, office, actor: pawlItself('browser') };
    },
  };
}

/** A file of these tables, as the terminal writes it; every value in it differs. */
export async function surveyFile(drawn: string, scope: readonly string[] | null = null, rows = 60): Promise<ReadSurvey> {
  const catalogue = sketch(drawn);
  const measured = catalogue.tables.map((table) =>
    profiled(catalogue, table.id, rows, Object.fromEntries(table.columns.map(({ name }) => [name, { distinct: rows }]))),
  );
  const known = evidence(...measured);
  const tables = scope && new Set(scope as readonly TableId[]);
  const findings = audit(catalogue, known, { scope: tables });
  const document = documentOf({
    ...{ catalogue, evidence: known, findings, takenAt: '2026-11-01T00:00:00Z', depth: 'exact', scope: tables },
  });
  return readSurveyDocument(JSON.stringify(document));
}
