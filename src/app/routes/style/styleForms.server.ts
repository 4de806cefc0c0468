import { AsNumber } from '~/input/fill';
import { IsIn, IsInt, IsString, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { type DictionaryList, dictionaryLists } from '~/core/naming/dictionary';
import { type StyledKind, styledKinds } from '~/core/naming/styled';
import { adopt, copyStyle, restoreStyle, say } from '~/work/houseStyle';
import type { SourceId } from '~/store/ids';
import type { Room } from '~/work/enter';

class Shown {
  /** The version that the person saw. */
  @AsNumber() @IsInt() @Min(0) shown!: number;
}

class AdoptForm extends Shown {
  @IsIn(styledKinds) kind!: StyledKind;
  @IsString() @MaxLength(200) template!: string;
}

class DropForm extends Shown {
  @IsIn(styledKinds) kind!: StyledKind;
}

class RestoreForm extends Shown {
  @AsNumber() @IsInt() @Min(1) version!: number;
}

class CopyForm {
  @AsNumber() @IsInt() @Min(1) target!: number;
}

class WordForm extends Shown {
  @IsIn(dictionaryLists) list!: DictionaryList;
  @IsString() @MaxLength(63) from!: string;
  @IsString() @MaxLength(200) to!: string;
}

class ForgetForm extends Shown {
  @IsIn(dictionaryLists) list!: DictionaryList;
  @IsString() @MaxLength(63) from!: string;
}

/** As dictionaries have words: small letters, one blank between. */
function plainly(text: string): string {
  return text.trim().toLowerCase().replaceAll(/\s+/g, ' ');
}

const intent = intentsOn<Room>();

export const styleIntents = {
  word: intent(WordForm, (room, { shown, list, from, to }) => say(room, shown, { list, from: plainly(from), to: plainly(to) })),
  forget: intent(ForgetForm, (room, { shown, list, from }) => say(room, shown, { list, from, to: null })),
  adopt: intent(AdoptForm, (room, { shown, kind, template }) => adopt(room, shown, { kind, template })),
  drop: intent(DropForm, (room, { shown, kind }) => adopt(room, shown, { kind, template: null })),
  restore: intent(RestoreForm, (room, { shown, version }) => restoreStyle(room, shown, version)),
  copy: intent(CopyForm, (room, { target }) => copyStyle(room, target as SourceId)),
};
