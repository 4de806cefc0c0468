import { pathTo } from '~/app/ui/pathTo';
import Alert from '@mui/material/Alert';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useFetcher } from 'react-router';
import type { Touched } from '../touches';

interface TouchesProps {
  readonly source: number;
  readonly finding: number;
  /** What the catalogue shows already, in words. */
  readonly known: readonly string[];
  /** What it means that a view rests on the constraint. */
  readonly resting: string;
}

/** What another name, or another key, touches: from the catalogue at once, and from the source's own views and functions. */
export function Touches({ source, finding, known, resting }: TouchesProps) {
  const fetcher = useFetcher<Touched>();
  const at = pathTo('/s/:source/findings/:finding/touches', { source, finding });
  useEffect(() => {
    void fetcher.load(at);
  }, [at]); // eslint-disable-line react-hooks/exhaustive-deps
  const touched = fetcher.data;
  return (
    <section aria-label="What it touches" aria-busy={!touched}>
      <h2>What it touches</h2>
      <Typography variant="small" component="ul" style={{ margin: '4px 0', paddingLeft: 18 }}>
        {known.map((line) => (
          <li key={line}>{line}</li>
        ))}
        {!touched && (
          <li>
            <Skeleton aria-label="Looking for views and functions on the source" width="80%" />
          </li>
        )}
        {touched?.ok && touched.dependents.length === 0 && <li>No view or function of the source names it or rests on it.</li>}
        {touched?.ok &&
          touched.dependents.map(({ kind, name, how }) => (
            <li key={`${kind} ${name}`}>
              The {kind} <Typography variant="mono">{name}</Typography>{' '}
              {how === 'names it' ? 'names it, and has to be written anew.' : resting}
            </li>
          ))}
      </Typography>
      {touched && !touched.ok && (
        <Alert severity="warning" role="alert">
          What rests on it could not be looked at: {touched.message}
        </Alert>
      )}
    </section>
  );
}
