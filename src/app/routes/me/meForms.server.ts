// What one can do with one's own account: each intent with the class that its fields are checked by, and what it does.

import { AsList, AsNumber, AsNumberOrNone, ReadAs } from '~/input/fill';
import { ArrayMinSize, IsBoolean, IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { cookieFor } from '~/app/server/entry.server';
import { intentsOn, told } from '~/app/server/intents.server';
import { office } from '~/app/server/office.server';
import { allRights, type Right } from '~/core/rights/rights';
import type { SourceId, TokenId } from '~/store/ids';
import type { Actor } from '~/work/actor';
import { changePassword, endToken, makeToken, signOut, signOutEverywhere } from '~/work/people';
import { done, type Outcome } from '~/work/perform';

class PasswordChange {
  @IsString() @MaxLength(2000) current = '';
  @IsString() @MaxLength(2000) next!: string;
  @IsString() @MaxLength(2000) again!: string;
  /** Ticked: one's tokens end too. */
  @ReadAs((value) => value === 'on') @IsBoolean() tokens = false;
}

class TokenWish {
  @IsString() @IsNotEmpty({ message: 'Say what it is for' }) @MaxLength(80) name!: string;
  @AsList()
  @IsIn(allRights, { each: true })
  @ArrayMinSize(1, { message: 'Choose what it may do' })
  rights: Right[] = [];
  /** Empty for all sources. */
  @AsNumberOrNone()
  @IsOptional()
  @IsInt()
  source: SourceId | null = null;
  @AsNumber() @IsInt() @Min(1) @Max(366, { message: 'A token ends within a year' }) days = 90;
}

class TokenEnd {
  @AsNumber() @IsInt() @Min(1) token!: TokenId;
}

class Leaving {
  @IsOptional() @IsString() @MaxLength(0) nothing?: string;
}

export interface Me {
  readonly actor: Actor;
  /** The session that it is done in. */
  readonly session: string | null;
}

const intent = intentsOn<Me>();
const out = { then: () => ({ to: '/sign-in', cookie: cookieFor('') }) };

export const meIntents = {
  password: intent(PasswordChange, ({ actor, session }, { current, next, again, tokens }) =>
    told(
      next === again
        ? changePassword(office(), actor, { current, next, token: session ?? '', endTokens: tokens })
        : Promise.resolve('The two are not the same.'),
    ),
  ),
  makeToken: intent(TokenWish, ({ actor }, wish) => makeToken(office(), actor, wish), {
    shown: (secret) => ({ words: 'This is shown once. Keep it where only what uses it can read it:', secret }),
  }),
  endToken: intent(TokenEnd, ({ actor }, { token }) => told(endToken(office(), actor, token))),
  signOut: intent(Leaving, ({ actor, session }) => gone(session ? signOut(office(), actor, session) : Promise.resolve()), out),
  signOutEverywhere: intent(Leaving, ({ actor }) => gone(signOutEverywhere(office(), actor)), out),
};

async function gone(leaving: Promise<unknown>): Promise<Outcome<null>> {
  await leaving;
  return done;
}
