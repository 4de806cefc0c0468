import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsString, MaxLength, Min } from 'class-validator';
import { intent } from '~/app/server/intents.server';
import { type NamedKind, namedKinds } from '~/core/naming/named';
import { adopt, copyStyle, restoreStyle } from '~/work/houseStyle';
import { findSource } from '~/store/sources/sources';
import type { SourceId } from '~/store/ids';
import { surveyNames } from '~/work/surveys';
import type { Outcome } from '~/work/perform';
import type { Room } from '~/work/enter';

class Shown {
  /** The version that the person saw. */
  @Type(() => Number) @IsInt() @Min(0) shown!: number;
}

class AdoptForm extends Shown {
  @IsIn(namedKinds) kind!: NamedKind;
  @IsString() @MaxLength(200) template!: string;
}

class DropForm extends Shown {
  @IsIn(namedKinds) kind!: NamedKind;
}

class RestoreForm extends Shown {
  @Type(() => Number) @IsInt() @Min(1) version!: number;
}

class CopyForm {
  @Type(() => Number) @IsInt() @Min(1) target!: number;
}

export const styleIntents = {
  adopt: intent(AdoptForm, (room, { shown, kind, template }) => judged(room, adopt(room, shown, { kind, template }))),
  drop: intent(DropForm, (room, { shown, kind }) => judged(room, adopt(room, shown, { kind, template: null }))),
  restore: intent(RestoreForm, (room, { shown, version }) => judged(room, restoreStyle(room, shown, version))),
  copy: intent(CopyForm, async (room, { target }) => {
    const source = await findSource(room.store, target as SourceId);
    return source ? copyStyle(room, source) : { problem: 'The other source was removed.' };
  }),
};

// What does not follow becomes findings at once, where the person may survey.
async function judged(room: Room, kept: Promise<Outcome<number>>): Promise<Outcome<number>> {
  const outcome = await kept;
  if (outcome.problem === null) await surveyNames(room);
  return outcome;
}
