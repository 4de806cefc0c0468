import { pathTo } from '~/app/ui/pathTo';
import { styled } from '@mui/material/styles';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useFetcher } from 'react-router';
import { Script } from './Script';
import type { Ddl } from '~/core/engines/questions';
import type { Answered } from '~/work/askSource';

interface DeclarationProps {
  readonly source: number;
  readonly table: string;
  readonly name: string;
  readonly words: string;
}

/** A constraint or index, and on request the statements that drop it and make it again. */
export function Declaration({ source, table, name, words }: DeclarationProps) {
  const fetcher = useFetcher<Answered<Ddl>>();
  const ddl = fetcher.data;
  const at = `${pathTo('/s/:source/coverage/:table/ddl', { source, table })}?name=${encodeURIComponent(name)}`;
  return (
    <div style={{ marginTop: 4 }}>
      <Block>
        <Typography variant="mono">
          <span className="verd">{visible(name)}</span> {words}
        </Typography>
        {!ddl && (
          <Button
            variant="text"
            aria-label={`SQL of ${visible(name)}`}
            disabled={fetcher.state !== 'idle'}
            onClick={() => void fetcher.load(at)}
          >
            SQL
          </Button>
        )}
      </Block>
      {!ddl && fetcher.state !== 'idle' && <Skeleton variant="rounded" height={80} role="status" aria-label="Reading" />}
      {ddl?.ok && (
        <>
          <Script
            text={visible(`-- drop it\n${ddl.drop}\n\n-- make it again\n${ddl.create}`, 'kept')}
            label={`Statements of ${visible(name)}`}
          />
          <div className="actions" style={{ margin: '0 0 6px' }}>
            <Button variant="text" onClick={() => void navigator.clipboard.writeText(`${ddl.drop}\n\n${ddl.create}\n`)}>
              Copy
            </Button>
          </div>
        </>
      )}
      {ddl && !ddl.ok && (
        <Alert severity="warning" role="alert">
          {ddl.message}
        </Alert>
      )}
    </div>
  );
}

const Block = styled('div')({
  display: 'flex',
  alignItems: 'baseline',
  justifyContent: 'space-between',
  gap: '8px',
});
