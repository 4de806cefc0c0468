import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { styled } from '@mui/material/styles';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Form, Link, useNavigation } from 'react-router';
import { Answers } from '~/app/ui/Answers';
import { DayField } from '~/app/ui/DayField';
import { Fields, StickyActions } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { Teeth } from '~/app/ui/Teeth';
import { visible } from '~/core/naming/visible';
import { counted } from '~/core/naming/words';
import type { Route } from './+types/route';

type Page = Route.ComponentProps['loaderData'];

/** What would change, finding by finding; those that are ticked go into a docket together, or are waived together. */
export function Lines({ page, problem }: { readonly page: Page; readonly problem: string | null }) {
  const { source, docket, chosen, lines, more, steps } = page;
  const possible = lines.filter((line) => line.changes.length > 0);
  return (
    <Form method="post" preventScrollReset>
      <Answers of={chosen} />
      <Typography variant="small" component="p" role="status">
        <b>{counted(possible.length, 'finding')}</b> in {counted(steps, 'step')}
        {lines.length > possible.length && `; ${lines.length - possible.length} cannot be carried out so`}
        {more > 0 && `; ${more} more wait for the next time`}.
      </Typography>
      <Changes source={source} lines={lines} />
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      <Acts refused={docket !== null} possible={possible.length > 0} />
    </Form>
  );
}

function Changes({ source, lines }: Pick<Page, 'source' | 'lines'>) {
  return (
    <Preview size="small">
      <TableHead>
        <TableRow>
          <TableCell>
            <span className="visually-hidden">Take it</span>
          </TableCell>
          <TableCell>Finding</TableCell>
          <TableCell>What changes</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((line) => (
          <TableRow key={line.id}>
            <TableCell>
              <Checkbox
                size="small"
                name="findings"
                value={line.id}
                defaultChecked={line.changes.length > 0 && !line.otherwise}
                slotProps={{ input: { 'aria-label': line.message } }}
              />
            </TableCell>
            <TableCell>
              <Teeth severity={line.severity} />{' '}
              <Link to={pathTo('/s/:source/findings/:finding', { source, finding: line.id })}>{line.message}</Link>
            </TableCell>
            <TableCell>
              {line.problem && <span className="brass">{line.problem}</span>}
              {line.changes.length > 0 && (
                <ul>
                  {line.changes.map((change) => (
                    <li key={change}>{visible(change)}</li>
                  ))}
                </ul>
              )}
              {line.otherwise && <span className="brass">It cannot take this answer: ticked, it goes as advised.</span>}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Preview>
  );
}

function Acts({ refused, possible }: { readonly refused: boolean; readonly possible: boolean }) {
  const busy = useNavigation().state !== 'idle';
  const [waiving, setWaiving] = useState(false);
  if (!waiving)
    return (
      <StickyActions>
        <Button type="submit" variant="contained" name="intent" value="add" disabled={busy || !possible}>
          {refused ? 'Keep these answers for those ticked' : 'Add those ticked to the docket'}
        </Button>
        {!refused && (
          <Button variant="text" onClick={() => setWaiving(true)}>
            They are meant to be so…
          </Button>
        )}
      </StickyActions>
    );
  return (
    <>
      <div style={{ marginTop: 12 }}>
        <TextField name="reason" label="Why they are meant to be so" multiline autoFocus />
        <Fields style={{ marginTop: 12 }}>
          <DayField name="until" label="Until (may stay open)" disablePast />
        </Fields>
      </div>
      <StickyActions>
        <Button type="submit" variant="contained" name="intent" value="waive" disabled={busy}>
          Waive those ticked
        </Button>
        <Button variant="text" onClick={() => setWaiving(false)}>
          Cancel
        </Button>
      </StickyActions>
    </>
  );
}

const Preview = styled(Table)({
  '& td': {
    fontFamily: 'var(--text)',
    verticalAlign: 'top',
  },
  '& ul': {
    margin: '0',
    paddingLeft: '16px',
  },
});
