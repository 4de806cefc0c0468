// A source as all of Pawl sees it: the engine's questions, put to a reader that knows one driver, or has a file of answers.

import { setImmediate } from 'node:timers/promises';
import { searchJoins } from '../core/catalogue/joins';
import { getTable } from '../core/catalogue/lookups';
import type { Catalogue, Join } from '../core/catalogue/model';
import { engineNamed, engineOf } from '../core/engines/index';
import type { EngineName } from '../core/engines/name';
import { type Answered, type Asking, keeping, NotAnswered, type Query, together } from '../core/engines/questions';
import type { Fact } from '../core/evidence/evidence';
import type { EvidenceRequest } from '../core/evidence/requests';
import { joined } from '../core/records';
import type { Source } from './source';
import { SourceError } from './SourceError';

export interface Reader {
  readonly engine: EngineName;
  /** The schemas that are meant, where a server has them of several databases side by side. */
  readonly schemas?: readonly string[];
  /** Set where answers are brought by somebody: more is asked at once. `values`: whether they may hold values of the tables. */
  readonly byFiles?: { readonly values: boolean };
  /** Asks in a transaction of its own that can only read. Throws NotAnswered. */
  ask(query: Query, bounds: ReaderBounds): Promise<Answered>;
  /** As `ask`, for as many queries as `work` asks: all of them see one snapshot. */
  inOneSnapshot<T>(bounds: ReaderBounds, work: (ask: Ask) => Promise<T>): Promise<T>;
  /** Stops what is running now; what waits for it throws SourceError `cancelled`. */
  cancel(): Promise<void>;
  close(): Promise<void>;
}

export type Ask = (query: Query) => Promise<Answered>;

export interface ReaderBounds {
  /** What is being done, for whoever reads why it was not answered: `Measuring port.call`. */
  readonly doing: string;
  /** The longest that one statement may take; null for the reader's own limit. */
  readonly statementMs?: number | null;
  /** Parallel workers that a statement may have beside its own process. */
  readonly workers?: number;
}

/** What a reader throws whose answers somebody brings later. */
export class Later extends Error {
  override readonly name = 'Later';

  constructor(readonly queries: readonly Query[]) {
    super('The answers are still to be brought.');
  }
}

/**
 * Puts a question, query by query. What keeps a query from its answer is thrown into the question, and out again if nothing there
 * catches it. Throws Later with all that can be asked at once when some of it is still to be brought.
 */
export async function answer<T>(asking: Asking<T>, ask: Ask): Promise<T> {
  let next = asking.next();
  while (!next.done) {
    const answers: Answered[] = [];
    const open: Query[] = [];
    let problem: NotAnswered | null = null;
    for (const query of next.value) {
      try {
        answers.push(await ask(query));
      } catch (error) {
        if (error instanceof Later) {
          open.push(...error.queries);
          continue;
        }
        if (!(error instanceof NotAnswered)) throw error;
        if (query.mayFail && !error.last) {
          answers.push({ rows: [], names: [], refused: error });
          continue;
        }
        problem = error;
        break;
      }
    }
    if (open.length > 0) throw new Later(open);
    next = problem ? asking.throw(problem) : asking.next(answers);
  }
  return next.value;
}

/** The questions of the reader's engine, put to it. */
export function sourceOver(reader: Reader): Source {
  const { questions } = engineNamed(reader.engine);
  const { schemas } = reader;
  const within = schemas ? { schemas } : {};
  const byFiles = reader.byFiles ? { atOnce: true, values: reader.byFiles.values } : {};
  let cancelled = false;
  const inSnapshot = <T>(asking: Asking<T>, doing: string): Promise<T> =>
    reader.inOneSnapshot({ doing }, (ask) => answer(asking, ask));
  return {
    byFiles: reader.byFiles !== undefined,
    async readCatalogue({ statistics = false, joins = true } = {}) {
      const doing = 'Cannot read the catalogue';
      if (reader.byFiles) return catalogueByFiles(reader, doing);
      const read = (sizes: 'exact' | 'estimated') => inSnapshot(questions.catalogue({ statistics, sizes, ...within }), doing);
      const catalogue = await read('exact').catch((error: unknown) => {
        // A table locked by somebody else keeps exact sizes from us, not the catalogue.
        if (error instanceof SourceError && error.reason === 'locked') return read('estimated');
        throw error;
      });
      if (!joins) return catalogue;
      // Read after all else: what views and functions say is anybody's who may make one.
      const texts = await answer(questions.definitions({ statements: true, ...within }), (query) => reader.ask(query, { doing }));
      return { ...catalogue, joins: await joinsIn(texts, catalogue, () => cancelled) };
    },
    login: () => inSnapshot(questions.login(schemas), 'Looking at what this login may do'),
    measure: (requests, catalogue, { timeoutMs = null, workers = 0, rest = noRest, ...options }) => {
      const bounds = { doing: `Measuring ${requests[0]?.table}`, statementMs: timeoutMs, workers };
      return factsOf(requests, catalogue, () =>
        answer(questions.measure(requests, catalogue, { ...options, ...byFiles }), async (query) => {
          const started = performance.now();
          const answered = await reader.ask(query, bounds);
          await rest(performance.now() - started);
          return answered;
        }),
      );
    },
    offenders: (question, page) => inSnapshot(questions.rows(question, page), `Reading rows of ${question.table}`),
    dependents: (table, part) => inSnapshot(questions.dependents(table, part), `Looking for what names ${part.name}`),
    ddl: (table, name) => inSnapshot(questions.ddl(table, name), `Reading how ${name} of ${table} is made`),
    reach: (question) => inSnapshot(questions.reach(question), `Counting how far a delete in ${question.parent} reaches`),
    cancel() {
      cancelled = true;
      return reader.cancel();
    },
    close: () => reader.close(),
  };
}

// All of it in one round; the statements that are called most would be another, and hold values.
async function catalogueByFiles(reader: Reader, doing: string): Promise<Catalogue> {
  const { questions } = engineNamed(reader.engine);
  const within = { ...(reader.schemas && { schemas: reader.schemas }), atOnce: true };
  const read: { catalogue?: Catalogue; texts: readonly string[] } = { texts: [] };
  await answer(
    together([
      keeping(
        questions.catalogue({ statistics: false, sizes: 'estimated', ...within }),
        (catalogue) => (read.catalogue = catalogue),
      ),
      keeping(questions.definitions({ statements: false, ...within }), (texts) => (read.texts = texts)),
    ]),
    (query) => reader.ask(query, { doing }),
  );
  const { catalogue, texts } = read;
  if (!catalogue) throw new NotAnswered('The catalogue was not read.', true);
  const unknown = reader.byFiles?.values ? catalogue.unknown : [...catalogue.unknown, 'values' as const];
  return { ...catalogue, source: 'queries', unknown, joins: await joinsIn(texts, catalogue, () => false) };
}

const noRest = (): Promise<void> => Promise.resolve();

/**
 * Facts of requests about tables that can be read. Throws SourceError when the connection is lost or the work cancelled; all else
 * (rights, time, locks) becomes a fact: not measured, with the reason.
 */
export async function factsOf(
  requests: readonly EvidenceRequest[],
  catalogue: Catalogue,
  measure: () => Promise<readonly object[]>,
): Promise<readonly Fact[]> {
  const at = new Date().toISOString();
  const nothing = (notMeasured: string): readonly Fact[] => requests.map((request) => ({ request, notMeasured, at }));
  const unreadable = requests
    .flatMap((request) => (request.kind === 'inclusion' ? [request.table, request.parent] : [request.table]))
    .find((id) => !getTable(catalogue, id).readable);
  if (unreadable !== undefined) return nothing(`The role may not read ${unreadable}. Grant SELECT on it and survey again.`);
  try {
    return (await measure()).map((fact) => joined(fact, { at }) as Fact);
  } catch (error) {
    if (!(error instanceof NotAnswered) || error.last) throw error;
    return nothing(error.message);
  }
}

const sliceMs = 10;

// Looked into a little at a time, so that somebody who wants to stop it is heard.
async function joinsIn(texts: readonly string[], catalogue: Catalogue, cancelled: () => boolean): Promise<readonly Join[]> {
  const { names, types } = engineOf(catalogue);
  const search = searchJoins(catalogue, { ...names, casts: types.casts });
  let since = performance.now();
  for (const text of texts) {
    search.lookInto(text);
    if (performance.now() - since < sliceMs) continue;
    await setImmediate();
    since = performance.now();
    if (cancelled()) throw new SourceError('It was cancelled.', 'cancelled');
  }
  return search.found();
}
