// What can be asked of a docket: each intent with the class that its fields are checked by, and what it does.

import { AsNumber, ReadAs } from '~/input/fill';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsISO8601,
  IsNotEmpty,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
  Min,
} from 'class-validator';
import { intentsOn, told } from '~/app/server/intents.server';
import { pathTo } from '~/app/ui/pathTo';
import { type Mode, modes } from '~/core/plan/cost';
import type { DocketId, FindingRowId } from '~/store/ids';
import { addToDocket, changeMode, discard, rename, takeFromDocket, takeRefused } from '~/work/dockets/contents';
import { ranElsewhere } from '~/work/dockets/ranElsewhere';
import { chooseRehearsalServer, rehearseDocket, stopRehearsing } from '~/work/dockets/rehearsing';
import { runDocket, steer } from '~/work/dockets/running';
import { confirmBackup, sign, unsign } from '~/work/dockets/signing';
import type { Room } from '~/work/enter';

export interface OnDocket {
  readonly room: Room;
  readonly docket: DocketId;
}

/** What was shown: the digest of plan, scripts and decisions, and how far the journal went then. */
export class Seen {
  @IsString() @MaxLength(64) digest = '';
  @AsNumber() @IsInt() @Min(0) seen = 0;
}

class RunForm extends Seen {
  @IsString()
  @IsNotEmpty({ message: 'Type the user that may change the schema.' })
  @MaxLength(63)
  @Matches(/^\P{Cc}*$/u, { message: 'A user has no control characters.' })
  user = '';
  @IsOptional()
  @IsString()
  @MaxLength(1000)
  @Matches(/^\P{Cc}*$/u, { message: 'A password has no control characters.' })
  password = '';
}

class RenameForm extends Seen {
  @IsString() @IsNotEmpty({ message: 'A docket needs a name.' }) @MaxLength(80) name = '';
}

class BackupForm extends Seen {
  @IsISO8601({ strict: true }, { message: 'Say when the backup was taken.' })
  @Matches(/(Z|[+-]\d\d:\d\d)$/, { message: 'Say when the backup was taken, and by which clock.' })
  backupAt = '';
  @IsString() @IsNotEmpty({ message: 'Say where the backup is.' }) @MaxLength(200) backupWhere = '';
}

class ServerForm {
  /** Where to rehearse; empty for Pawl's own server. */
  @IsOptional() @IsString() @MaxLength(1000) server = '';
}

class ModeForm extends Seen {
  @IsIn(modes) mode: Mode = 'plain';
}

class FindingForm {
  @AsNumber() @IsInt({ message: 'There is no such finding.' }) @Min(1) finding!: FindingRowId;
}

class RefusedForm extends Seen {
  /** Those that were refused, to be taken out together. */
  @ReadAs((value) => (Array.isArray(value) ? value : value === undefined ? [] : [value]).map(Number))
  @IsArray()
  @ArrayMaxSize(5000)
  @IsInt({ each: true })
  @Min(1, { each: true })
  refused: FindingRowId[] = [];
}

class RehearseForm extends Seen {
  /** The place of a rehearsal, as it was confirmed. */
  @IsOptional() @IsString() @MaxLength(400) confirmed = '';
}

const intent = intentsOn<OnDocket>();

const runs = (direction: 'forward' | 'back' | 'clear') =>
  intent(RunForm, ({ room, docket }, { user, password, ...shown }) =>
    told(runDocket(room, docket, { direction, login: { user, password }, shown })),
  );

const ran = (direction: 'forward' | 'back') =>
  intent(Seen, ({ room, docket }, shown) => told(ranElsewhere(room, docket, { direction, evidence: null, shown })));

const steers = (asked: 'pause' | 'stop' | null) => intent(Seen, ({ room, docket }) => steer(room, docket, asked));

export const docketIntents = {
  run: runs('forward'),
  back: runs('back'),
  clear: runs('clear'),
  elsewhere: ran('forward'),
  backElsewhere: ran('back'),
  pause: steers('pause'),
  stop: steers('stop'),
  resume: steers(null),
  take: intent(FindingForm, ({ room }, { finding }) => takeFromDocket(room, [finding])),
  takeRefused: intent(RefusedForm, ({ room, docket }, { refused, ...shown }) => takeRefused(room, docket, refused, shown)),
  add: intent(FindingForm, ({ room }, { finding }) => addToDocket(room, [finding], {})),
  rename: intent(RenameForm, ({ room, docket }, { name, ...shown }) => rename(room, docket, name, shown)),
  mode: intent(ModeForm, ({ room, docket }, { mode, ...shown }) => changeMode(room, docket, mode, shown)),
  rehearse: intent(RehearseForm, ({ room, docket }, { confirmed, ...shown }) =>
    told(rehearseDocket(room, docket, { confirmed, shown })),
  ),
  stopRehearsal: intent(Seen, ({ room, docket }) => stopRehearsing(room, docket)),
  server: intent(ServerForm, ({ room }, { server }) => chooseRehearsalServer(room, server.trim())),
  sign: intent(Seen, ({ room, docket }, shown) => sign(room, docket, shown)),
  unsign: intent(Seen, ({ room, docket }) => unsign(room, docket)),
  backup: intent(BackupForm, ({ room, docket }, { backupAt, backupWhere, ...shown }) =>
    confirmBackup(room, docket, { at: backupAt, place: backupWhere.trim(), shown }),
  ),
  discard: intent(Seen, ({ room, docket }) => discard(room, docket), {
    then: (_, { room }) => pathTo('/s/:source/dockets', { source: room.source.id }),
  }),
};
