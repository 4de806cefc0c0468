import { ArrayMaxSize, ArrayMinSize, IsString, MaxLength } from 'class-validator';
import { Numbers } from '~/input/numbers';
import { intentsOn } from '~/app/server/intents.server';
import { counted } from '~/core/naming/words';
import type { DriftId } from '~/store/ids';
import { acknowledge } from '~/work/drift';
import type { Room } from '~/work/enter';

class AcknowledgeForm {
  @ArrayMinSize(1, { message: 'Choose at least one change' })
  @ArrayMaxSize(2_000, { message: 'Choose 2,000 changes at most' })
  @Numbers(1)
  changes!: DriftId[];
  @IsString() @MaxLength(500, { message: 'Write 500 signs at most' }) reason = '';
}

const intent = intentsOn<Room>();

export const driftIntents = {
  acknowledge: intent(AcknowledgeForm, (room, { changes, reason }) => acknowledge(room, changes, reason), {
    said: (_, { changes }) => ({ words: `${counted(changes.length, 'change')} acknowledged.` }),
  }),
};
