import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { plural } from '~/core/naming/words';

/** In place of a list of which no row passes the filter. */
export function NothingFits({ what, here }: { readonly what: string; readonly here: string }) {
  return (
    <>
      <h1>No {what} fits this filter</h1>
      <p>Take the filter away to see all.</p>
      <Button component={Link} to={here}>
        Show all {plural(what)}
      </Button>
    </>
  );
}
