import { pathTo } from '~/app/ui/pathTo';
import { ArrayMaxSize, ArrayMinSize, IsIn, IsString, Matches, MaxLength } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { Numbers } from '~/input/numbers';
import { type FindingState, findingStates } from '~/core/ratchet/states';
import { counted } from '~/core/naming/words';
import type { FindingRowId } from '~/store/ids';
import { addToDocket, takeFromDocket } from '~/work/dockets/contents';
import type { Room } from '~/work/enter';
import { unwaive, waive } from '~/work/settling';

/** Findings by their numbers: with commas between them, or a field each. */
export class Chosen {
  @ArrayMinSize(1, { message: 'Choose at least one finding' })
  @ArrayMaxSize(5_000, { message: 'Choose 5,000 findings at most' })
  @Numbers(1)
  findings!: FindingRowId[];
}

export class WaiveForm extends Chosen {
  @IsString() @MaxLength(500) reason = '';
  @Matches(/^(\d{4}-\d{2}-\d{2})?$/, { message: 'Give the last day as year, month and day, or leave it empty' }) until = '';
}

function undo({ source }: Room, name: string, { findings }: Chosen) {
  return { address: pathTo('/s/:source/findings', { source: source.id }), fields: { intent: name, findings: findings.join() } };
}

/** Findings of which state: the open ones unless another is asked for. */
export class ShownFindings {
  @IsIn(['', 'all', ...findingStates]) show: '' | 'all' | FindingState = '';
}

const intent = intentsOn<Room>();

export const findingsIntents = {
  docket: intent(Chosen, (room, { findings }) => addToDocket(room, findings, {}), {
    said: (docket, form, room) => ({
      words: `${counted(form.findings.length, 'finding')} put into a docket, as far as there are scripts.`,
      to: { address: pathTo('/s/:source/dockets/:docket', { source: room.source.id, docket }), words: 'Open it' },
      undo: undo(room, 'take', form),
    }),
  }),
  /** What undoes the one before: a docket that it made goes again. */
  take: intent(Chosen, (room, { findings }) => takeFromDocket(room, findings, 'goes')),
  waive: intent(WaiveForm, (room, { findings, reason, until }) => waive(room, findings, { reason, until }), {
    said: (_, form, room) => ({
      words: `${counted(form.findings.length, 'finding')} waived.`,
      undo: undo(room, 'unwaive', form),
    }),
  }),
  unwaive: intent(Chosen, (room, { findings }) => unwaive(room, findings)),
};
