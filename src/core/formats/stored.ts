// Stored JSON is read through upgrades, one a step: what one version stored, the next reads. What comes from files is
// hostile until it was checked, so upgrades take anything and leave alone what is not as they know it.

/** The format in which everything is written today. */
export const currentFormat = 2;

export type Stored = Readonly<Record<string, unknown>>;

export function isStored(value: unknown): value is Stored {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Each object of a list changed, of an object with that list. */
export function withEach(stored: Stored, name: string, change: (item: Stored) => Stored): Stored {
  const list = stored[name];
  return Array.isArray(list)
    ? { ...stored, [name]: list.map((item: unknown) => (isStored(item) ? change(item) : item)) }
    : stored;
}

/** An object within an object changed. */
export function withPart(stored: Stored, name: string, change: (part: Stored) => Stored): Stored {
  const part = stored[name];
  return isStored(part) ? { ...stored, [name]: change(part) } : stored;
}
