import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Form } from 'react-router';
import type { DocketPage } from './docketPage.server';

/** Findings that the plan leaves out: why, and what is to be added for them to come in. */
export function LeftOut({ page: { leftOut, instead } }: { readonly page: DocketPage }) {
  return leftOut.map(({ finding, title, message, needed }) => (
    <Alert key={finding} severity="warning" role="note">
      <b>{title}</b> is left out: {message}
      {instead.plan === null &&
        needed.map((one) => (
          <Form key={one.id} method="post" preventScrollReset className="actions" style={{ margin: '6px 0 0' }}>
            <input type="hidden" name="finding" value={one.id} />
            <Button type="submit" name="intent" value="add">
              Add it
            </Button>
            <Typography variant="small">{one.message}</Typography>
          </Form>
        ))}
    </Alert>
  ));
}
