import { AsNumber, ReadAs } from '~/input/fill';
import { ArrayMaxSize, IsInt, IsString, Matches, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { pathTo } from '~/app/ui/pathTo';
import { answersIn } from '~/core/remedies/index';
import type { FindingRowId } from '~/store/ids';
import { careFor, comment } from '~/work/caring';
import { addToDocket, takeFromDocket } from '~/work/dockets/contents';
import type { Room } from '~/work/enter';
import { join, part } from '~/work/sameness';
import { takeBack } from '~/work/wishes';

/** One finding in a source. */
interface OnFinding {
  readonly room: Room;
  readonly finding: FindingRowId;
}

class FindingForm {
  /** Those that must be mended before it, where it is put into a docket. */
  @ReadAs((value) => [value].flat().map(Number))
  @ArrayMaxSize(5)
  @IsInt({ each: true })
  @Min(1, { each: true })
  with: FindingRowId[] = [];
}

class CareForm {
  @IsString() @MaxLength(100, { message: 'Write 100 signs at most' }) by = '';
  @Matches(/^(\d{4}-\d{2}-\d{2})?$/, { message: 'Give the day as year, month and day, or leave it empty' }) due = '';
  @IsString() @MaxLength(100, { message: 'Write 100 signs at most' }) reference = '';
}

class CommentForm {
  @IsString() @MaxLength(4_000, { message: 'Write 4,000 signs at most' }) words = '';
}

class PartForm {
  @IsString() @MaxLength(1_000, { message: 'Write 1,000 signs at most' }) why = '';
}

class JoinForm extends PartForm {
  @AsNumber()
  @IsInt({ message: 'Choose which one it was' })
  @Min(1, { message: 'Choose which one it was' })
  older!: FindingRowId;
}

const intent = intentsOn<OnFinding>();

const toLife = (finding: FindingRowId, { room }: OnFinding) =>
  pathTo('/s/:source/ratchet/:finding', { source: room.source.id, finding });

export const findingIntents = {
  add: intent(
    FindingForm,
    async ({ room, finding }, { with: before }, all) => {
      const added = before.length > 0 ? await addToDocket(room, before, {}) : null;
      return added !== null && added.problem !== null ? added : addToDocket(room, [finding], answersIn(all));
    },
    { said: () => ({ words: 'In the docket, decided as shown.' }) },
  ),
  remove: intent(FindingForm, ({ room, finding }) => takeFromDocket(room, [finding]), {
    said: () => ({ words: 'Taken out of its docket.' }),
  }),
  care: intent(CareForm, ({ room, finding }, form) => careFor(room, [finding], form), {
    said: () => ({ words: 'Kept: it stands in its life.' }),
  }),
  comment: intent(CommentForm, ({ room, finding }, { words }) => comment(room, finding, words), {
    said: () => ({ words: 'Said: it stands in its life.' }),
  }),
  join: intent(JoinForm, ({ room, finding }, form) => join(room, finding, form), { then: toLife }),
  part: intent(PartForm, ({ room, finding }, { why }) => part(room, finding, why), { then: toLife }),
  takeBack: intent(FindingForm, ({ room, finding }) => takeBack(room, finding), {
    said: () => ({ words: 'It is not asked for any more.' }),
  }),
};
