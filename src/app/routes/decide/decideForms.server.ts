import { IsInt, IsOptional, IsString, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { pathTo } from '~/app/ui/pathTo';
import { answersIn } from '~/core/remedies/index';
import { AsNumber } from '~/input/fill';
import { Numbers } from '~/input/numbers';
import type { DocketId, FindingRowId } from '~/store/ids';
import { addToDocket } from '~/work/dockets/contents';
import type { Room } from '~/work/enter';
import { waive } from '~/work/settling';
import { Chosen, WaiveForm } from '../findings/findingsForms.server';

/** Which are decided together: of a rule, those refused in a docket, or these. */
export class Together {
  @IsString() @MaxLength(100) rule = '';
  @IsOptional() @AsNumber() @IsInt() @Min(1) docket: DocketId | null = null;
  @Numbers(1) findings: FindingRowId[] = [];
}

const intent = intentsOn<Room>();

/** The findings that were left ticked go into the docket, or are waived. */
export const decideIntents = {
  add: intent(Chosen, (room, { findings }, all) => addToDocket(room, findings, answersIn(all)), {
    then: (docket, { source }) => pathTo('/s/:source/dockets/:docket', { source: source.id, docket }),
  }),
  waive: intent(WaiveForm, (room, { findings, reason, until }) => waive(room, findings, { reason, until }), {
    then: (_, { source }) => `${pathTo('/s/:source/findings', { source: source.id })}?show=Waived`,
  }),
};
