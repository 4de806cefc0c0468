// Everything that comes in from people and files is checked here, by a class for each shape, before
// anything else sees it.

import { validate, validateSync, type ValidationError, type ValidatorOptions } from 'class-validator';
import { type ClassConstructor, fill } from './fill';

/** What is wrong, by the name of the field; `` for the whole. */
export type FieldErrors = Readonly<Record<string, readonly string[]>>;
export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly errors: FieldErrors };

/** `extra: 'refuse'` refuses fields that the class does not know, `'drop'` leaves them out. */
export async function parse<T extends object>(
  Shape: ClassConstructor<T>,
  plain: unknown,
  extra: 'refuse' | 'drop' = 'refuse',
): Promise<Parsed<T>> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return { ok: false, errors: { '': ['must be an object'] } };
  const { value, unknown } = fill(Shape, plain);
  const strangers = extra === 'refuse' ? unknown : [];
  const problems = await validate(value, strictly);
  return problems.length + strangers.length > 0
    ? {
        ok: false,
        errors: { ...flatten(problems), ...Object.fromEntries(strangers.map((name) => [name, ['is not known here']])) },
      }
    : { ok: true, value };
}

const strictly: ValidatorOptions = {
  whitelist: true,
  forbidUnknownValues: true,
  validationError: { target: false, value: false },
};

/** One of many parts of a file, each checked for itself so that a large file is not held twice; unknown fields are left out. */
export function parsePart<T extends object>(Shape: ClassConstructor<T>, plain: unknown): Parsed<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return { ok: false, errors: { '': ['must be an object'] } };
  const { value } = fill(Shape, plain);
  const problems = validateSync(value, strictly);
  return problems.length > 0 ? { ok: false, errors: flatten(problems) } : { ok: true, value };
}

/** An object of which each field that is wrong is as the class has it, and what the class does not know is left alone. */
export async function parseWhatHolds<T extends object>(Shape: ClassConstructor<T>, plain: object): Promise<T> {
  const { value } = fill(Shape, plain);
  const problems = await validate(value, strictly);
  const usual = new Shape();
  return Object.assign(value, ...problems.map(({ property }) => ({ [property]: usual[property as keyof T] }))) as T;
}

/** The fields of a form; one that is there several times becomes a list. */
export function parseForm<T extends object>(Shape: ClassConstructor<T>, form: FormData): Promise<Parsed<T>> {
  return parse(Shape, fieldsOf(form));
}

/** By name; a list where a field comes more than once. */
export function fieldsOf(form: FormData | URLSearchParams): Readonly<Record<string, unknown>> {
  const lists = new Map<string, unknown[]>();
  for (const [name, value] of form) {
    const list = lists.get(name);
    if (list) list.push(value);
    else lists.set(name, [value]);
  }
  return Object.fromEntries([...lists].map(([name, all]) => [name, all.length > 1 ? all : all[0]]));
}

/** The first of what is wrong with each field. */
export function firstOf(errors: FieldErrors): Readonly<Record<string, string>> {
  return Object.fromEntries(Object.entries(errors).map(([name, [first = 'cannot be read']]) => [name, first]));
}

export function errorsInWords(errors: FieldErrors): string {
  return Object.entries(errors)
    .map(([field, problems]) => {
      const [said, itself] = [problems.join(', '), `${field.split('.').at(-1) ?? ''} `];
      return `${field === '' ? 'It' : field} ${said.startsWith(itself) ? said.slice(itself.length) : said}`;
    })
    .join('; ');
}

function flatten(problems: readonly ValidationError[], prefix = '', into: Record<string, string[]> = {}): FieldErrors {
  for (const problem of problems) {
    const path = prefix === '' ? problem.property : `${prefix}.${problem.property}`;
    if (problem.constraints) into[path] = Object.values(problem.constraints);
    if (problem.children?.length) flatten(problem.children, path, into);
  }
  return into;
}
