// Stored JSON is read through upgrades, one a step: what one version kept, the next reads. What comes from files is
// hostile until it was checked, so upgrades take anything and leave alone what is not as they know it.

/** The format in which everything is written today. */
export const currentFormat = 2;

export type Kept = Readonly<Record<string, unknown>>;

export function isKept(value: unknown): value is Kept {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Each object of a list changed, of an object with that list. */
export function withEach(kept: Kept, name: string, change: (item: Kept) => Kept): Kept {
  const list = kept[name];
  return Array.isArray(list) ? { ...kept, [name]: list.map((item: unknown) => (isKept(item) ? change(item) : item)) } : kept;
}

/** An object within an object changed. */
export function withPart(kept: Kept, name: string, change: (part: Kept) => Kept): Kept {
  const part = kept[name];
  return isKept(part) ? { ...kept, [name]: change(part) } : kept;
}
