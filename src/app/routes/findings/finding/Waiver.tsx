import { pathTo } from '~/app/ui/pathTo';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useFetcher } from 'react-router';
import { useAllowed } from '~/app/ui/useAllowed';
import { useKeys } from '~/app/ui/keys';
import { useSaid } from '~/app/ui/Saying';
import type { action } from '../route';
import { Waiving } from '../Waiving';
import type { Dossier } from './dossier.server';

/** Settling a finding as meant to be so, with the reason; and taking that back. */
export function Waiver({ dossier: { id, source, state, rule } }: { readonly dossier: Dossier }) {
  const [asking, setAsking] = useState(false);
  const fetcher = useFetcher<typeof action>();
  useSaid(fetcher.data);
  const allowed = useAllowed()('keepRules');
  const canWaive = allowed && (state === 'Open' || state === 'Slipped');
  useKeys(useMemo(() => [{ key: 'w', does: 'waive', run: () => canWaive && setAsking(true) }], [canWaive]));
  return (
    <>
      {state === 'Waived' && (
        <fetcher.Form method="post" action={pathTo('/s/:source/findings', { source })} className="actions">
          <input type="hidden" name="findings" value={id} />
          {allowed && (
            <Button type="submit" name="intent" value="unwaive">
              Ask again
            </Button>
          )}
          <Typography variant="note">{rule} leaves it alone.</Typography>
        </fetcher.Form>
      )}
      {canWaive && (
        <div className="actions">
          <Button variant="text" onClick={() => setAsking(true)}>
            It is meant to be so…
          </Button>
          <span className="end">
            <kbd>w</kbd> waive
          </span>
        </div>
      )}
      {/* It stays until it has its answer, which may come with the new state. */}
      <Waiving source={source} findings={[id]} open={asking} onClose={() => setAsking(false)} />
    </>
  );
}
