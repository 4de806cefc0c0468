import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, useActionData } from 'react-router';
import { Folded } from '~/app/ui/Folded';
import { Fields } from '~/app/ui/parts';
import type { Came } from '~/app/server/intents.server';
import type { Dossier } from './dossier.server';

/** Says that a finding is one that was known before, or that it is not. */
export function Sameness({ dossier: { earlier, formerly } }: { readonly dossier: Dossier }) {
  const came = useActionData<Came>();
  return (
    <>
      {earlier.length > 0 && (
        <Folded title="It was known before" open={came?.intent === 'join'}>
          <Form method="post" aria-label="It was known before" preventScrollReset>
            <Typography variant="note" component="p">
              Where something was renamed or made anew and Pawl did not see that it is the same: the two become one, with the
              history of both. What was held has slipped then.
            </Typography>
            <Problem came={came} of="join" />
            <Fields>
              <TextField select className="wide" name="older" label="Which one it was" defaultValue={earlier[0]?.id ?? ''}>
                {earlier.map(({ id, title, place, state }) => (
                  <MenuItem key={id} value={id}>
                    {title}: {place} ({state.toLowerCase()})
                  </MenuItem>
                ))}
              </TextField>
              <TextField className="wide" name="why" label="How you know (may stay empty)" />
            </Fields>
            <div className="actions">
              <Button type="submit" name="intent" value="join">
                Join the two
              </Button>
            </div>
          </Form>
        </Folded>
      )}
      {formerly !== null && (
        <Folded title="It is not what it was taken for" open={came?.intent === 'part'}>
          <Form method="post" aria-label="It is not what it was taken for" preventScrollReset>
            <Typography variant="note" component="p">
              It was about{' '}
              <Typography variant="mono" component="b">
                {formerly}
              </Typography>{' '}
              before. Parted, what was known of that stays with that, and this is a finding of its own from then on.
            </Typography>
            <Problem came={came} of="part" />
            <TextField name="why" label="How you know (may stay empty)" />
            <div className="actions">
              <Button type="submit" name="intent" value="part">
                Part them
              </Button>
            </div>
          </Form>
        </Folded>
      )}
    </>
  );
}

function Problem({ came, of }: { readonly came: Came | undefined; readonly of: string }) {
  if (!came?.problem || came.intent !== of) return null;
  return (
    <Alert severity="error" role="alert">
      {came.problem}
    </Alert>
  );
}
