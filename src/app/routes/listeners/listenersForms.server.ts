import { AsNumber } from '~/input/fill';
import { IsIn, IsInt, IsString, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import type { ListenerId } from '~/store/ids';
import { type Hearing, hearings } from '~/store/sources/listeners';
import { allowListener, removeListener, switchHearing, tryListener } from '~/work/announcing';
import type { Room } from '~/work/enter';

class KnownForm {
  @AsNumber() @IsInt({ message: 'There is no such address' }) @Min(1) listener!: ListenerId;
}

class AllowForm {
  @IsString() @MaxLength(1_000, { message: 'Write 1,000 signs at most' }) address = '';
  @IsIn(hearings, { message: 'Choose what it hears' }) hears: Hearing = 'worse';
}

const intent = intentsOn<Room>();

export const listenersIntents = {
  allow: intent(AllowForm, (room, form) => allowListener(room, form), {
    said: (secret, { address }) => (secret === null ? { words: `${address} hears from now on.` } : null),
    shown: (secret) =>
      secret === null ? null : { words: 'Its messages are signed with this. It is shown once, and kept sealed:', secret },
  }),
  try: intent(KnownForm, (room, { listener }) => tryListener(room, listener), {
    said: () => ({ words: 'A test is on its way.' }),
  }),
  on: intent(KnownForm, (room, { listener }) => switchHearing(room, listener, true)),
  off: intent(KnownForm, (room, { listener }) => switchHearing(room, listener, false)),
  remove: intent(KnownForm, (room, { listener }) => removeListener(room, listener), {
    said: () => ({ words: 'Nothing is sent there any more.' }),
  }),
};
