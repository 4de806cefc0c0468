// Forms that ask for one of several things: each intent with the class that its fields are checked by, and what it does.

import { data } from 'react-router';
import type { ClassConstructor } from 'class-transformer';
import { parse } from '~/input/parse';
import type { Room } from '~/work/enter';
import type { Outcome } from '~/work/perform';
import type { Said } from '~/app/ui/Saying';
import { formIn, orPage } from './door.server';

interface Intent {
  readonly Shape: ClassConstructor<object>;
  act(room: Room, form: object): Promise<Outcome<unknown>>;
  /** Told once it is done. */
  said?(result: unknown, form: object, room: Room): Said;
}

export function intent<T extends object, R>(
  Shape: ClassConstructor<T>,
  act: (room: Room, form: T) => Promise<Outcome<R>>,
  said?: (result: R, form: T, room: Room) => Said,
): Intent {
  return {
    Shape,
    act: (room, form) => act(room, form as T),
    ...(said && { said: (result, form, room) => said(result as R, form as T, room) }),
  };
}

/** What came of a form: nothing that speaks against it, or what does, at its field where it is about one. */
export interface Came {
  readonly problem: string | null;
  readonly errors: Readonly<Record<string, string>>;
  readonly intent: string;
  readonly said: Said | null;
}

/** Does what a form asks for. Throws the pages of `formIn` and `orPage`. */
export async function actOn(intents: Readonly<Record<string, Intent>>, room: Room, request: Request) {
  const form = await formIn(request);
  const named = form.get('intent');
  const asked = typeof named === 'string' && Object.hasOwn(intents, named) ? intents[named] : undefined;
  if (!asked || typeof named !== 'string')
    throw data({ title: 'That could not be understood', advice: 'Go back and try again.' }, { status: 400 });
  const fields = Object.fromEntries([...form].filter(([name]) => name !== 'intent'));
  const parsed = await parse(asked.Shape, fields);
  if (!parsed.ok) {
    const errors = Object.fromEntries(Object.entries(parsed.errors).map(([name, all]) => [name, all[0] ?? '']));
    return came(named, Object.values(errors)[0] ?? 'That cannot be kept.', { errors });
  }
  const outcome = await orPage(asked.act(room, parsed.value));
  const said = outcome.problem === null && asked.said ? asked.said(outcome.result, parsed.value, room) : null;
  return came(named, outcome.problem, { said });
}

function came(intent: string, problem: string | null, { errors = {}, said = null }: Partial<Came>) {
  return data<Came>({ intent, problem, errors, said }, { status: problem === null ? 200 : 422 });
}
