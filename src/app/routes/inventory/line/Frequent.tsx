import { styled } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { ShareBar } from '~/app/ui/parts';
import { percent } from '~/app/ui/format';

interface FrequentProps {
  readonly values: readonly { readonly value: string; readonly share: number }[];
}

/** Values by how often they occur, as bars that can be read as numbers too. */
export function Frequent({ values }: FrequentProps) {
  const most = Math.max(...values.map(({ share }) => share));
  return (
    <FrequentValues role="list">
      {values.map(({ value, share }) => (
        <div key={value} role="listitem">
          <Typography variant="mono" title={value}>
            {value === '' ? (
              <Typography variant="mute" component="i">
                empty text
              </Typography>
            ) : (
              value
            )}
          </Typography>
          <ShareBar>
            <i style={{ width: `${(share / most) * 100}%` }} />
          </ShareBar>
          <Typography variant="mono" color="textSecondary">
            {share < 0.1 ? `${(share * 100).toPrecision(share < 0.01 ? 1 : 2)} %` : percent(share)}
          </Typography>
        </div>
      ))}
    </FrequentValues>
  );
}

const FrequentValues = styled('div')({
  '& > div': {
    display: 'grid',
    gridTemplateColumns: 'minmax(60px, 30%) 1fr 60px',
    gap: '10px',
    alignItems: 'center',
    padding: '2px 0',
  },
  '& > div > :first-child': {
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
});
