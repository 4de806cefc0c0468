import { renaming } from '../../naming/renaming';
import type { Catalogue, NamedKind, Table } from '../../catalogue/model';
import { namedOf, type NamedObject } from '../../naming/named';
import { freeName, isMadeBySystem } from '../../naming/style';
import { TakenBySchema } from '../../naming/taken';
import { lettersOf, withArticle } from '../../naming/words';
import { groupBy } from '../../grouping';
import { once } from '../../once';
import { factsOf } from '../../engines/facts';
import { defineRule } from '../rule';

type Lie =
  | { readonly states: 'kind'; readonly said: string }
  | { readonly states: 'table'; readonly said: string }
  | { readonly states: 'column'; readonly said: string };

interface Facts {
  readonly kind: NamedKind;
  readonly name: string;
  readonly suggested: string;
  readonly lie: Lie;
  readonly covers: readonly string[];
}

/** Names that say another thing than what they cover. */
export const misleadingName = defineRule<Facts>({
  id: 'naming/misleading',
  concern: 'Naming',
  about: 'A constraint or index whose name states another table, column or kind than it has.',
  *check(audit) {
    const taken = new TakenBySchema(audit.catalogue);
    for (const table of audit.tables) {
      if (table.kind === 'foreign' || table.extension !== undefined || table.persistence === 'temporary') continue;
      for (const object of namedOf(audit.catalogue, table)) {
        if (isMadeBySystem(audit.style, object)) continue;
        const lie = lieOf(audit.catalogue, table, object);
        if (lie === null) continue;
        const names = taken.of(table, factsOf(audit.catalogue).names.scopeOf(object.kind));
        const suggested = freeName(audit.style, object, names);
        if (suggested === object.name) continue;
        names.add(suggested);
        yield {
          ...renaming(table, object, suggested),
          confidence: lie.states === 'column' ? 0.8 : 0.9,
          facts: { kind: object.kind, name: object.name, suggested, lie, covers: object.columns },
        };
      }
    }
  },

  words({ kind, name, suggested, lie, covers }, { table }) {
    const said = lie.states === 'kind' ? withArticle(lie.said) : `the ${lie.states} ${lie.said}`;
    const is = lie.states === 'column' ? `covers ${covers.join(', ')}` : `is ${withArticle(kind)} on ${table}`;
    return {
      title: `Name states another ${lie.states}`,
      message: `${name} reads like ${said}, but it ${is}.`,
      consequence: `An error that quotes ${name} sends whoever reads it to the wrong ${lie.states}.`,
      measured: kind,
      evidence: [
        { label: 'name', text: name, harm: true },
        { label: 'states', text: said },
        { label: 'is', text: `${kind} of ${table} (${covers.join(', ')})` },
        { label: 'would be', text: suggested },
      ],
      reasons: ['what the name says is held against what the catalogue declares'],
    };
  },
});

const ends: readonly (readonly [RegExp, readonly NamedKind[], string])[] = [
  [/^pk_|_(pkey|pk)$/i, ['primary key'], 'primary key'],
  [/^fk_|_(fkey|fk)$/i, ['foreign key'], 'foreign key'],
  // A unique index does what a unique constraint does.
  [/^(uq|uk)_|_(uq|uk|unique)$/i, ['unique', 'index'], 'unique constraint'],
  [/^(ck|chk)_|_(check|ck|chk)$/i, ['check'], 'check'],
];

function lieOf(catalogue: Catalogue, table: Table, object: NamedObject): Lie | null {
  const { name, kind, columns, of } = object;
  for (const [pattern, kinds, said] of ends) {
    // A table may itself be called fk_log.
    if (
      pattern.test(name) &&
      !kinds.includes(kind) &&
      !pattern.test(table.name) &&
      !(kind === 'index' && standsUnder(table, said))
    )
      return { states: 'kind', said };
  }
  const words = lowered(name);
  const own = new Set([table.name, table.schema, ...of.parent, ...columns, ...of.keys].flatMap(lowered));
  // A name that says its own table may say another as well; so may one whose words are all its columns' own.
  if (!says(words, table.name) && !holds(name, table.name)) {
    const other = tableSaid(catalogue, words, table, own);
    if (other !== null) return { states: 'table', said: other };
  }
  if (kind === 'check' || columns.length === 0 || columns.includes('expr')) return null;
  if (of.parent.some((parent) => parent !== '' && says(words, parent))) return null;
  const rest = without(words, lowered(table.name));
  const mine = new Set(columns.flatMap(lowered));
  const column = table.columns.find(({ name: other }) => {
    const said = lowered(other);
    if (said.length < 2 || !says(rest, other) || said.every((word) => mine.has(word))) return false;
    // A covered column may still be said by a word of its own.
    return !columns.some((covered) => lowered(covered).some((word) => rest.includes(word) && !said.includes(word)));
  });
  return column ? { states: 'column', said: column.name } : null;
}

// An index may be named for the reference that it stands under.
function standsUnder({ constraints }: Table, said: string): boolean {
  return constraints.some(({ kind }) => kind === said);
}

interface Called {
  readonly table: Table;
  readonly said: readonly string[];
  /** Longer names go first. */
  readonly rank: number;
}

// By the first of their words: a name is held against the few tables that begin with one of its own.
const tablesByWord = once(({ tables }: Catalogue): ReadonlyMap<string, readonly Called[]> => {
  const named = tables
    .filter(({ name, kind }) => name.length >= 4 && (kind === 'table' || kind === 'partitioned'))
    .toSorted((a, b) => b.name.length - a.name.length)
    .map((table, rank) => ({ table, said: lowered(table.name), rank }));
  return groupBy(named, ({ said }) => said[0] ?? '');
});

/** The longest name of another table that words say, but for what the object is called by anyway. */
function tableSaid(catalogue: Catalogue, words: readonly string[], own: Table, known: ReadonlySet<string>): string | null {
  const byWord = tablesByWord(catalogue);
  const [first] = words
    .flatMap((word, at) => (byWord.get(word) ?? []).filter(({ said }) => said.every((one, i) => words[at + i] === one)))
    .filter(({ table, said }) => table !== own && !said.every((word) => known.has(word)))
    .sort((a, b) => a.rank - b.rank);
  return first?.table.name ?? null;
}

function lowered(name: string): readonly string[] {
  return lettersOf(name).map((word) => word.toLowerCase());
}

/** Written together or apart: job_media_idx is of jobmedia. */
function holds(name: string, other: string): boolean {
  const letters = (text: string): string => lowered(text).join('');
  return letters(name).includes(letters(other));
}

function says(words: readonly string[], name: string): boolean {
  const said = lowered(name);
  return said.length > 0 && words.some((_, at) => said.every((word, i) => words[at + i] === word));
}

/** Words without a run of others, once. */
function without(words: readonly string[], run: readonly string[]): readonly string[] {
  const at = words.findIndex((_, i) => run.every((word, j) => words[i + j] === word));
  return at < 0 ? words : [...words.slice(0, at), ...words.slice(at + run.length)];
}
