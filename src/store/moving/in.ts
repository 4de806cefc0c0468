import { type Db, findRow, getRow } from '../db';
import type { SourceId } from '../ids';
import { columnsOf, type Contents, type Mover } from './out';
import { type Part, parts } from './parts';

/** What came does not fit this store, in words. */
export class ArrivalError extends Error {
  override readonly name = 'ArrivalError';
}

/**
 * Takes in a source, part by part in their order. Numbers stay as they were where all of a part's are free here, else all of
 * them move up by the same. In one transaction.
 */
export class Arrival {
  private readonly shifts = new Map<string, number>();
  private readonly columns = new Map<string, readonly string[]>();
  private readonly kept = new Map<string, string[]>();
  private people: Readonly<Record<string, number>> = {};

  constructor(
    private readonly db: Db,
    private readonly contents: Contents,
    /** How the source is called here. */
    private readonly name: string,
  ) {}

  /** Throws ArrivalError where something in it is not of this store. */
  async begin(): Promise<void> {
    const unknown = Object.keys(this.contents.parts).find((name) => !parts.some(({ table }) => table === name));
    if (unknown !== undefined) throw new ArrivalError(`It holds ${JSON.stringify(unknown)}, which is nothing of a source.`);
    for (const part of parts) {
      const coming = this.contents.parts[part.table];
      if (!coming) throw new ArrivalError(`It holds no ${part.table}.`);
      const known = await columnsOf(this.db, part);
      if (coming.columns.length !== known.length || known.some((column) => !coming.columns.includes(column)))
        throw new ArrivalError(`Its ${part.table} are not those of this version.`);
      this.columns.set(part.table, [...new Set([...known, ...Object.keys(this.insteadIn(part))])]);
      if ('id' in part.numbers) this.shifts.set(part.table, await this.room(part, coming));
    }
    this.people = await this.find(this.contents.people);
  }

  /** Takes rows of a part, each as JSON. */
  async take(part: Part, rows: readonly string[]): Promise<void> {
    const columns = this.columns.get(part.table) ?? [];
    const { later = [] } = part;
    if (later.length > 0) this.kept.set(part.table, [...(this.kept.get(part.table) ?? []), ...rows]);
    const instead = this.insteadIn(part);
    const values = [`[${rows.join(',')}]`, JSON.stringify(this.people), JSON.stringify(instead)];
    const taken = columns.map((column) => {
      if (column in instead) return `"instead"."${column}"`;
      return later.includes(column) ? 'null' : this.numbered(part, column);
    });
    await this.db.query(
      `insert into ${part.table} (${columns.map((column) => `"${column}"`).join(', ')}) overriding system value
       select ${taken.join(', ')}
       from json_populate_recordset(null::${part.table}, $1::json) as own,
         json_populate_record(null::${part.table}, $3::json) as "instead",
         (select $2::jsonb as known) as people`,
      values,
    );
  }

  private insteadIn({ table, instead = {} }: Part): Readonly<Record<string, unknown>> {
    return table === 'sources' ? { ...instead, name: this.name } : instead;
  }

  /** Sets what refers to what came after it. The answer is the number that the source has here. */
  async end(): Promise<SourceId> {
    for (const part of parts) {
      const rows = this.kept.get(part.table) ?? [];
      if (rows.length === 0) continue;
      const set = (part.later ?? []).map((column) => `"${column}" = ${this.numbered(part, column)}`);
      await this.db.query(
        `update ${part.table} set ${set.join(', ')}
         from json_populate_recordset(null::${part.table}, $1::json) as own
         where ${part.table}.id = ${this.numbered(part, 'id')}`,
        [`[${rows.join(',')}]`],
      );
    }
    return ((this.contents.parts['sources']?.first ?? 0) + (this.shifts.get('sources') ?? 0)) as SourceId;
  }

  private numbered(part: Part, column: string): string {
    const other = part.numbers[column];
    if (other === undefined) return `own."${column}"`;
    if (other === 'people') return `(people.known ->> own."${column}"::text)::bigint`;
    return `own."${column}" + ${this.shifts.get(other) ?? 0}`;
  }

  /** By how much its numbers move up, with the sequence set beyond them. */
  private async room(
    { table }: Part,
    { first, last }: { readonly first: number | null; readonly last: number | null },
  ): Promise<number> {
    if (first === null || last === null) return 0;
    if (!Number.isSafeInteger(first) || !Number.isSafeInteger(last) || first < 1 || last < first || last > mostNumber)
      throw new ArrivalError(`The numbers of its ${table} are none.`);
    const { sequence, highest, taken } = await getRow<{ sequence: string; highest: number; taken: boolean }>(
      this.db,
      `select pg_get_serial_sequence($1, 'id') as sequence, coalesce(max(id), 0) as highest,
         coalesce(bool_or(id between $2 and $3), false) as taken
       from ${table}`,
      [table, first, last],
    );
    const { reached } = await getRow<{ reached: number }>(this.db, `select last_value as reached from ${sequence}`);
    const shift = taken ? Math.max(highest, reached) - first + 1 : 0;
    await this.db.query('select setval($1::regclass, $2)', [sequence, Math.max(last + shift, highest, reached)]);
    return shift;
  }

  /** People by their names; who is not here stands there from now on, and cannot sign in. */
  private async find(people: readonly Mover[]): Promise<Readonly<Record<string, number>>> {
    const found: [string, number][] = [];
    for (const { id, name, full_name: fullName } of people) {
      const known =
        (await findRow<{ id: number }>(this.db, 'select id from people where name = $1 and full_name = $2', [name, fullName])) ??
        (await this.stranger(name, fullName));
      found.push([String(id), known.id]);
    }
    return Object.fromEntries(found);
  }

  private async stranger(name: string, fullName: string): Promise<{ readonly id: number }> {
    const { others } = await getRow<{ others: number }>(
      this.db,
      'select count(*) as others from people where name = $1 or starts_with(name, $2)',
      [name, `${name}.`],
    );
    return getRow(this.db, 'insert into people (name, full_name, disabled_at) values ($1, $2, now()) returning id', [
      others === 0 ? name : `${name}.${others + 1}`,
      fullName,
    ]);
  }
}

const mostNumber = 2 ** 50;
