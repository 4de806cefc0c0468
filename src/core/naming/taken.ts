import { tableId } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import type { NameRules } from '../engines/engineFacts';
import { factsOf } from '../engines/facts';
import { once } from '../once';

/** The names that a new constraint, index or table of a schema must not take: those that are there, and those given since. */
export class TakenNames {
  private readonly given = new Set<string>();

  constructor(
    private readonly there: ReadonlySet<string>,
    private readonly fold: NameRules['fold'],
  ) {}

  /** Also where it is there in another spelling that the server takes for the same. */
  has(name: string): boolean {
    const own = this.fold(name);
    return this.there.has(own) || this.given.has(own);
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

  /** For a name on a table: of the whole schema, or of what its server tells apart within the table alone. */
  of({ schema, name }: Pick<Table, 'schema' | 'name'>, scope: 'schema' | 'table'): Pick<TakenNames, 'has' | 'add'> {
    const all = this.in(schema);
    if (scope === 'schema') return all;
    const own =
      this.byTable.get(`${schema}.${name}`) ?? new TakenNames(this.namesOn(schema, name), factsOf(this.catalogue).names.fold);
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
    const table = findTable(this.catalogue, tableId(schema, name));
    const { fold } = factsOf(this.catalogue).names;
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
  return new TakenNames(namesBySchema(catalogue).get(schema) ?? new Set(), factsOf(catalogue).names.fold);
}

function namesIn(catalogue: Catalogue): ReadonlyMap<string, ReadonlySet<string>> {
  const { fold } = factsOf(catalogue).names;
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
