import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import { Form } from 'react-router';
import { answerLook } from '~/app/ui/Cards';
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
    <Ways method="post" preventScrollReset role="group" aria-label="How it is carried out">
      <input type="hidden" name="intent" value="mode" />
      <AsShown {...shown} />
      {ways.map(({ mode, title, effect }) => (
        <WayButton
          key={mode}
          type="submit"
          name="mode"
          value={mode}
          selected={docket.mode === mode}
          disabled={fixed || !changeableStates.includes(docket.state)}
        >
          <b>{title}</b>
          {effect}
        </WayButton>
      ))}
    </Ways>
  );
}

const Ways = styled(Form)({
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))',
  gap: 8,
});

const WayButton = styled(ToggleButton)({
  ...answerLook,
  '&.Mui-selected, &.Mui-selected:hover': { color: 'var(--mui-palette-text-primary)' },
});
