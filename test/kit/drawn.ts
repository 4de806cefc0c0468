// How much is drawn by chance, and from what: in `npm test` the same each time; `npm run test:attack` draws anew, much more, and tells
// the seed with which it can be had again.

const seed = process.env['PAWL_ATTACK_SEED'];

/** Whether the long attack is under way. */
export const isLong = seed !== undefined;

export function drawn(usually: { readonly seed: number; readonly numRuns: number }): {
  readonly seed: number;
  readonly numRuns: number;
} {
  return seed === undefined ? usually : { seed: Number(seed) + usually.seed, numRuns: usually.numRuns * 8 };
}

type Place = readonly (string | number)[];

/** Where in it a value stands, lists and objects among them. */
export function placesIn(value: unknown, at: Place = []): Place[] {
  if (typeof value !== 'object' || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, part]) => placesIn(part, [...at, key]))].filter(
    (place) => place.length > 0,
  );
}

/** A copy with another value at a place. */
export function withValue(whole: object, place: Place, value: unknown): object {
  const copy = structuredClone(whole) as Record<string, unknown>;
  let inside = copy;
  for (const step of place.slice(0, -1)) inside = inside[step] as Record<string, unknown>;
  inside[place.at(-1) ?? ''] = value;
  return copy;
}
