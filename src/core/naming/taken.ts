import { tableId } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { engineOf } from '../engines/index';
import { once } from '../once';
import type { NamedKind } from './named';

/** The names that a new constraint, index or table of a schema must not take: those that are there, and those given since. */
export class TakenNames {
  private readonly given = new Set<string>();

  constructor(
    private readonly there: ReadonlySet<string>,
    private readonly fold: (name: string) => string,
  ) {}

  /** Also where it is there in another case. */
  has(name: string): boolean {
    const folded = this.fold(name);
    return this.there.has(folded) || this.given.has(folded);
  }

  add(name: string): void {
    this.given.add(this.fold(name));
  }
}

/** The names taken in each schema of a catalogue; what is given in one stays given. */
export class TakenBySchema {
  private readonly known = new Map<string, TakenNames>();
  private readonly byTable = new Map<string, TakenNames>();

  constructor(private readonly catalogue: Catalogue) {}

  /** For a name of some kind on a table: what its server tells apart. */
  of({ schema, name }: Pick<Table, 'schema' | 'name'>, kind: NamedKind): Pick<TakenNames, 'has' | 'add'> {
    const { names } = engineOf(this.catalogue);
    const all = this.in(schema);
    if (names.scopeOf(kind) === 'schema') return all;
    const own = this.byTable.get(`${schema}.${name}`) ?? new TakenNames(this.namesOn(schema, name), names.fold);
    this.byTable.set(`${schema}.${name}`, own);
    return {
      has: (asked) => own.has(asked),
      add: (given) => {
        own.add(given);
        all.add(given);
      },
    };
  }

  private namesOn(schema: string, name: string): ReadonlySet<string> {
    const { fold } = engineOf(this.catalogue).names;
    const table = findTable(this.catalogue, tableId(schema, name));
    return new Set([...(table?.constraints ?? []), ...(table?.indexes ?? [])].map((one) => fold(one.name)));
  }

  in(schema: string): TakenNames {
    let taken = this.known.get(schema);
    if (!taken) this.known.set(schema, (taken = namesTaken(this.catalogue, schema)));
    return taken;
  }
}

const namesBySchema = once(namesIn);

export function namesTaken(catalogue: Catalogue, schema: string): TakenNames {
  return new TakenNames(namesBySchema(catalogue).get(schema) ?? new Set(), engineOf(catalogue).names.fold);
}

function namesIn(catalogue: Catalogue): ReadonlyMap<string, ReadonlySet<string>> {
  const { fold } = engineOf(catalogue).names;
  const found = new Map<string, Set<string>>();
  const add = (schema: string, spelt: string): void => {
    const name = fold(spelt);
    const names = found.get(schema);
    if (names) names.add(name);
    else found.set(schema, new Set([name]));
  };
  for (const { schema, name, columns, constraints, indexes } of catalogue.tables) {
    add(schema, name);
    for (const constraint of constraints) add(schema, constraint.name);
    for (const { notNull } of columns) if (notNull) add(schema, notNull.name);
    for (const index of indexes) add(schema, index.name);
  }
  for (const { schema, name } of catalogue.sequences) add(schema, name);
  return found;
}
