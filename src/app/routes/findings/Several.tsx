import { pathTo } from '~/app/ui/pathTo';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useMemo, useState } from 'react';
import { Link, useFetcher } from 'react-router';
import { useKeys } from '~/app/ui/keys';
import { useSaid } from '~/app/ui/Saying';
import { useAllowed } from '~/app/ui/useAllowed';
import type { Picked } from '~/app/ui/list/picked';
import { counted } from '~/core/naming/words';
import type { FindingLine } from '~/core/survey/boards';
import type { action } from './route';
import { Waiving } from './Waiving';

interface SeveralProps {
  readonly source: string;
  readonly picked: Picked<FindingLine>;
}

/** What can be done with the findings that are chosen, all in one. */
export function Several({ source, picked: { rows, count, none } }: SeveralProps) {
  const fetcher = useFetcher<typeof action>();
  const allowed = useAllowed();
  const [waiving, setWaiving] = useState(false);
  const busy = fetcher.state !== 'idle';
  useSaid(fetcher.data);
  const { data } = fetcher;
  useEffect(() => {
    if (data?.problem === null) none();
  }, [data, none]);
  const findings = rows.map(({ id }) => id).join();
  const open = rows.filter(({ state }) => state === 'Open' || state === 'Slipped');
  const waived = rows.filter(({ state }) => state === 'Waived');
  const canDocket = allowed('plan') && open.length > 0;
  const canWaive = allowed('keepRules') && open.length === count;
  useKeys(
    useMemo(
      () =>
        count === 0
          ? []
          : [
              {
                key: 'd',
                does: 'docket those chosen',
                first: true,
                run: () =>
                  canDocket &&
                  void fetcher.submit(
                    { intent: 'docket', findings },
                    { method: 'post', action: pathTo('/s/:source/findings', { source }) },
                  ),
              },
              { key: 'w', does: 'waive those chosen', first: true, run: () => setWaiving(canWaive) },
            ],
      [count, canDocket, canWaive, findings, source, fetcher],
    ),
  );
  return (
    <>
      {count > 0 && (
        <fetcher.Form
          method="post"
          action={pathTo('/s/:source/findings', { source })}
          className="foot several"
          aria-label="Those chosen"
        >
          <input type="hidden" name="findings" value={findings} />
          <b role="status">{counted(count, 'finding')} chosen</b>
          {canDocket && (
            <Button type="submit" name="intent" value="docket" variant="contained" disabled={busy}>
              Put into a docket, as advised
            </Button>
          )}
          {canDocket && (
            <Button component={Link} to={`${pathTo('/s/:source/decide', { source })}?findings=${findings}`}>
              Decide together
            </Button>
          )}
          {canWaive && <Button onClick={() => setWaiving(true)}>Waive…</Button>}
          {allowed('keepRules') && waived.length === count && (
            <Button type="submit" name="intent" value="unwaive" disabled={busy}>
              Ask again
            </Button>
          )}
          <Button variant="text" onClick={none}>
            Choose none
          </Button>
          {data?.problem && (
            <Alert severity="error" role="alert" sx={{ width: '100%', margin: 0 }}>
              {data.problem}
            </Alert>
          )}
        </fetcher.Form>
      )}
      <Waiving
        source={source}
        findings={rows.map(({ id }) => id)}
        open={waiving}
        onClose={() => setWaiving(false)}
        onDone={none}
      />
    </>
  );
}
