// What can be done with people: each intent with the class that its fields are checked by, and what it does.

import { AsNumber, AsNumberOrNone, ReadAs } from '~/input/fill';
import { IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Matches, MaxLength, Min } from 'class-validator';
import { intentsOn, type ShownOnce } from '~/app/server/intents.server';
import { office } from '~/app/server/office.server';
import { reached } from '~/app/server/settings.server';
import { type Role, roleNames } from '~/core/rights/rights';
import type { GrantId, PersonId, SourceId } from '~/store/ids';
import type { Actor } from '~/work/actor';
import { addPerson, giveRole, invite, setDisabled, takeRole } from '~/work/people';

class NewPersonForm {
  @ReadAs((value) => (typeof value === 'string' ? value.trim().toLowerCase() : value))
  @Matches(/^[a-z0-9][a-z0-9._@-]{0,79}$/, { message: 'A name to sign in with has letters, digits, and . _ @ - only' })
  name!: string;
  @IsString()
  @IsNotEmpty({ message: 'Say who it is' })
  @MaxLength(80)
  @Matches(/^\P{C}*$/u, { message: 'A name has no control characters' })
  fullName!: string;
  @IsIn(roleNames) role!: Role;
  @AsNumberOrNone() @IsOptional() @IsInt() source: SourceId | null = null;
}

class GrantForm {
  @AsNumber() @IsInt() @Min(1) person!: PersonId;
  @IsIn(roleNames) role!: Role;
  @AsNumberOrNone() @IsOptional() @IsInt() source: SourceId | null = null;
}

class UngrantForm {
  @AsNumber() @IsInt() @Min(1) person!: PersonId;
  @AsNumber() @IsInt() @Min(1) grant!: GrantId;
}

class PersonForm {
  @AsNumber() @IsInt() @Min(1) person!: PersonId;
}

const intent = intentsOn<Actor>();

function inviting(whose: string, token: string): ShownOnce {
  return {
    words: `This invites ${whose}; it can be used once, within three days. Send it where only they read it:`,
    secret: `${reached.origin}/invitation/${token}`,
  };
}

export const peopleIntents = {
  add: intent(
    NewPersonForm,
    (actor, { name, fullName, role, source }) => addPerson(office(), actor, { name, fullName, grants: [{ role, source }] }),
    { shown: ({ invitation }, { fullName }) => inviting(fullName, invitation) },
  ),
  give: intent(GrantForm, (actor, { person, role, source }) => giveRole(office(), actor, person, { role, source })),
  take: intent(UngrantForm, (actor, { person, grant }) => takeRole(office(), actor, person, grant)),
  invite: intent(PersonForm, (actor, { person }) => invite(office(), actor, person), {
    shown: (token) => inviting('them', token),
  }),
  disable: intent(PersonForm, (actor, { person }) => setDisabled(office(), actor, person, true)),
  enable: intent(PersonForm, (actor, { person }) => setDisabled(office(), actor, person, false)),
};
