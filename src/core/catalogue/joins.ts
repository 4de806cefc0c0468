// Which columns the makers of a schema compare with each other: read out of view definitions, function
// bodies and statements by scanning their words. A parser would refuse function languages and
// shortened statements; a scan finds the tables they speak of and the columns set equal, and skips
// what it cannot place.

import type { ColumnId } from './identifiers';
import { baseTables } from './lookups';
import type { Catalogue, Join, Table } from './model';

interface Word {
  readonly kind: 'name' | 'sign';
  /** Folded, quoted or not: no two columns are told apart by that alone. */
  readonly text: string;
}

/** How an engine writes its statements. */
export interface Written {
  /** Signs that a name stands between; a name doubles the one that closes it. Double quotes that are none of them hold texts. */
  readonly quotes: readonly (readonly [open: string, close: string])[];
  readonly fold: (name: string) => string;
  /** What is skipped. */
  readonly casts: RegExp;
}

/** A name with its qualifiers: `c.vessel_id`. */
type Chain = readonly string[];

// What is opened and never closed goes on to the end: a try that fails there would be made again at every sign.
const around = (open: string, close: string): string => {
  const [from, to] = [open, close].map((sign) => sign.replace(/[[\]]/, '\\$&'));
  return `${from}((?:[^${to}]|${to}${to})+)(?:${to}|$)`;
};
const spaced = String.raw`--[^\n]*|\/\*[\s\S]*?(?:\*\/|$)|'(?:[^']|'')*(?:'|$)`;
const plain = String.raw`([\p{L}_][\p{L}\p{N}_$]*)|[:<>!+*\/\-]=|=>|<>|[=.,()]|"(?:[^"]|"")*(?:"|$)|[^\s\w]|\d+`;
const beforeTable = new Set(['from', 'join', 'update', 'into', 'only', ',', '(', 'using']);
const noAlias = new Set(
  'on where join left right inner outer full cross natural using group order having limit union set values select as returning offset for loop'.split(
    ' ',
  ),
);
/** Characters of one text that are looked at. */
const longestText = 100_000;
/** Tables that one text may speak of, columns that one USING may name, and joins kept in all: what is over was not written by hand. */
const mostTables = 60;
const mostUsing = 30;
const mostJoins = 100_000;

/** Looks for joins in one text after the other, so that whoever reads can do something else between. */
export interface JoinSearch {
  lookInto(text: string): void;
  /** The pairs of columns that any of the texts sets equal, each once. */
  found(): readonly Join[];
}

export function searchJoins(catalogue: Pick<Catalogue, 'tables'>, written: Written): JoinSearch {
  const byName = tablesByName(baseTables(catalogue as Catalogue), written.fold);
  const pattern = new RegExp([spaced, ...written.quotes.map(([open, close]) => around(open, close)), plain].join('|'), 'gu');
  const found = new Map<string, Join>();
  return {
    lookInto(text) {
      if (found.size >= mostJoins) return;
      for (const join of scan(wordsIn(text, pattern, written), byName)) {
        const [left, right] = join.left < join.right ? [join.left, join.right] : [join.right, join.left];
        if (left !== right) found.set(`${left} ${right}`, { left, right });
      }
    },
    found: () => [...found.values()],
  };
}

interface Named {
  readonly table: Table;
  readonly columns: ReadonlyMap<string, ColumnId>;
}

function tablesByName(tables: readonly Table[], fold: Written['fold']): ReadonlyMap<string, readonly Named[]> {
  const byName = new Map<string, Named[]>();
  for (const table of tables) {
    const named: Named = { table, columns: new Map(table.columns.map((column) => [fold(column.name), column.id])) };
    for (const name of [fold(table.name), `${fold(table.schema)}.${fold(table.name)}`]) {
      const alike = byName.get(name);
      if (alike) alike.push(named);
      else byName.set(name, [named]);
    }
  }
  return byName;
}

function wordsIn(text: string, pattern: RegExp, { quotes, fold, casts }: Written): readonly Word[] {
  const words: Word[] = [];
  for (const [all, ...names] of text.slice(0, longestText).replaceAll(casts, '').matchAll(pattern)) {
    const at = names.findIndex((name: string | undefined) => name !== undefined);
    const [, close] = quotes[at] ?? [];
    const name = close === undefined ? names[at]?.toLowerCase() : names[at]?.replaceAll(close + close, close);
    if (name !== undefined) words.push({ kind: 'name', text: fold(name) });
    else if (!/^(--|\/\*)/.test(all)) words.push({ kind: 'sign', text: all });
  }
  return words;
}

function scan(words: readonly Word[], byName: ReadonlyMap<string, readonly Named[]>): readonly Join[] {
  const parts = chained(words);
  const aliases = new Map<string, Set<Named>>();
  const spokenOf = new Set<Named>();
  parts.forEach((part, at) => {
    const before = parts[at - 1];
    if (typeof part === 'string' || typeof before !== 'string' || !beforeTable.has(before)) return;
    const tables = byName.get(part.join('.')) ?? [];
    if (tables.length === 0 || spokenOf.size + tables.length > mostTables) return;
    for (const table of tables) spokenOf.add(table);
    const next = parts[at + 1] === 'as' ? parts[at + 2] : parts[at + 1];
    const spelt = typeof next === 'string' ? undefined : next?.[0];
    for (const alias of [part.at(-1), spelt])
      if (alias !== undefined) aliases.set(alias, new Set([...(aliases.get(alias) ?? []), ...tables]));
  });
  const columnsOf = (chain: Chain): readonly ColumnId[] => {
    const name = chain.at(-1) ?? '';
    const tables = chain.length === 1 ? spokenOf : (aliases.get(chain.at(-2) ?? '') ?? []);
    const columns = [...tables].flatMap((table) => table.columns.get(name) ?? []);
    return chain.length === 1 && columns.length !== 1 ? [] : columns;
  };
  return parts.flatMap((part, at): readonly Join[] => {
    if (part === 'using') return usingPairs(parts, at, spokenOf);
    const [left, right] = [parts[at - 1], parts[at + 1]];
    if (part !== '=' || !Array.isArray(left) || !Array.isArray(right)) return [];
    return columnsOf(left).flatMap((l) => columnsOf(right).map((r) => ({ left: l, right: r })));
  });
}

// Keywords and signs stay texts, names become chains, and brackets around a single name are taken away.
function chained(words: readonly Word[]): readonly (string | Chain)[] {
  const parts: (string | Chain)[] = [];
  for (let at = 0; at < words.length; at++) {
    const word = words[at] as Word;
    if (word.kind === 'sign' || isKeyword(word.text)) {
      const name = parts.at(-1);
      const call = Array.isArray(parts.at(-3));
      if (
        word.text === ')' &&
        Array.isArray(name) &&
        parts.at(-2) === '(' &&
        !call &&
        parts.at(-3) !== 'using' &&
        parts.at(-3) !== 'from'
      )
        parts.splice(-2, 2, name);
      else parts.push(word.text);
      continue;
    }
    const chain = [word.text];
    while (words[at + 1]?.text === '.' && words[at + 2]?.kind === 'name') {
      chain.push((words[at + 2] as Word).text);
      at += 2;
    }
    parts.push(chain);
  }
  return parts;
}

function isKeyword(text: string): boolean {
  return noAlias.has(text) || beforeTable.has(text) || text === 'and' || text === 'or' || text === 'not';
}

// USING (a, b): the table named last with each one before it that has the columns.
function usingPairs(parts: readonly (string | Chain)[], at: number, spokenOf: ReadonlySet<Named>): readonly Join[] {
  if (parts[at + 1] !== '(') return [];
  const listed = parts.slice(at + 2, at + 2 + 2 * mostUsing);
  const names = listed
    .slice(0, listed.indexOf(')'))
    .flatMap((part) => (Array.isArray(part) && part.length === 1 ? (part as Chain) : []));
  return names.flatMap((name) => {
    const ids = [...spokenOf].flatMap((table) => table.columns.get(name) ?? []);
    return ids.slice(1).map((right) => ({ left: ids[0] as ColumnId, right }));
  });
}
