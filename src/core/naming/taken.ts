import type { Catalogue } from '../catalogue/model';
import { once } from '../once';

/** The names that a new constraint, index or table of a schema must not take: those that are there, and those given since. */
export class TakenNames {
  private readonly given = new Set<string>();

  constructor(private readonly there: ReadonlySet<string>) {}

  has(name: string): boolean {
    return this.there.has(name) || this.given.has(name);
  }

  add(name: string): void {
    this.given.add(name);
  }
}

/** The names taken in each schema of a catalogue; what is given in one stays given. */
export class TakenBySchema {
  private readonly known = new Map<string, TakenNames>();

  constructor(private readonly catalogue: Catalogue) {}

  in(schema: string): TakenNames {
    let taken = this.known.get(schema);
    if (!taken) this.known.set(schema, (taken = namesTaken(this.catalogue, schema)));
    return taken;
  }
}

const namesBySchema = once(namesIn);

export function namesTaken(catalogue: Catalogue, schema: string): TakenNames {
  return new TakenNames(namesBySchema(catalogue).get(schema) ?? new Set());
}

function namesIn(catalogue: Catalogue): ReadonlyMap<string, ReadonlySet<string>> {
  const found = new Map<string, Set<string>>();
  const add = (schema: string, name: string): void => {
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
