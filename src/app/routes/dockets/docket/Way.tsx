import Alert from '@mui/material/Alert';
import { styled } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import { Form } from 'react-router';
import { answerLook } from '~/app/ui/Cards';
import { changeableStates } from '~/core/ratchet/states';
import { AsShown } from './AsShown';
import type { DocketPage } from './docketPage.server';

const commits = 'The shortest script: a statement or two a step, each for itself. The server commits every ALTER TABLE at once.';

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
export function Way({ page: { docket, shown, instead, server } }: { readonly page: DocketPage }) {
  const { inTransaction, outlivesCrashes, notTried } = server;
  const fixed = instead.plan !== null || !changeableStates.includes(docket.state);
  return (
    <>
      <Ways method="post" preventScrollReset role="group" aria-label="How it is carried out">
        <input type="hidden" name="intent" value="mode" />
        <AsShown {...shown} />
        {ways.map(({ mode, title, effect }) => (
          <WayButton key={mode} type="submit" name="mode" value={mode} selected={docket.mode === mode} disabled={fixed}>
            <b>{title}</b>
            {mode === 'plain' && !inTransaction ? commits : effect}
          </WayButton>
        ))}
      </Ways>
      {notTried !== null && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          {notTried}
        </Alert>
      )}
      {!outlivesCrashes && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          This version of the server can lose a table when the server itself dies in the middle of an ALTER. Have a backup that
          you have tried, or update the server first.
        </Alert>
      )}
    </>
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
