import { AsNumber } from '~/input/fill';
import { ArrayMaxSize, ArrayMinSize, IsInt, IsOptional, IsString, MaxLength, Min } from 'class-validator';
import { Numbers } from '~/input/numbers';
import { intentsOn } from '~/app/server/intents.server';
import { pathTo } from '~/app/ui/pathTo';
import type { SourceId, SurveyId } from '~/store/ids';
import { align } from '~/work/aligning';
import type { Room } from '~/work/enter';

/** Which two: surveys by their numbers, the latest where they are left out. */
export class ComparedForm {
  @IsOptional() @AsNumber() @IsInt() @Min(1) before?: SurveyId;
  @IsOptional() @AsNumber() @IsInt() @Min(1) after?: SurveyId;
  @IsOptional() @AsNumber() @IsInt() @Min(1) other?: SourceId;
}

class AlignForm extends ComparedForm {
  /** The places of differences in the list. */
  @ArrayMinSize(1, { message: 'Choose at least one difference' })
  @ArrayMaxSize(50, { message: 'Choose 50 differences at most: each is measured' })
  @Numbers(0)
  differences!: number[];
  @IsString() @MaxLength(500, { message: 'Write 500 signs at most' }) reason = '';
}

interface OnCompared {
  readonly room: Room;
  readonly signal: AbortSignal;
}

const intent = intentsOn<OnCompared>();

export const compareIntents = {
  align: intent(
    AlignForm,
    ({ room, signal }, { before = null, after = null, other = null, differences, reason }) =>
      align(room, { here: before, there: { source: other ?? room.source.id, survey: after } }, { differences, reason }, signal),
    { then: (docket, { room }) => pathTo('/s/:source/dockets/:docket', { source: room.source.id, docket }) },
  ),
};
