import { useEffect, useState } from 'react';
import { useFetcher } from 'react-router';
import { Script } from '~/app/ui/Script';
import type { ScriptForm, ScriptName } from '~/core/engines/dialect';

interface DocketScriptProps {
  readonly source: number;
  readonly docket: number;
  /** Of another docket than that, another script is read. */
  readonly digest: string;
}

const titles: Readonly<Record<ScriptName, string>> = {
  forward: 'Forward',
  back: 'Back',
  before: 'Checks before',
  after: 'Checks after',
};
const formTitles: Readonly<Record<ScriptForm, string>> = { statements: 'Statements only', guarded: 'With guards' };
const formsOf: Readonly<Record<ScriptName, readonly ScriptForm[]>> = {
  forward: ['statements', 'guarded'],
  back: ['statements', 'guarded'],
  before: ['guarded'],
  after: ['guarded'],
};

/** The docket's scripts, each read when it is looked at: to be read first, to be run beside it. */
export function DocketScript({ source, docket, digest }: DocketScriptProps) {
  const [name, setName] = useState<ScriptName>('forward');
  const [wanted, setForm] = useState<ScriptForm>('statements');
  const form = formsOf[name].includes(wanted) ? wanted : 'guarded';
  const at = `/s/${source}/dockets/${docket}/${name}.sql?form=${form}`;
  const { load, data, state } = useFetcher<string>();
  useEffect(() => void load(at), [load, at, digest]);
  const text = typeof data === 'string' ? data : '';
  return (
    <>
      <h2>Script</h2>
      <div className="tabs" role="group" aria-label="Which script">
        {(Object.keys(titles) as ScriptName[]).map((each) => (
          <button key={each} type="button" className="tab" aria-pressed={name === each} onClick={() => setName(each)}>
            {titles[each]}
          </button>
        ))}
      </div>
      <div className="tabs" role="group" aria-label="How it is written">
        {formsOf[name].map((each) => (
          <button key={each} type="button" className="tab" aria-pressed={form === each} onClick={() => setForm(each)}>
            {formTitles[each]}
          </button>
        ))}
        <a className="small" style={{ marginLeft: 'auto' }} href={at} download>
          Download {name}.sql
        </a>
      </div>
      <p className="small mute" style={{ margin: 0 }}>
        {form === 'statements'
          ? 'To be read, or put into a ticket or a migration. It looks at nothing before it changes something.'
          : 'To be run with psql: it looks at the rows first, leaves out what is done, and can be run again.'}
      </p>
      {text === '' ? (
        <p className="small mute" role="status">
          {state === 'idle' && data !== undefined ? 'There is nothing in it.' : 'Writing it …'}
        </p>
      ) : (
        <Script text={text} label={`Script: ${titles[name]}`} />
      )}
    </>
  );
}
