// The house style for names of constraints and indexes: what a source's people adopted, and where they adopted nothing, what
// most of the names that are there follow. And what the server would have called things by itself.

import { type Catalogue, type NamedKind, namedKinds } from '../catalogue/model';
import type { NameRules } from '../engines/engineFacts';
import { factsOf } from '../engines/facts';
import type { EngineName } from '../engines/name';
import { once } from '../once';
import { type Spelling, spellingOf } from './dictionary';
import { conventionsOf, type Followed } from './infer';
import { isServerMade, serverName } from './made';
import type { NamedObject, ToName } from './named';
import { isTermKind, parseFor, type StyledKind, styledKinds, type TermKind } from './styled';
import type { TakenNames } from './taken';
import { isTemplateProblem, nameBy, readable, render, type Template } from './template';

/** Templates by kind, as somebody adopted them; a kind that is left out follows what most names do. */
export type Adopted = Readonly<Partial<Record<StyledKind, string>>>;

export interface HouseStyle {
  readonly engine: EngineName;
  readonly spelling: Spelling;
  readonly templates: Readonly<Record<NamedKind, Template>>;
  /** The kinds of which somebody said what they are to be called. */
  readonly adopted: ReadonlySet<StyledKind>;
  /** Of tables and columns, by what was adopted; the case of their letters by what nearly all of them have, too. */
  readonly terms: ReadonlyMap<TermKind, Template>;
}

/** The style of a source: what was adopted, else what prevails. Templates that cannot be read count as not adopted. */
export function styleOf(catalogue: Catalogue, adopted: Adopted = {}): HouseStyle {
  const prevailing = prevailingStyle(catalogue);
  const said = styledKinds.flatMap((kind) => {
    const text = adopted[kind];
    const template = text === undefined ? null : parseFor(kind, text);
    return template === null || isTemplateProblem(template) ? [] : [[kind, template] as const];
  });
  if (said.length === 0) return prevailing;
  return {
    ...prevailing,
    templates: { ...prevailing.templates, ...Object.fromEntries(said.filter(([kind]) => !isTermKind(kind))) },
    adopted: new Set(said.map(([kind]) => kind)),
    terms: new Map([...prevailing.terms, ...said.flatMap(([kind, one]) => (isTermKind(kind) ? [[kind, one] as const] : []))]),
  };
}

/**
 * What a whole style is made of when nobody looks at each of its templates: those of constraints and indexes, and of tables
 * and columns those that nearly all names bear out.
 */
export function settledStyle(conventions: readonly Followed[]): Adopted {
  return Object.fromEntries(
    conventions.flatMap(({ kind, template, names, follow }) =>
      template === null || (isTermKind(kind) && follow < nearlyAll * names) ? [] : [[kind, template]],
    ),
  );
}

/** Before the case of letters is held against the few that differ. */
const fewestNames = 12;
const nearlyAll = 0.9;

const prevailingStyle = once((catalogue: Catalogue): HouseStyle => {
  const { names: rules } = factsOf(catalogue);
  const conventions = conventionsOf(catalogue);
  const learned = new Map(
    conventions.flatMap(({ kind, template, names, follow }) =>
      !isTermKind(kind) &&
      // One name with a number behind it is no custom.
      template !== null &&
      follow * 3 >= names &&
      (follow > 1 || !template.includes('{n}'))
        ? [[kind, template] as const]
        : [],
    ),
  );
  const fallback = takingAfter(learned, rules);
  const templates = Object.fromEntries(namedKinds.map((kind) => [kind, readable(learned.get(kind) ?? fallback(kind))])) as Record<
    NamedKind,
    Template
  >;
  const terms = conventions.flatMap(({ kind, template, names, follow }) =>
    (kind === 'table' || kind === 'column') && template !== null && names >= fewestNames && follow >= nearlyAll * names
      ? [[kind, readable(template.replace(/\{words:.*:/, '{words:'))] as const]
      : [],
  );
  return { engine: catalogue.engine.name, spelling: spellingOf(catalogue), templates, adopted: new Set(), terms: new Map(terms) };
});

const customary: Readonly<Record<NamedKind, readonly [string, string]>> = {
  'primary key': ['pk_{table}', '{table}_pk'],
  unique: ['uq_{table}_{columns}', '{table}_{columns}_uq'],
  'foreign key': ['fk_{table}_{parent}', '{table}_{parent}_fk'],
  check: ['ck_{table}_{columns}', '{table}_{columns}_ck'],
  exclusion: ['ex_{table}_{columns}', '{table}_{columns}_ex'],
  'not null': ['nn_{table}_{columns}', '{table}_{columns}_nn'],
  index: ['ix_{table}_{columns}', '{table}_{columns}_ix'],
  sequence: ['sq_{table}_{columns}', '{table}_{columns}_seq'],
  trigger: ['tr_{table}_{meaning}', '{table}_{meaning}_tr'],
};

const byServer: ReadonlySet<NamedKind> = new Set(['sequence', 'trigger', 'not null']);

// A kind of which there is no example takes after the others: a house that writes pk_ also writes fk_.
function takingAfter(learned: ReadonlyMap<NamedKind, string>, rules: NameRules): (kind: NamedKind) => string {
  // These are named by the server nearly everywhere.
  const telling = [...learned].filter(([kind]) => !byServer.has(kind));
  const own = telling.filter(([kind, template]) => template !== rules.templates[kind]);
  if (own.length * 2 <= telling.length) return (kind) => rules.templates[kind];
  const inFront = own.filter(([, template]) => !template.startsWith('{')).length * 2 >= own.length;
  return (kind) => customary[kind][inFront ? 0 : 1];
}

/** The name that a style gives, fitted to what the server can keep. */
export function nameFor(style: HouseStyle, object: ToName): string {
  const rules = style.spelling;
  const { kind, of, ambiguous } = object;
  return keepsServerNames(style, kind) ? serverName(rules, object) : render(style.templates[kind], of, { rules, ambiguous });
}

/** What a style calls something that is there: its own name where that follows. */
export function nameUnder(style: HouseStyle, object: NamedObject): string {
  const rules = style.spelling;
  return keepsServerNames(style, object.kind) ? serverName(rules, object) : nameBy(style.templates[object.kind], object, rules);
}

/** A name that no other object of the schema bears: told apart by its columns, or numbered, when taken. */
export function freeName(style: HouseStyle, object: ToName, taken: Pick<TakenNames, 'has'>): string {
  const name = nameFor(style, object);
  if (!taken.has(name)) return name;
  const apart = nameFor(style, { ...object, ambiguous: true });
  if (!taken.has(apart)) return apart;
  if (style.templates[object.kind].text.includes('{n}')) return counted(style, object, taken);
  const { shorten } = style.spelling;
  const { columns } = object.of;
  const longer = shorten(`${name}_${columns.join('_')}`);
  if (object.kind !== 'primary key' && columns.length > 0 && !taken.has(longer)) return longer;
  const numbered = (n: number): string => `${shorten(name, `_${n}`.length)}_${n}`;
  let n = 2;
  while (taken.has(numbered(n))) n++;
  return numbered(n);
}

/** Where a house numbers its names: the first number that is free. */
function counted(style: HouseStyle, object: ToName, taken: Pick<TakenNames, 'has'>): string {
  for (let n = 1; ; n++) {
    const name = nameFor(style, { ...object, of: { ...object.of, n: [String(n)] } });
    if (!taken.has(name)) return name;
  }
}

/** True when a name was made by a server and not by a person. */
export function isMadeBySystem(style: HouseStyle, object: NamedObject): boolean {
  return isServerMade(style.spelling, object);
}

/** True when a style keeps the server's own names, so that only numbered ones stand out. */
export function keepsServerNames(style: HouseStyle, kind: NamedKind): boolean {
  return style.templates[kind].text === style.spelling.templates[kind];
}

export function isServerName(style: HouseStyle, object: NamedObject): boolean {
  return object.name === serverName(style.spelling, object);
}
