import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Form } from 'react-router';
import { Moment } from '~/app/ui/Moment';
import { Environment, Grade, Headline } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { AsShown, type Shown } from './AsShown';
import type { DocketPage } from './docketPage.server';

/** What the docket is called, how far it is, who planned it, and its record to take along. */
export function Head({ page }: { readonly page: DocketPage }) {
  const { source, docket, shown, instead } = page;
  const recordAt = pathTo('/s/:source/dockets/:docket/record', { source: source.id, docket: docket.id });
  const fixed = instead.plan !== null || docket.state === 'Signed' || docket.state === 'Running';
  return (
    <>
      <Headline>
        <Grade className={docket.state === 'Done' ? 'verd' : docket.state === 'Stopped' ? 'rust' : ''}>{docket.state}</Grade>
        <Typography variant="mute">
          {source.name}, <Environment className={source.environment}>{source.environment}</Environment>
        </Typography>
        <span className="end">
          made <Moment at={docket.createdAt} />
        </span>
      </Headline>
      <Title name={docket.name} shown={shown} fixed={fixed} />
      <Typography variant="note" component="p" style={{ margin: 0 }}>
        {docket.authors.length > 0 && <>Planned by {docket.authors.map(({ name }) => name).join(', ')}. </>}
        Its whole record:{' '}
        <a href={recordAt} download>
          a page to download and print
        </a>
        ,{' '}
        <a href={`${recordAt}?as=json`} download>
          JSON
        </a>
      </Typography>
    </>
  );
}

function Title({ name, shown, fixed }: { readonly name: string; readonly shown: Shown; readonly fixed: boolean }) {
  const [editing, setEditing] = useState(false);
  if (!editing)
    return (
      <h1>
        {name}{' '}
        {!fixed && (
          <Button variant="text" onClick={() => setEditing(true)}>
            Rename
          </Button>
        )}
      </h1>
    );
  return (
    <Form method="post" className="actions" style={{ margin: '4px 0' }} onSubmit={() => setEditing(false)}>
      <input type="hidden" name="intent" value="rename" />
      <AsShown {...shown} />
      <TextField name="name" label="Name" defaultValue={name} autoFocus sx={{ maxWidth: 320 }} />
      <Button type="submit" variant="contained">
        Keep
      </Button>
      <Button variant="text" onClick={() => setEditing(false)}>
        Cancel
      </Button>
    </Form>
  );
}
