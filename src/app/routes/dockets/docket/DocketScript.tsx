import Typography from '@mui/material/Typography';
import { pathTo } from '~/app/ui/pathTo';
import { Choices } from '~/app/ui/parts';
import { Toggles } from '~/app/ui/Toggles';
import { useEffect, useState } from 'react';
import { useFetcher } from 'react-router';
import { Script } from '~/app/ui/Script';
import type { ScriptForm, ScriptName } from '~/core/engines/dialect';

interface DocketScriptProps {
  readonly source: number;
  readonly docket: number;
  /** Of another docket than that, another script is read. */
  readonly digest: string;
  /** The engine's own client. */
  readonly client: string;
}

const titles: Readonly<Record<ScriptName, string>> = {
  forward: 'Forward',
  back: 'Back',
  before: 'Checks before',
  after: 'Checks after',
};
/** As it is written for the engine's client, or so that it writes a file to be brought back. */
type Form = ScriptForm | 'answers';
const formTitles: Readonly<Record<Form, string>> = {
  statements: 'Statements only',
  guarded: 'With guards',
  answers: 'Writes a file',
};
const formsOf: Readonly<Record<ScriptName, readonly Form[]>> = {
  forward: ['statements', 'guarded'],
  back: ['statements', 'guarded'],
  before: ['guarded'],
  after: ['guarded', 'answers'],
};

const says: Readonly<Record<Form, string>> = {
  statements: 'To be read, or put into a ticket or a migration. It looks at nothing before it changes something.',
  guarded: 'To be run with CLIENT: it looks at the rows first, leaves out what is done, and can be run again.',
  answers: 'To be run with CLIENT: it writes what it finds to a file. Brought here, that is the evidence of a run elsewhere.',
};

/** The docket's scripts, each read when it is looked at: to be read first, to be run beside it. */
export function DocketScript({ source, docket, digest, client }: DocketScriptProps) {
  const [name, setName] = useState<ScriptName>('forward');
  const [wanted, setForm] = useState<Form>('statements');
  const form = formsOf[name].includes(wanted) ? wanted : 'guarded';
  const at = `${pathTo('/s/:source/dockets/:docket/:script', { source, docket, script: `${name}.sql` })}?form=${form}`;
  const { load, data, state } = useFetcher<string>();
  useEffect(() => void load(at), [load, at, digest]);
  const text = typeof data === 'string' ? data : '';
  return (
    <>
      <h2>Script</h2>
      <Choices>
        <Toggles
          label="Which script"
          value={name}
          options={(Object.keys(titles) as ScriptName[]).map((each) => [each, titles[each]] as const)}
          onChange={setName}
        />
      </Choices>
      <Choices>
        <Toggles
          label="How it is written"
          value={form}
          options={formsOf[name].map((each) => [each, formTitles[each]] as const)}
          onChange={setForm}
        />
        <Typography variant="small" component="a" style={{ marginLeft: 'auto' }} href={at} download>
          Download {name}.sql
        </Typography>
      </Choices>
      <Typography variant="note" component="p" style={{ margin: 0 }}>
        {says[form].replace('CLIENT', client)}
      </Typography>
      {text === '' ? (
        <Typography variant="note" component="p" role="status">
          {state === 'idle' && data !== undefined ? 'There is nothing in it.' : 'Writing it …'}
        </Typography>
      ) : (
        <Script text={text} label={`Script: ${titles[name]}`} />
      )}
    </>
  );
}
