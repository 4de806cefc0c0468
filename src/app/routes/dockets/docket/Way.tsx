import ToggleButton from '@mui/material/ToggleButton';
import { Form } from 'react-router';
import { changeableStates } from '~/core/ratchet/states';
import type { DocketRow } from '~/store/dockets/dockets';
import { AsShown, type Shown } from './AsShown';

const ways = [
  {
    mode: 'quiet',
    title: 'Quiet, beside users at work',
    effect: 'What takes long lets readers and writers pass. More statements, each for itself.',
  },
  {
    mode: 'plain',
    title: 'Plain, in one go',
    effect: 'The shortest script, one transaction: all or nothing. Tables are locked while it works.',
  },
] as const;

/** How the docket is to be carried out; to be chosen while it is a draft. */
export function Way({ docket, shown, fixed }: { readonly docket: DocketRow; readonly shown: Shown; readonly fixed: boolean }) {
  return (
    <Form method="post" preventScrollReset className="answers" role="group" aria-label="How it is carried out">
      <input type="hidden" name="intent" value="mode" />
      <AsShown {...shown} />
      {ways.map(({ mode, title, effect }) => (
        <ToggleButton
          key={mode}
          type="submit"
          name="mode"
          value={mode}
          className="answer"
          selected={docket.mode === mode}
          disabled={fixed || !changeableStates.includes(docket.state)}
        >
          <b>{title}</b>
          {effect}
        </ToggleButton>
      ))}
    </Form>
  );
}
