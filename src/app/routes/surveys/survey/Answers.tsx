import { pathTo } from '~/app/ui/pathTo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Form } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { BringFile, useBringing, WhatCame } from '~/app/ui/BringFile';
import { counted } from '~/core/naming/words';
import { visible } from '~/core/naming/visible';
import { mostRounds } from '~/sources/files/rounds';
import type { ScriptRow } from '~/store/surveys/answers';

interface AnswersProps {
  readonly source: number;
  readonly survey: number;
  readonly script: ScriptRow;
  /** Questions of this script that are answered. */
  readonly answered: number;
  readonly database: string;
  /** The command that runs it where the database is. */
  readonly command: string;
}

/** The open script of a survey by files, and the way to bring what it wrote. */
export function Answers({ source, survey, script, answered, database, command }: AnswersProps) {
  const here = pathTo('/s/:source/surveys/:survey', { source, survey });
  const { busy, said, bring } = useBringing(`${here}/answers`);
  return (
    <section aria-label="Open questions">
      <p>
        Round {script.round} of {mostRounds} at most: {counted(script.queries.length, 'question')} in one script that only reads.
        {answered > 0 && ` ${counted(answered, 'answer')} of it so far.`}
      </p>
      <ol>
        <li>Download the script and bring it to where the database is.</li>
        <li>
          Run it there, on {visible(database)}:
          <Box component="code" sx={{ typography: 'mono', display: 'block', overflowX: 'auto', whiteSpace: 'nowrap' }}>
            {command}
          </Box>
        </li>
        <li>
          Bring what it wrote,{' '}
          <Typography variant="mono" component="code">
            pawl-{script.scriptId}.txt
          </Typography>
          . It holds counts and the schema; values of rows only where the source allows that.
        </li>
      </ol>
      <WhatCame said={said} />
      <Allowed right="survey">
        <Form method="post" className="actions">
          <Button variant="contained" href={`${here}/questions/${script.round}`} download>
            Download the script
          </Button>
          <BringFile busy={busy} bring={bring} label="Bring the answers" what="File of answers" />
          {answered > 0 && (
            <Button type="submit" name="intent" value="goOn" disabled={busy}>
              Go on without the rest
            </Button>
          )}
          <Button type="submit" name="intent" value="cancel">
            Cancel
          </Button>
        </Form>
      </Allowed>
    </section>
  );
}
