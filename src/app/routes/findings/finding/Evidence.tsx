import { Folded } from '~/app/ui/Folded';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { percent } from '~/app/ui/format';
import type { Words } from '~/core/rules/rule';
import type { Dossier } from './dossier.server';

/** Candidate keys side by side: what holds, what it lacks, and what speaks for each. */
export function Candidates({ candidates }: { readonly candidates: Dossier['candidates'] }) {
  const best = candidates.findIndex((candidate) => candidate.good);
  return (
    <>
      <h2>Candidates compared</h2>
      <div className="overflowing" role="region" aria-label="Candidates" tabIndex={0}>
        <Table size="small" className="candidates">
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
        </Table>
      </div>
    </>
  );
}

const longestBar = 4;

/** What made the confidence: each part as a bar to the right for it, to the left against it. */
export function Sureness({ confidence, words }: { readonly confidence: number; readonly words: Words }) {
  const parts = words.parts ?? [];
  return (
    <Folded title={<>What makes us {percent(confidence)} sure</>} className="sureness" open={parts.length > 0}>
      <ul className="small">
        {words.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {parts.length > 0 && (
        <Table size="small" className="parts" aria-label="Parts of the confidence">
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
        </Table>
      )}
    </Folded>
  );
}

function Bar({ weight }: { readonly weight: number }) {
  return <span className="part" style={{ width: `${Math.min(100, (100 * Math.abs(weight)) / longestBar)}%` }} />;
}
