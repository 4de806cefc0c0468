import { AsNumber } from '~/input/fill';
import { IsInt, Max, Min } from 'class-validator';
import { data } from 'react-router';
import { parse } from '~/input/parse';
import type { Ids } from '~/store/ids';

class IdShape {
  @AsNumber() @IsInt() @Min(1) @Max(Number.MAX_SAFE_INTEGER) id!: number;
}

/** The number in an address. Throws a 404 page when it is none. */
export async function numberIn(text: string | undefined, what: string): Promise<number> {
  const parsed = await parse(IdShape, { id: text });
  if (!parsed.ok) throw notFound(`There is no ${what} ${String(text).slice(0, 40)}`, `Its number is mistyped.`);
  return parsed.value.id;
}

/** The same where it is the id of something; whether there is such a thing is for the store to say. */
export async function idIn<What extends keyof Ids>(text: string | undefined, what: What): Promise<Ids[What]> {
  return (await numberIn(text, what)) as Ids[What];
}

/** A page that says what is not there and what to do next. */
export function notFound(title: string, advice: string) {
  return data({ title, advice }, { status: 404 });
}
