import 'reflect-metadata';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsInt, IsString, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { counted } from '~/core/naming/words';
import type { DriftId } from '~/store/ids';
import { acknowledge } from '~/work/drift';
import type { Room } from '~/work/enter';

class AcknowledgeForm {
  @Transform(({ value }: { value: unknown }): unknown => (typeof value === 'string' ? value.split(',').map(Number) : value))
  @ArrayMinSize(1, { message: 'Choose at least one change' })
  @ArrayMaxSize(2_000, { message: 'Choose 2,000 changes at most' })
  @IsInt({ each: true })
  @Min(1, { each: true })
  changes!: DriftId[];
  @IsString() @MaxLength(500, { message: 'Write 500 signs at most' }) reason = '';
}

const intent = intentsOn<Room>();

export const driftIntents = {
  acknowledge: intent(AcknowledgeForm, (room, { changes, reason }) => acknowledge(room, changes, reason), {
    said: (_, { changes }) => ({ words: `${counted(changes.length, 'change')} acknowledged.` }),
  }),
};
