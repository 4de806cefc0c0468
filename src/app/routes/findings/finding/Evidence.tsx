import { percent } from '~/app/ui/format';
import type { Words } from '~/core/rules/rule';
import type { Dossier } from './dossier.server';

/** Candidate keys side by side: what holds, what it lacks, and what speaks for each. */
export function Candidates({ candidates }: { readonly candidates: Dossier['candidates'] }) {
  const best = candidates.findIndex((candidate) => candidate.good);
  return (
    <>
      <h2>Candidates compared</h2>
      <div className="overflowing">
        <table className="grid-table candidates">
          <thead>
            <tr>
              <th>Columns</th>
              <th>Unique</th>
              <th>Empty</th>
              <th>Speaks for and against it</th>
            </tr>
          </thead>
          <tbody>
            {candidates.map((candidate, i) => (
              <tr key={candidate.columns} className={i === best ? 'best' : undefined}>
                <td>{candidate.columns}</td>
                <td>{candidate.unique}</td>
                <td className={candidate.empty > 0 ? 'rust' : undefined}>
                  {candidate.empty > 0 ? candidate.empty.toLocaleString('en-GB') : '0'}
                </td>
                <td className="prose">{candidate.reasons.join('; ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

const longestBar = 4;

/** What made the confidence: each part as a bar to the right for it, to the left against it. */
export function Sureness({ confidence, words }: { readonly confidence: number; readonly words: Words }) {
  const parts = words.parts ?? [];
  return (
    <details className="sureness" open={parts.length > 0}>
      <summary className="small mute">What makes us {percent(confidence)} sure</summary>
      <ul className="small">
        {words.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {parts.length > 0 && (
        <table className="parts" aria-label="Parts of the confidence">
          <tbody>
            {parts.map(({ label, weight }) => (
              <tr key={label}>
                <td className="bar-cell against">{weight < 0 && <Bar weight={weight} />}</td>
                <td className="bar-cell for">{weight > 0 && <Bar weight={weight} />}</td>
                <td>
                  {label}
                  <span className="visually-hidden">{weight > 0 ? ': speaks for it' : ': speaks against it'}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </details>
  );
}

function Bar({ weight }: { readonly weight: number }) {
  return <span className="part" style={{ width: `${Math.min(100, (100 * Math.abs(weight)) / longestBar)}%` }} />;
}
