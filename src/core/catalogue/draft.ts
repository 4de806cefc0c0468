// A catalogue while it is changed: tables by their ids, each replaced on its own, so that a change costs what it
// changes and not the whole catalogue. Made from a catalogue, and a catalogue can be made of it at any time.

import { CatalogueError } from './CatalogueError';
import type { ColumnId, TableId } from './identifiers';
import { heirsOf, referencesTo } from './lookups';
import type { Catalogue, Table } from './model';
import { once } from '../once';

export class Draft {
  private readonly changed = new Map<TableId, Table>();
  private readonly order: ReadonlyMap<TableId, number>;
  /** Tables that have been given a reference to a table since. */
  private readonly referring = new Map<TableId, Set<TableId>>();

  private readonly renamed = new Map<ColumnId, ColumnId>();
  /** Names of sequences by what they were at first, each behind its schema. */
  private readonly sequences = new Map<string, string>();

  constructor(private readonly catalogue: Catalogue) {
    this.order = orderOf(catalogue);
  }

  find(id: TableId): Table | null {
    const at = this.order.get(id);
    return this.changed.get(id) ?? (at === undefined ? null : (this.catalogue.tables[at] ?? null));
  }

  /** Throws when there is no such table. */
  get(id: TableId): Table {
    const table = this.find(id);
    if (!table) throw new CatalogueError(`No table ${id} in the catalogue of ${this.catalogue.database}.`);
    return table;
  }

  put(table: Table): void {
    this.changed.set(table.id, table);
    for (const constraint of table.constraints) {
      if (constraint.kind !== 'foreign key') continue;
      const own = this.referring.get(constraint.parent) ?? new Set<TableId>();
      this.referring.set(constraint.parent, own.add(table.id));
    }
  }

  /** What names columns from outside of the tables goes by another name from now on. */
  renameColumn(from: ColumnId, to: ColumnId): void {
    const [first] = [...this.renamed].find(([, now]) => now === from) ?? [from];
    if (first === to) this.renamed.delete(first);
    else this.renamed.set(first, to);
  }

  /** A sequence goes by another name from now on. */
  renameSequence({ schema, from, to }: { readonly schema: string; readonly from: string; readonly to: string }): void {
    const place = (name: string): string => `${schema}\0${name}`;
    const [first] = [...this.sequences].find(([at, now]) => now === from && at.startsWith(place(''))) ?? [place(from)];
    if (first === place(to)) this.sequences.delete(first);
    else this.sequences.set(first, to);
  }

  /** Tables that refer to one. */
  childrenOf(parent: TableId): readonly TableId[] {
    const before = referencesTo(this.catalogue, parent).map(({ child }) => child.id);
    return [...new Set([...before, ...(this.referring.get(parent) ?? [])])];
  }

  /** Every table below one that inherits from it, or is part of it. */
  descendantsOf(parent: TableId): readonly TableId[] {
    const found = new Set<TableId>();
    const add = (id: TableId): void => {
      for (const heir of heirsOf(this.catalogue, id)) {
        if (found.has(heir.id)) continue;
        found.add(heir.id);
        add(heir.id);
      }
    };
    add(parent);
    return [...found];
  }

  /** The same catalogue when nothing has changed. */
  done(): Catalogue {
    if (
      this.sequences.size === 0 &&
      [...this.changed].every(([id, table]) => this.catalogue.tables[this.order.get(id) ?? -1] === table)
    )
      return this.catalogue;
    const tables = this.catalogue.tables.map((table) => this.changed.get(table.id) ?? table);
    if (this.renamed.size === 0 && this.sequences.size === 0) return { ...this.catalogue, tables };
    const now = (id: ColumnId): ColumnId => this.renamed.get(id) ?? id;
    return {
      ...this.catalogue,
      tables,
      sequences: this.catalogue.sequences.map((one) => ({
        ...one,
        name: this.sequences.get(`${one.schema}\0${one.name}`) ?? one.name,
        ownedBy: one.ownedBy && now(one.ownedBy),
      })),
      joins: this.catalogue.joins.map(({ left, right }) => ({ left: now(left), right: now(right) })),
    };
  }
}

const orderOf = once(({ tables }: Catalogue): ReadonlyMap<TableId, number> => new Map(tables.map((table, i) => [table.id, i])));
