/**
 * A record under names that come from outside, such as columns of a table: no name of theirs is inherited (`__proto__`, `constructor`),
 * and thousands of them do not make a hidden class a name, which took half of the memory of a wide schema's survey.
 */
export function recordOf<Value>(entries: Iterable<readonly [string, Value]>): Record<string, Value> {
  const record = Object.create(null) as Record<string, Value>;
  for (const [name, value] of entries) record[name] = value;
  return record;
}

/**
 * Both in one. A spread of many properties (`{ ...one, ...other }`) gives each object that it makes a hidden class of its own, larger
 * than the object: where there are thousands, this shares one.
 */
export function joined<One extends object, Other extends object>(one: One, other: Other): One & Other {
  return Object.assign({}, one, other);
}

/** Texts that are the same, kept once: a large schema says little that is its own. */
export type Shared = (text: string) => string;

export function sharing(): Shared {
  const spelt = new Map<string, string>();
  return (text) => {
    const known = spelt.get(text);
    if (known === undefined) spelt.set(text, text);
    return known ?? text;
  };
}

export type SharedList = (names: readonly string[]) => readonly string[];

/** The same of lists of names, which nobody changes. */
export function sharingLists(shared: Shared): SharedList {
  const lists = new Map<string, readonly string[]>();
  return (names) => {
    const key = names.join('\0');
    const known = lists.get(key);
    if (known) return known;
    const list = names.map(shared);
    lists.set(key, list);
    return list;
  };
}
