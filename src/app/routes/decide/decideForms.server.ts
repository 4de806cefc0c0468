import { intentsOn } from '~/app/server/intents.server';
import { pathTo } from '~/app/ui/pathTo';
import { answersIn } from '~/core/remedies/index';
import { addToDocket } from '~/work/dockets/contents';
import type { Room } from '~/work/enter';
import { waive } from '~/work/settling';
import { Chosen, WaiveForm } from '../findings/findingsForms.server';

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
