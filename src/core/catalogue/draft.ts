// A catalogue while it is changed: tables by their ids, each replaced on its own, so that a change costs what it
// changes and not the whole catalogue. Made from a catalogue, and a catalogue can be made of it at any time.

import { CatalogueError } from './CatalogueError';
import type { ColumnId, TableId } from './identifiers';
import { findSequence, heirsOf, referencesTo } from './lookups';
import type { Catalogue, Sequence, Table } from './model';
import { once } from '../once';

export class Draft {
  private readonly changed = new Map<TableId, Table>();
  private readonly order: ReadonlyMap<TableId, number>;
  /** Tables that have been given a reference to a table since. */
  private readonly referring = new Map<TableId, Set<TableId>>();

  private readonly renamed = new Map<ColumnId, ColumnId>();
  /** What tables of the catalogue are called now, where that has changed; null of those that are gone. */
  private readonly now = new Map<TableId, TableId | null>();
  /** The same from the other side. */
  private readonly first = new Map<TableId, TableId>();
  /** Tables that the catalogue has not. */
  private readonly added = new Set<TableId>();
  /** Names of sequences by what they were at first, each behind its schema. */
  private readonly sequences = new Map<string, string>();
  /** Sequences that are otherwise now, by what they were called at first. */
  private readonly numbering = new Map<string, Partial<Sequence>>();

  constructor(private readonly catalogue: Catalogue) {
    this.order = orderOf(catalogue);
  }

  get engine(): Catalogue['engine'] {
    return this.catalogue.engine;
  }

  find(id: TableId): Table | null {
    const changed = this.changed.get(id);
    if (changed || this.now.has(id)) return changed ?? null;
    const at = this.order.get(id);
    return at === undefined ? null : (this.catalogue.tables[at] ?? null);
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

  /** One that the catalogue has not. */
  add(table: Table): void {
    this.added.add(table.id);
    this.put(table);
  }

  /** Takes away one that was added. */
  remove(id: TableId): void {
    this.changed.delete(id);
    if (!this.added.delete(id)) this.now.set(id, null);
  }

  /** A table goes by another name from now on; `table` is it as it is then. */
  renameTable(from: TableId, table: Table): void {
    const first = this.first.get(from) ?? from;
    this.first.delete(from);
    this.changed.delete(from);
    if (this.added.delete(from)) return this.add(table);
    if (first === table.id) this.now.delete(first);
    else {
      this.now.set(first, table.id);
      this.first.set(table.id, first);
    }
    this.put(table);
  }

  /** What names columns from outside of the tables goes by another name from now on. */
  renameColumn(from: ColumnId, to: ColumnId): void {
    const [first] = [...this.renamed].find(([, now]) => now === from) ?? [from];
    if (first === to) this.renamed.delete(first);
    else this.renamed.set(first, to);
  }

  /** A sequence goes by another name from now on. */
  renameSequence({ schema, from, to }: { readonly schema: string; readonly from: string; readonly to: string }): void {
    const first = this.firstOf(schema, from);
    if (first === placeOf(schema, to)) this.sequences.delete(first);
    else this.sequences.set(first, to);
  }

  private firstOf(schema: string, name: string): string {
    const [first] = [...this.sequences].find(([at, now]) => now === name && at.startsWith(placeOf(schema, ''))) ?? [];
    return first ?? placeOf(schema, name);
  }

  /** The sequence that a column of the catalogue owns, as it is now; null where it has none. */
  sequenceOf(column: ColumnId): Sequence | null {
    const [first] = [...this.renamed].find(([, now]) => now === column) ?? [column];
    const sequence = findSequence(this.catalogue, first);
    if (!sequence) return null;
    const place = placeOf(sequence.schema, sequence.name);
    return { ...sequence, ...this.numbering.get(place), name: this.sequences.get(place) ?? sequence.name };
  }

  /** A sequence ends elsewhere, or counts in another type. */
  changeSequence({ schema, name }: Pick<Sequence, 'schema' | 'name'>, change: Pick<Sequence, 'type' | 'maximum'>): void {
    const first = this.firstOf(schema, name);
    const own = this.catalogue.sequences.find((one) => placeOf(one.schema, one.name) === first);
    if (own?.type === change.type && own.maximum === change.maximum) this.numbering.delete(first);
    else this.numbering.set(first, change);
  }

  /** Tables that refer to one. */
  childrenOf(parent: TableId): readonly TableId[] {
    const before = referencesTo(this.catalogue, this.first.get(parent) ?? parent).flatMap(({ child }) => this.nameNow(child.id));
    // Some have been renamed since they were seen to refer.
    const since = [...(this.referring.get(parent) ?? [])].filter((id) => this.find(id));
    return [...new Set([...before, ...since])];
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
    add(this.first.get(parent) ?? parent);
    return [...found].flatMap((id) => this.nameNow(id));
  }

  /** None of what is gone. */
  private nameNow(first: TableId): readonly TableId[] {
    const now = this.now.get(first);
    return now === undefined ? [first] : now === null ? [] : [now];
  }

  /** The same catalogue when nothing has changed. */
  done(): Catalogue {
    if (
      this.sequences.size + this.numbering.size + this.now.size + this.added.size === 0 &&
      [...this.changed].every(([id, table]) => this.catalogue.tables[this.order.get(id) ?? -1] === table)
    )
      return this.catalogue;
    const there = this.catalogue.tables.flatMap((table) =>
      this.nameNow(table.id).map((id) => this.reading(this.changed.get(id) ?? table)),
    );
    const tables = [...there, ...[...this.added].flatMap((id) => this.changed.get(id) ?? [])];
    if (this.renamed.size + this.sequences.size + this.numbering.size === 0) return { ...this.catalogue, tables };
    const now = (id: ColumnId): ColumnId => this.renamed.get(id) ?? id;
    return {
      ...this.catalogue,
      tables,
      sequences: this.catalogue.sequences.map((one) => ({
        ...one,
        ...this.numbering.get(placeOf(one.schema, one.name)),
        name: this.sequences.get(placeOf(one.schema, one.name)) ?? one.name,
        ownedBy: one.ownedBy && now(one.ownedBy),
      })),
      joins: this.catalogue.joins.map(({ left, right }) => ({ left: now(left), right: now(right) })),
    };
  }

  // Views go on to read from what they were made over.
  private reading(table: Table): Table {
    return table.readsFrom?.some((id) => this.now.has(id))
      ? { ...table, readsFrom: table.readsFrom.flatMap((id) => this.nameNow(id)) }
      : table;
  }
}

function placeOf(schema: string, name: string): string {
  return `${schema}\0${name}`;
}

const orderOf = once(({ tables }: Catalogue): ReadonlyMap<TableId, number> => new Map(tables.map((table, i) => [table.id, i])));
