import Typography from '@mui/material/Typography';
import { pathTo } from '~/app/ui/pathTo';
import { EntryLink } from '~/app/ui/parts';
import { type FindingState, openStates } from '~/core/ratchet/states';
import type { Severity } from '~/core/rules/finding';
import { HeldLine, Teeth } from './Teeth';

interface Entry {
  readonly id: number;
  readonly severity: Severity;
  readonly state: FindingState;
  readonly title: string;
  readonly message: string;
}

/** A finding in a few lines, which leads to its dossier. */
export function FindingEntry({ source, finding }: { readonly source: number; readonly finding: Entry }) {
  const open = openStates.includes(finding.state);
  return (
    <EntryLink to={`${pathTo('/s/:source/findings/:finding', { source, finding: finding.id })}${open ? '' : '?show=all'}`}>
      {open ? <Teeth severity={finding.severity} /> : <HeldLine label={finding.state} />}
      <span>
        <span className="title">{finding.title}</span>
        <Typography variant="note">{finding.message}</Typography>
      </span>
      {finding.state !== 'Open' && <State state={finding.state} />}
    </EntryLink>
  );
}

/** A state as a word: green when held, brass when slipped. */
export function State({ state }: { readonly state: FindingState }) {
  const tone = state === 'Held' ? 'verd' : state === 'Slipped' ? 'brass' : 'mute';
  return (
    <Typography variant="small" className={`strong ${tone}`}>
      {state.toLowerCase()}
    </Typography>
  );
}
