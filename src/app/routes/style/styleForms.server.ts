import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsString, MaxLength, Min } from 'class-validator';
import { intent } from '~/app/server/intents.server';
import { type StyledKind, styledKinds } from '~/core/naming/styled';
import { adopt, copyStyle, restoreStyle } from '~/work/houseStyle';
import type { SourceId } from '~/store/ids';

class Shown {
  /** The version that the person saw. */
  @Type(() => Number) @IsInt() @Min(0) shown!: number;
}

class AdoptForm extends Shown {
  @IsIn(styledKinds) kind!: StyledKind;
  @IsString() @MaxLength(200) template!: string;
}

class DropForm extends Shown {
  @IsIn(styledKinds) kind!: StyledKind;
}

class RestoreForm extends Shown {
  @Type(() => Number) @IsInt() @Min(1) version!: number;
}

class CopyForm {
  @Type(() => Number) @IsInt() @Min(1) target!: number;
}

export const styleIntents = {
  adopt: intent(AdoptForm, (room, { shown, kind, template }) => adopt(room, shown, { kind, template })),
  drop: intent(DropForm, (room, { shown, kind }) => adopt(room, shown, { kind, template: null })),
  restore: intent(RestoreForm, (room, { shown, version }) => restoreStyle(room, shown, version)),
  copy: intent(CopyForm, (room, { target }) => copyStyle(room, target as SourceId)),
};
