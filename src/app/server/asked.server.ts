// What an address asks for, by a class, as with a form. An address is mistyped, bookmarked and shortened: a field of it that is
// wrong is as the class has it.

import { answersIn } from '~/core/remedies/index';
import type { Decision } from '~/core/remedies/question';
import type { ClassConstructor } from '~/input/fill';
import { fieldsOf, type Parsed, parse, parseWhatHolds } from '~/input/parse';

export function asked<T extends object>(Shape: ClassConstructor<T>, request: Request): Promise<T> {
  return parseWhatHolds(Shape, fieldsIn(request));
}

/** The same where something else than was meant would be answered if a field were left out. */
export function askedExactly<T extends object>(Shape: ClassConstructor<T>, request: Request): Promise<Parsed<T>> {
  return parse(Shape, fieldsIn(request), 'drop');
}

/** The answers to the questions of remedies. */
export function answersAsked(request: Request): Decision {
  return answersIn(new URL(request.url).searchParams);
}

function fieldsIn(request: Request): Readonly<Record<string, unknown>> {
  return fieldsOf(new URL(request.url).searchParams);
}
