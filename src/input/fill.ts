// An object of a class, filled from what came in: of that only what the class knows is touched, each field once. What a class knows
// is what it has checks for; what has to be read before it is checked says so beside them.

import { getMetadataStorage } from 'class-validator';

export type ClassConstructor<T> = new (...args: never[]) => T;

/** How a field is read before it is checked. */
type Reading = (value: unknown, place: Place) => unknown;

interface Place {
  /** The first names that no class knows, with their paths. */
  readonly unknown: string[];
  readonly path: string;
}

type Fields = readonly (readonly [name: string, read: Reading | null])[];

const mostTold = 10;
const readings = new WeakMap<object, Map<string, Reading>>();
const knownNames = new WeakMap<object, Fields>();

/** A field that is read by this before it is checked; not where it did not come. What comes to undefined leaves the usual value. */
export const ReadAs = (read: (value: unknown) => unknown): PropertyDecorator => reads((value) => read(value));

/** A number, or a list of such, also where it came as text. */
export const AsNumber = () => ReadAs((value) => (Array.isArray(value) ? value.map(numberIn) : numberIn(value)));

/** A number; null where the field was left empty. */
export const AsNumberOrNone = () => ReadAs((value) => (value === '' || value === undefined ? null : Number(value)));

/** A list, also of one. */
export const AsList = () => ReadAs((value): unknown[] => (Array.isArray(value) ? value : [value]));

/** A field that is ticked in a form, or true where it was kept. */
export const Ticked = () => ReadAs((value) => value === true || value === 'on');

/** An object of that class, or a list of such. */
export const Part = (shapeOf: () => ClassConstructor<object>): PropertyDecorator =>
  reads((value, place) =>
    Array.isArray(value)
      ? value.map((each: unknown, at) => partOf(shapeOf(), each, { ...place, path: within(place, String(at)) }))
      : partOf(shapeOf(), value, place),
  );

/** Fills an object of a class; `unknown` are the first names that the class does not know. */
export function fill<T extends object>(
  Shape: ClassConstructor<T>,
  plain: object,
): { readonly value: T; readonly unknown: readonly string[] } {
  const place: Place = { unknown: [], path: '' };
  return { value: filled(Shape, plain, place) as T, unknown: place.unknown };
}

function filled(Shape: ClassConstructor<object>, plain: object, place: Place): object {
  const value = new Shape() as Record<string, unknown>;
  const fields = fieldsOf(Shape);
  let met = 0;
  for (const [name, read] of fields) {
    if (!Object.hasOwn(plain, name)) continue;
    met++;
    const given = (plain as Record<string, unknown>)[name];
    const taken = read ? read(given, { ...place, path: within(place, name) }) : given;
    if (taken !== undefined) value[name] = taken;
  }
  noteStrangers(Object.keys(plain), { fields, met }, place);
  return value;
}

// Names are gone through only where one is to be told, and no further than needed.
function noteStrangers(
  names: readonly string[],
  { fields, met }: { readonly fields: Fields; readonly met: number },
  place: Place,
): void {
  if (names.length === met || place.unknown.length >= mostTold) return;
  const own = new Set(fields.map(([name]) => name));
  const strangers = names.filter((name) => !own.has(name)).slice(0, mostTold - place.unknown.length);
  place.unknown.push(...strangers.map((name) => within(place, name)));
}

function within({ path }: Place, name: string): string {
  return path === '' ? name : `${path}.${name}`;
}

function reads(read: Reading): PropertyDecorator {
  return (target, property) => {
    const own = readings.get(target) ?? new Map<string, Reading>();
    readings.set(target, own.set(String(property), read));
  };
}

function fieldsOf(Shape: ClassConstructor<object>): Fields {
  const kept = knownNames.get(Shape);
  if (kept) return kept;
  const checks = getMetadataStorage().getTargetValidationMetadatas(Shape, '', true, false);
  const names = [...new Set(checks.map(({ propertyName }) => propertyName))];
  const fields = names.map((name) => [name, readingOf(Shape.prototype as object, name)] as const);
  knownNames.set(Shape, fields);
  return fields;
}

function readingOf(prototype: object | null, name: string): Reading | null {
  if (prototype === null) return null;
  return readings.get(prototype)?.get(name) ?? readingOf(Object.getPrototypeOf(prototype) as object | null, name);
}

function partOf(Shape: ClassConstructor<object>, value: unknown, place: Place): unknown {
  // A list in a list is left for the checks to refuse.
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? filled(Shape, value, place) : value;
}

function numberIn(value: unknown): unknown {
  return typeof value === 'string' || typeof value === 'boolean' ? Number(value) : value;
}
