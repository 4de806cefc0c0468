import { IsString, Matches, MaxLength } from 'class-validator';
import { data } from 'react-router';
import { actorIn, formIn, shapeIn } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { setScreen } from '~/work/screens';
import { jsonIn } from '~/input/json';
import type { Route } from './+types/screens';

class ScreenForm {
  @Matches(/^[a-z]{1,40}(\.[a-z]{1,40}){0,2}$/) name!: string;
  /** JSON. */
  @IsString() @MaxLength(4_000) value!: string;
}

/** Keeps how a person has set a screen. */
export async function action({ request, context }: Route.ActionArgs) {
  const actor = actorIn({ context });
  const { name, value } = await shapeIn(ScreenForm, await formIn(request));
  const read = parsed(value);
  const problem = read === undefined ? 'That is no JSON.' : await setScreen(office(), actor, name, read);
  return data({ problem }, { status: problem === null ? 200 : 422 });
}

function parsed(text: string): unknown {
  try {
    return jsonIn(text);
  } catch {
    return undefined;
  }
}
