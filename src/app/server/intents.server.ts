// Forms that ask for one of several things: each intent with the class that its fields are checked by, and what it does.

import { data, redirect } from 'react-router';
import type { ClassConstructor } from '~/input/fill';
import { fieldsOf, firstOf, parse } from '~/input/parse';
import type { Outcome } from '~/work/perform';
import type { Said } from '~/app/ui/Saying';
import { formIn, orPage } from './door.server';

/** Something that is shown once and kept nowhere: a link that invites, a token. */
export interface ShownOnce {
  readonly words: string;
  readonly secret: string;
}

/** Where an act leads, with what the browser is to keep. */
interface Way {
  readonly to: string;
  readonly cookie: string;
}

/** `On`: what it is asked of: a room, or a docket in it. */
export interface Intent<On> {
  readonly Shape: ClassConstructor<object>;
  /** `all`: the form as it came, for fields whose names no class knows (answers to the questions of remedies). */
  act(on: On, form: object, all: FormData): Promise<Outcome<unknown>>;
  /** Told once it is done. */
  said?(result: unknown, form: object, on: On): Said | null;
  /** Where it leads once it is done, where not back to its page. */
  then?(result: unknown, on: On): string | Way;
  shown?(result: unknown, form: object): ShownOnce | null;
}

interface After<On, T, R> {
  readonly said?: (result: R, form: T, on: On) => Said | null;
  readonly then?: (result: R, on: On) => string | Way;
  readonly shown?: (result: R, form: T) => ShownOnce | null;
}

/** What makes the intents of a page, all of them asked of the same. */
export function intentsOn<On>() {
  return <T extends object, R>(
    Shape: ClassConstructor<T>,
    act: (on: On, form: T, all: FormData) => Promise<Outcome<R>>,
    { said, then, shown }: After<On, T, R> = {},
  ): Intent<On> => ({
    Shape,
    act: (on, form, all) => act(on, form as T, all),
    ...(said && { said: (result, form, on) => said(result as R, form as T, on) }),
    ...(then && { then: (result, on) => then(result as R, on) }),
    ...(shown && { shown: (result, form) => shown(result as R, form as T) }),
  });
}

/** Of an act that tells only what is wrong. */
export async function told(problem: Promise<string | null>): Promise<Outcome<null>> {
  const wrong = await problem;
  return wrong === null ? { problem: null, result: null } : { problem: wrong };
}

/** What came of a form: nothing that speaks against it, or what does, at its field where it is about one. */
export interface Came {
  readonly problem: string | null;
  readonly errors: Readonly<Record<string, string>>;
  readonly intent: string;
  readonly said: Said | null;
  readonly shown: ShownOnce | null;
}

/** Does what a form asks for. Throws the pages of `formIn` and `orPage`, and where it leads. */
export async function actOn<On>(intents: Readonly<Record<string, Intent<On>>>, on: On, request: Request) {
  const form = await formIn(request);
  const named = form.get('intent');
  const asked = typeof named === 'string' && Object.hasOwn(intents, named) ? intents[named] : undefined;
  if (!asked || typeof named !== 'string')
    throw data({ title: 'That could not be understood', advice: 'Go back and try again.' }, { status: 400 });
  const { intent: _, ...fields } = fieldsOf(form);
  // A form with several buttons sends what any of them needs.
  const parsed = await parse(asked.Shape, fields, 'drop');
  if (!parsed.ok) {
    const errors = firstOf(parsed.errors);
    return came(named, Object.values(errors)[0] ?? 'That cannot be kept.', { errors });
  }
  const outcome = await orPage(asked.act(on, parsed.value, form));
  if (outcome.problem !== null) return came(named, outcome.problem, {});
  // eslint-disable-next-line @typescript-eslint/only-throw-error -- a way on, as the router takes it
  if (asked.then) throw leading(asked.then(outcome.result, on));
  return came(named, null, {
    said: asked.said?.(outcome.result, parsed.value, on) ?? null,
    shown: asked.shown?.(outcome.result, parsed.value) ?? null,
  });
}

function leading(way: string | Way): Response {
  return typeof way === 'string' ? redirect(way) : redirect(way.to, { headers: { 'Set-Cookie': way.cookie } });
}

function came(intent: string, problem: string | null, { errors = {}, said = null, shown = null }: Partial<Came>) {
  return data<Came>({ intent, problem, errors, said, shown }, { status: problem === null ? 200 : 422 });
}
