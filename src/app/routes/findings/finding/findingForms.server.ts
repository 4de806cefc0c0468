import 'reflect-metadata';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsInt, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { answersIn } from '~/core/remedies/index';
import type { FindingRowId } from '~/store/ids';
import { addToDocket, takeFromDocket } from '~/work/dockets/contents';
import type { Room } from '~/work/enter';
import { takeBack } from '~/work/wishes';

/** One finding in a source. */
interface OnFinding {
  readonly room: Room;
  readonly finding: FindingRowId;
}

class FindingForm {
  /** Those that must be mended before it, where it is put into a docket. */
  @Transform(({ value }: { value: unknown }) => [value].flat().map(Number))
  @ArrayMaxSize(5)
  @IsInt({ each: true })
  @Min(1, { each: true })
  with: FindingRowId[] = [];
}

const intent = intentsOn<OnFinding>();

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
  takeBack: intent(FindingForm, ({ room, finding }) => takeBack(room, finding), {
    said: () => ({ words: 'It is not asked for any more.' }),
  }),
};
