// How people set their screens. It changes nothing for anybody else, and is written into no journal.

import { keepPersonSetting } from '../store/people/settings';
import { type Actor, isToken, onlyInPerson } from './actor';
import type { Office } from './office';

const mostCharacters = 4_000;

/** Keeps how a screen is set, for whoever asks; null for as it usually is. Returns what speaks against it, in words, or null. */
export async function setScreen({ store }: Office, actor: Actor, name: string, value: unknown): Promise<string | null> {
  if (!actor.person || isToken(actor)) return onlyInPerson;
  if (JSON.stringify(value).length > mostCharacters) return 'That is more than a screen has to keep.';
  const kept = await keepPersonSetting(store, actor.person.id, name, value);
  return kept ? null : 'You keep very many settings already.';
}
