// The house style for names of constraints and indexes, and what the server would have called
// them by itself. Templates use {table}, {columns} and {parent}. Where nobody has said what the
// style is, it is read off the names that are there.

import type { Catalogue, Constraint, Table } from '../catalogue/model';
import { baseTables, findTable } from '../catalogue/lookups';
import type { NameRules } from '../engines/engine';
import { engineOf, type EngineName, engines } from '../engines/index';
import { once } from '../once';

export type NamedKind = 'primary key' | 'unique' | 'foreign key' | 'check' | 'exclusion' | 'index';

export interface HouseStyle {
  readonly engine: EngineName;
  /** A template for each kind of object. */
  readonly templates: Readonly<Record<NamedKind, string>>;
}

export interface Named {
  readonly kind: NamedKind;
  readonly table: string;
  readonly columns: readonly string[];
  readonly parent?: string;
}

// Known styles, each tried against the names that are there.
const customary: Readonly<Record<NamedKind, readonly string[]>> = {
  'primary key': ['pk_{table}', '{table}_pk'],
  unique: ['uq_{table}_{columns}', 'uk_{table}_{columns}', '{table}_{columns}_uq', '{table}_{columns}_uk'],
  'foreign key': ['fk_{table}_{parent}', 'fk_{table}_{columns}', '{table}_{parent}_fk', '{table}_{columns}_fk'],
  check: ['ck_{table}_{columns}', 'chk_{table}_{columns}', '{table}_{columns}_ck'],
  exclusion: ['ex_{table}_{columns}'],
  index: ['ix_{table}_{columns}', 'idx_{table}_{columns}', '{table}_{columns}_ix'],
};

/** The style that most names follow already; the server's own where no other prevails. */
export const inferStyle = once(infer);

function infer(catalogue: Catalogue): HouseStyle {
  const names = namesByKind(catalogue);
  const { names: rules } = engineOf(catalogue);
  const templates = Object.fromEntries(
    Object.entries(customary).map(([kind, choices]) => [kind, prevailing(kind as NamedKind, choices, names, rules)]),
  ) as Record<NamedKind, string>;
  return { engine: catalogue.engine.name, templates: agree(templates, rules) };
}

function rulesOf({ engine }: HouseStyle): NameRules {
  return engines[engine].names;
}

/** The name that a style gives an object, shortened to what the server can keep. */
export function nameFor(style: HouseStyle, named: Named): string {
  const rules = rulesOf(style);
  return rules.shorten(fill(style.templates[named.kind], named, rules));
}

/** A name that no other object of the schema bears: numbered when taken. */
export function freeName(style: HouseStyle, named: Named, taken: Pick<TakenNames, 'has'>): string {
  const name = nameFor(style, named);
  if (!taken.has(name)) return name;
  const { shorten } = rulesOf(style);
  const longer = shorten(`${name}_${named.columns.join('_')}`);
  if (named.columns.length > 0 && !taken.has(longer)) return longer;
  const numbered = (n: number): string => `${shorten(name, `_${n}`.length)}_${n}`;
  let n = 2;
  while (taken.has(numbered(n))) n++;
  return numbered(n);
}

/**
 * True when a name was made by a server and not by a person: the server's own pattern with a
 * number behind it, or one that is only a number (`$1`, `sys_c00123`).
 */
export function isMadeBySystem(style: HouseStyle, name: string, named: Named): boolean {
  if (/^(\$\d+|sys_c\d+|con\d+|constraint_?\d+|[a-z]{2}__.*__[0-9a-f]{8})$/i.test(name)) return true;
  const rules = rulesOf(style);
  const own = fill(rules.templates[named.kind], named, rules);
  return name.replace(/\d+$/, '') === own || name === own;
}

/** True when a style keeps the server's own names, so that only numbered ones stand out. */
export function keepsServerNames(style: HouseStyle, kind: NamedKind): boolean {
  return style.templates[kind] === rulesOf(style).templates[kind];
}

export function isServerName(style: HouseStyle, name: string, named: Named): boolean {
  const rules = rulesOf(style);
  return name === rules.shorten(fill(rules.templates[named.kind], named, rules));
}

export function namedConstraint(catalogue: Catalogue, table: Table, constraint: Constraint): Named {
  const base = { kind: constraint.kind, table: table.name, columns: constraint.kind === 'primary key' ? [] : constraint.columns };
  return constraint.kind === 'foreign key' ? { ...base, parent: findTable(catalogue, constraint.parent)?.name ?? '' } : base;
}

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
  for (const { schema, name, constraints, indexes } of catalogue.tables) {
    add(schema, name);
    for (const constraint of constraints) add(schema, constraint.name);
    for (const index of indexes) add(schema, index.name);
  }
  for (const { schema, name } of catalogue.sequences) add(schema, name);
  return found;
}

function namesByKind(catalogue: Catalogue): ReadonlyMap<NamedKind, readonly (readonly [string, Named])[]> {
  const found = new Map<NamedKind, (readonly [string, Named])[]>();
  const add = (name: string, named: Named): void => {
    const alike = found.get(named.kind);
    if (alike) alike.push([name, named]);
    else found.set(named.kind, [[name, named]]);
  };
  for (const table of baseTables(catalogue)) {
    for (const constraint of table.constraints) add(constraint.name, namedConstraint(catalogue, table, constraint));
    for (const index of table.indexes) {
      if (!index.constraint)
        add(index.name, { kind: 'index', table: table.name, columns: index.columns.filter((c) => c !== null) });
    }
  }
  return found;
}

function prevailing(
  kind: NamedKind,
  choices: readonly string[],
  names: ReadonlyMap<NamedKind, readonly (readonly [string, Named])[]>,
  rules: NameRules,
): string {
  const all = names.get(kind) ?? [];
  // A name that somebody chose says more about the house than one that the server made: ties go to it.
  const best = [...choices, rules.templates[kind]]
    .map((template) => ({ template, followers: all.filter(([name, named]) => follows(name, template, named, rules)).length }))
    .sort((a, b) => b.followers - a.followers)[0];
  return best && best.followers > 0 ? best.template : '';
}

// A kind of which there is no example takes after the others: a house that writes pk_ also writes fk_.
function agree(templates: Record<NamedKind, string>, rules: NameRules): Readonly<Record<NamedKind, string>> {
  const known = Object.entries(templates).filter(([, template]) => template !== '');
  const own = known.filter(([kind, template]) => template !== rules.templates[kind as NamedKind]);
  const useOwn = own.length * 2 > known.length;
  for (const kind of Object.keys(templates) as NamedKind[]) {
    if (templates[kind] === '') templates[kind] = useOwn ? (customary[kind][0] ?? rules.templates[kind]) : rules.templates[kind];
  }
  return templates;
}

// Checks are named for what they mean, so a prefix is all that can be expected of them.
function follows(name: string, template: string, named: Named, rules: NameRules): boolean {
  if (named.kind === 'check' && !template.endsWith('_check'))
    return name.startsWith(fill(template.replace('{columns}', ''), named, rules));
  return name === rules.shorten(fill(template, named, rules));
}

// The server leaves out the columns of a check that covers several.
function fill(template: string, named: Named, rules: NameRules): string {
  const several = named.kind === 'check' && named.columns.length !== 1 && template === rules.templates.check;
  const filled = (several ? rules.checkOfSeveral : template)
    .replaceAll('{table}', named.table)
    .replaceAll('{columns}', named.columns.join('_'))
    .replaceAll('{parent}', named.parent ?? '');
  return filled.replaceAll(/__+/g, '_');
}
