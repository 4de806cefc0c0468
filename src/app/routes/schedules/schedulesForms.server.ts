import { AsNumber } from '~/input/fill';
import { IsIn, IsInt, IsOptional, IsString, Matches, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import type { Depth } from '~/core/evidence/requests';
import type { ScheduleId } from '~/store/ids';
import type { Room } from '~/work/enter';
import { removeSchedule, settleSchedule, switchOn } from '~/work/schedules';

class KnownForm {
  @AsNumber() @IsInt({ message: 'There is no such schedule' }) @Min(1) schedule!: ScheduleId;
}

class SettleForm {
  @IsOptional() @AsNumber() @IsInt() @Min(1) schedule?: ScheduleId;
  @IsString() @MaxLength(100, { message: 'Write 100 signs at most' }) cron!: string;
  @Matches(/^[A-Za-z0-9_+/-]{1,60}$/, { message: 'Choose a time zone' }) zone!: string;
  @IsIn(['catalogue', 'sampled', 'exact'], { message: 'Choose how deep it looks' }) depth!: Depth;
}

const intent = intentsOn<Room>();

export const schedulesIntents = {
  settle: intent(
    SettleForm,
    (room, { schedule = null, cron, zone, depth }) => settleSchedule(room, schedule, { cron, zone, depth }),
    {
      said: () => ({ words: 'Kept: the clock asks for it from now on.' }),
    },
  ),
  on: intent(KnownForm, (room, { schedule }) => switchOn(room, schedule, true)),
  off: intent(KnownForm, (room, { schedule }) => switchOn(room, schedule, false)),
  remove: intent(KnownForm, (room, { schedule }) => removeSchedule(room, schedule), {
    said: () => ({ words: 'The schedule is removed.' }),
  }),
};
