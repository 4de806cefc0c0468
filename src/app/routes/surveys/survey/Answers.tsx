import Button from '@mui/material/Button';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { counted } from '~/core/naming/words';
import { mostRounds } from '~/sources/files/rounds';
import type { ScriptRow } from '~/store/surveys/answers';
import type { Brought } from './answers';

interface AnswersProps {
  readonly source: number;
  readonly survey: number;
  readonly script: ScriptRow;
  /** Questions of this and earlier scripts that are answered. */
  readonly answered: number;
}

/** The open script of a survey by files, and the way to bring what it wrote. */
export function Answers({ source, survey, script, answered }: AnswersProps) {
  const [said, setSaid] = useState<Brought | null>(null);
  const [busy, setBusy] = useState(false);
  const { revalidate } = useRevalidator();
  const here = `/s/${source}/surveys/${survey}`;
  const bring = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    setSaid(await sent(`${here}/answers`, file));
    setBusy(false);
    await revalidate();
  };
  return (
    <section aria-label="Open questions">
      <p>
        Round {script.round} of {mostRounds} at most: {counted(script.queries, 'question')} in one script that only reads.
        {answered > 0 && ` ${counted(answered, 'answer')} so far.`}
      </p>
      <ol className="steps-by-hand">
        <li>Download the script and bring it to where the database is.</li>
        <li>
          Run it there: <code className="mono">psql -X -f pawl-{script.scriptId}.sql -d DATABASE</code>
        </li>
        <li>
          Bring what it wrote, <code className="mono">pawl-{script.scriptId}.txt</code>. It holds counts and the schema; values of
          rows only where the source allows that.
        </li>
      </ol>
      {said?.problem && (
        <p className="notice harm" role="alert">
          {said.problem}
        </p>
      )}
      {said?.remark && (
        <p className="notice warn" role="status">
          {said.remark}
        </p>
      )}
      <Allowed right="survey">
        <div className="actions">
          <Button variant="contained" href={`${here}/questions/${script.round}`} download>
            Download the script
          </Button>
          <Button component="label" disabled={busy}>
            {busy ? 'Reading it…' : 'Bring the answers'}
            <input
              type="file"
              hidden
              aria-label="File of answers"
              accept=".txt,text/plain"
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                event.target.value = '';
                void bring(file);
              }}
            />
          </Button>
        </div>
      </Allowed>
    </section>
  );
}

async function sent(url: string, file: File): Promise<Brought> {
  try {
    const response = await fetch(`${url}`, {
      method: 'POST',
      body: file,
      headers: { 'Content-Type': 'application/octet-stream' },
    });
    if (response.status === 413) return { problem: 'The file is larger than Pawl takes at once.', remark: null };
    if (!response.ok) return { problem: 'The file was not taken. Reload the page and try again.', remark: null };
    return (await response.json()) as Brought;
  } catch {
    return { problem: 'The file did not arrive. Look at your connection and bring it again.', remark: null };
  }
}
