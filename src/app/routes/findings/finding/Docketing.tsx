import Button from '@mui/material/Button';
import { useMemo, useRef } from 'react';
import { Link, useNavigate, useNavigation } from 'react-router';
import { Answers } from '~/app/ui/Answers';
import { useKeys } from '~/app/ui/keys';
import { StickyForm } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { useAllowed } from '~/app/ui/useAllowed';
import { changeableStates } from '~/core/ratchet/states';
import type { Decision } from '~/core/remedies/question';
import type { Dossier } from './dossier.server';

interface DocketingProps {
  readonly source: number;
  /** The docket that the finding is in. */
  readonly docket: Dossier['docket'];
  readonly decision: Decision;
  readonly possible: boolean;
}

/** The way into a docket and out of it again, by button and by key. */
export function Docketing({ source, docket, decision, possible }: DocketingProps) {
  const adding = useRef<HTMLButtonElement>(null);
  const busy = useNavigation().state !== 'idle';
  const navigate = useNavigate();
  const mayPlan = useAllowed()('plan');
  const changeable = docket !== null && changeableStates.includes(docket.state);
  const changed = docket !== null && Object.entries(decision).some(([question, answer]) => docket.decision[question] !== answer);
  const docketAt = docket && pathTo('/s/:source/dockets/:docket', { source, docket: docket.id });
  useKeys(
    useMemo(
      () => [
        {
          key: 'd',
          does: 'put into the docket',
          run: () => mayPlan && docketAt === null && possible && adding.current?.click(),
        },
        { key: 'o', does: 'open its docket', run: () => docketAt !== null && void navigate(docketAt) },
      ],
      [docketAt, navigate, possible, mayPlan],
    ),
  );
  return (
    <StickyForm method="post" preventScrollReset>
      <Answers of={decision} />
      {docket === null && mayPlan && (
        <Button ref={adding} variant="contained" type="submit" name="intent" value="add" disabled={busy || !possible}>
          Add to docket
        </Button>
      )}
      {docket && (
        <>
          <Button variant="contained" component={Link} to={pathTo('/s/:source/dockets/:docket', { source, docket: docket.id })}>
            Open {docket.name}
          </Button>
          {changed && mayPlan && (
            <Button type="submit" name="intent" value="add" disabled={busy}>
              Keep these answers
            </Button>
          )}
          {changeable && mayPlan && (
            <Button type="submit" name="intent" value="remove" disabled={busy}>
              Take out
            </Button>
          )}
        </>
      )}
      <span className="end">
        {docket ? (
          <>
            <kbd>o</kbd> open
          </>
        ) : mayPlan ? (
          <>
            <kbd>d</kbd> docket
          </>
        ) : (
          'Putting it into a docket takes the right to plan dockets.'
        )}
      </span>
    </StickyForm>
  );
}
