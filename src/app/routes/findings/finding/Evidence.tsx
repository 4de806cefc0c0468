import { Overflowing } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import { Folded } from '~/app/ui/Folded';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Typography from '@mui/material/Typography';
import { percent } from '~/app/ui/format';
import type { Words } from '~/core/rules/rule';
import type { Dossier } from './dossier.server';

/** Candidate keys side by side: what holds, what it lacks, and what speaks for each. */
export function Candidates({ candidates }: { readonly candidates: Dossier['candidates'] }) {
  const best = candidates.findIndex((candidate) => candidate.good);
  return (
    <>
      <h2>Candidates compared</h2>
      <Overflowing role="region" aria-label="Candidates" tabIndex={0}>
        <CandidateTable size="small">
          <TableHead>
            <TableRow>
              <TableCell>Columns</TableCell>
              <TableCell>Unique</TableCell>
              <TableCell>Empty</TableCell>
              <TableCell>Speaks for and against it</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {candidates.map((candidate, i) => (
              <TableRow key={candidate.columns} className={i === best ? 'best' : undefined}>
                <TableCell>{candidate.columns}</TableCell>
                <TableCell>{candidate.unique}</TableCell>
                <TableCell className={candidate.empty > 0 ? 'rust' : undefined}>
                  {candidate.empty > 0 ? candidate.empty.toLocaleString('en-GB') : '0'}
                </TableCell>
                <TableCell className="prose">{candidate.reasons.join('; ')}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </CandidateTable>
      </Overflowing>
    </>
  );
}

const longestBar = 4;

/** What made the confidence: each part as a bar to the right for it, to the left against it. */
export function Sureness({ confidence, words }: { readonly confidence: number; readonly words: Words }) {
  const parts = words.parts ?? [];
  return (
    <SurenessBox title={<>What makes us {percent(confidence)} sure</>} open={parts.length > 0}>
      <Typography variant="small" component="ul">
        {words.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </Typography>
      {parts.length > 0 && (
        <Parts size="small" aria-label="Parts of the confidence">
          <TableBody>
            {parts.map(({ label, weight }) => (
              <TableRow key={label}>
                <TableCell className="bar-cell against">{weight < 0 && <Bar weight={weight} />}</TableCell>
                <TableCell className="bar-cell for">{weight > 0 && <Bar weight={weight} />}</TableCell>
                <TableCell>
                  {label}
                  <span className="visually-hidden">{weight > 0 ? ': speaks for it' : ': speaks against it'}</span>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Parts>
      )}
    </SurenessBox>
  );
}

function Bar({ weight }: { readonly weight: number }) {
  return <PartBar style={{ width: `${Math.min(100, (100 * Math.abs(weight)) / longestBar)}%` }} />;
}

const CandidateTable = styled(Table)({
  '& td': {
    overflowWrap: 'normal',
  },
  '& td:first-child': {
    minWidth: '110px',
  },
});

const Parts = styled(Table)({
  '& td:last-child': {
    paddingLeft: '10px',
  },
  '& .bar-cell': {
    width: '84px',
    verticalAlign: 'middle',
  },
  '& .against > span': {
    background: 'var(--mui-palette-error-main)',
  },
  '& .against': {
    textAlign: 'right',
    borderRight: '1px solid var(--mui-palette-text-secondary)',
  },
});

const SurenessBox = styled(Folded)({
  '& ul': {
    margin: '4px 0',
    paddingLeft: '18px',
  },
});

const PartBar = styled('span')({
  display: 'inline-block',
  height: 7,
  verticalAlign: 'middle',
  background: 'var(--mui-palette-primary-main)',
});
