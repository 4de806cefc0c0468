// The way into every page: who asks is let into a source with the right that the page needs, or is told who may.

import { data, type RouterContextProvider } from 'react-router';
import type { Right } from '~/core/rights/rights';
import { parseForm } from '~/input/parse';
import type { ClassConstructor } from '~/input/fill';
import { type Actor, NotAllowed } from '~/work/actor';
import { allowed, enterSource, type Room } from '~/work/enter';
import { type Answered, unanswered } from '~/work/askSource';
import { passedContext } from './context.server';
import { idIn, notFound } from './ids.server';
import { office } from './office.server';

interface Asked {
  readonly context: Readonly<RouterContextProvider>;
  readonly params: { readonly source?: string | undefined };
}

/** Who asks. Throws a page that says so when nobody is signed in, which the gate has seen to before. */
export function actorIn({ context }: Pick<Asked, 'context'>): Actor {
  const { actor } = context.get(passedContext);
  if (!actor) throw data({ title: 'Nobody is signed in', advice: 'Sign in and try again.' }, { status: 401 });
  return actor;
}

/** The source of an address, for one who has that right there. Throws a 403 or 404 page otherwise. */
export async function enter(asked: Asked, right: Right): Promise<Room> {
  const id = await idIn(asked.params.source, 'source');
  const room = await orPage(enterSource(office(), actorIn(asked), id, right));
  if (!room) throw notFound(`There is no source ${id}`, 'It may have been removed.');
  return room;
}

/** The same for pages about no single source. */
export async function enterAll(asked: Pick<Asked, 'context'>, right: Right): Promise<Actor> {
  const actor = actorIn(asked);
  await orPage(allowed(office(), actor, right, null));
  return actor;
}

/** For what a part of a page asks for live: who may not is told there, in place of a page. */
export async function entering<T>(asked: Asked, right: Right, look: (room: Room) => Promise<Answered<T>>): Promise<Answered<T>> {
  try {
    const id = await idIn(asked.params.source, 'source');
    const room = await enterSource(office(), actorIn(asked), id, right);
    return room ? await look(room) : unanswered('The source was removed.');
  } catch (error) {
    if (error instanceof NotAllowed) return unanswered(error.message);
    throw error;
  }
}

/** Waits for an act; what somebody may not do becomes a page that says who may. */
export async function orPage<T>(act: Promise<T>): Promise<T> {
  try {
    return await act;
  } catch (error) {
    if (error instanceof NotAllowed) throw data({ title: 'That is not yours to do', advice: error.message }, { status: 403 });
    throw error;
  }
}

/** The form of a request. Throws a 400 page when it is none, or holds files. */
export async function formIn(request: Request): Promise<FormData> {
  const form = await request.formData().catch(() => null);
  const texts = form ? [...form.values()] : [];
  if (!form || texts.some((value) => typeof value !== 'string' || value.includes('\0')))
    throw data({ title: 'That could not be understood', advice: 'A form of Pawl holds texts, and no files.' }, { status: 400 });
  return form;
}

/** A form whose every field is known. Throws a 400 page when it is not: our own pages send no other. */
export async function shapeIn<T extends object>(Shape: ClassConstructor<T>, form: FormData): Promise<T> {
  const parsed = await parseForm(Shape, form);
  if (parsed.ok) return parsed.value;
  const [problem = 'Something was not as it should be'] = Object.values(parsed.errors).flat();
  throw data({ title: 'That could not be understood', advice: `${problem}. Go back and try again.` }, { status: 400 });
}
