// Forms that ask for one of several things: each intent with the class that its fields are checked by, and what it does.

import { data } from 'react-router';
import type { ClassConstructor } from 'class-transformer';
import { parse } from '~/input/parse';
import type { Room } from '~/work/enter';
import type { Outcome } from '~/work/perform';
import { formIn, orPage } from './door.server';

interface Intent {
  readonly Shape: ClassConstructor<object>;
  act(room: Room, form: object): Promise<Outcome<unknown>>;
}

export function intent<T extends object>(
  Shape: ClassConstructor<T>,
  act: (room: Room, form: T) => Promise<Outcome<unknown>>,
): Intent {
  return { Shape, act: (room, form) => act(room, form as T) };
}

/** What came of a form: nothing that speaks against it, or what does, at its field where it is about one. */
export interface Came {
  readonly problem: string | null;
  readonly errors: Readonly<Record<string, string>>;
  readonly intent: string;
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
    return came(named, Object.values(errors)[0] ?? 'That cannot be kept.', errors);
  }
  const { problem } = await orPage(asked.act(room, parsed.value));
  return came(named, problem);
}

function came(intent: string, problem: string | null, errors: Came['errors'] = {}) {
  return data<Came>({ intent, problem, errors }, { status: problem === null ? 200 : 422 });
}
