import Typography from '@mui/material/Typography';
import type { WholeField } from '~/app/ui/list/whole';
import { visible } from '~/core/naming/visible';
import type { Difference } from '~/core/ratchet/differences';

export interface DifferenceLine extends Difference {
  /** Its place in the list. */
  readonly id: number;
  /** What can be asked for here, in words; null where nothing can. */
  readonly remedy: string | null;
  /** Why not, where there is more to say. */
  readonly why: string | null;
}

const words: Readonly<Record<Difference['change'], string>> = {
  new: 'there alone',
  gone: 'here alone',
  renamed: 'another name',
  changed: 'otherwise',
};

/** What the list of differences tells of each: `here` is what is compared, `there` what it is held against. */
export const differenceFields: readonly WholeField<DifferenceLine>[] = [
  { name: 'change', title: 'Difference', type: 'text', width: 110, usual: true, of: ({ change }) => words[change] },
  { name: 'of', title: 'Of', type: 'text', width: 80, usual: true, of: ({ kind }) => kind },
  { name: 'table', title: 'Table', type: 'text', width: 150, usual: true, of: ({ table }) => table && visible(table) },
  { name: 'name', title: 'Name', type: 'text', width: 170, usual: true, of: ({ name }) => visible(name) },
  { name: 'here', title: 'Here', type: 'text', width: 230, usual: true, of: ({ was }) => was && visible(was) },
  { name: 'there', title: 'There', type: 'text', width: 230, usual: true, of: ({ is }) => is && visible(is) },
  {
    name: 'align',
    title: 'Aligned by',
    about: 'What is asked for so that here becomes like there',
    type: 'text',
    width: 190,
    usual: true,
    of: ({ remedy, why }) => remedy ?? why,
    draw: ({ remedy, why }) =>
      remedy === null ? <Typography variant="mute">{why}</Typography> : <span className="verd">{visible(remedy)}</span>,
  },
];
