import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import { styled } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { Form, useNavigation } from 'react-router';
import { Folded } from '~/app/ui/Folded';
import { Moment } from '~/app/ui/Moment';
import type { Role } from '~/core/rights/rights';
import type { Route } from './+types/route';
import { RoleFields } from './RoleFields';

type Page = Route.ComponentProps['loaderData'];

interface PersonLineProps {
  readonly person: Page['people'][number];
  readonly sources: Page['sources'];
  /** Whether it is the one who looks. */
  readonly self: boolean;
}

/** One who may sign in, their roles, and what can be done about them. */
export function PersonLine({ person, sources, self }: PersonLineProps) {
  const busy = useNavigation().state !== 'idle';
  return (
    <PersonRow className={person.disabledAt ? 'off' : ''} aria-label={person.fullName}>
      <div>
        <div className="title">{person.fullName}</div>
        <Typography variant="note" component="div">
          <Typography variant="mono">{person.name}</Typography>
          {person.issuer && ` by ${new URL(person.issuer).hostname}`}
          {!person.issuer && !person.hasPassword && ', no password yet'}
          {person.locked && <b className="brass">, locked for a while after wrong tries</b>}
          {person.disabledAt && (
            <>
              , disabled <Moment at={person.disabledAt} />
            </>
          )}
        </Typography>
      </div>
      <div className="roles">
        {person.grants.map((grant) => (
          <Form key={grant.id} method="post">
            <input type="hidden" name="person" value={person.id} />
            <input type="hidden" name="grant" value={grant.id} />
            <input type="hidden" name="intent" value="take" />
            <RoleChip {...grant} whose={person.fullName} />
          </Form>
        ))}
        {person.grants.length === 0 && <Typography variant="note">no role</Typography>}
      </div>
      <div className="actions" style={{ margin: 0 }}>
        <Folded title="Give a role" className="give">
          <Form method="post">
            <input type="hidden" name="person" value={person.id} />
            <RoleFields sources={sources} />
            <Button type="submit" name="intent" value="give" disabled={busy}>
              Give
            </Button>
          </Form>
        </Folded>
        <Form method="post" style={{ marginLeft: 'auto', display: 'flex' }}>
          <input type="hidden" name="person" value={person.id} />
          {!person.issuer && !person.disabledAt && (
            <Button type="submit" variant="text" name="intent" value="invite" aria-label={`Invite ${person.fullName}`}>
              Invite
            </Button>
          )}
          {!self && (
            <Button
              type="submit"
              variant="text"
              color={person.disabledAt ? 'primary' : 'error'}
              name="intent"
              value={person.disabledAt ? 'enable' : 'disable'}
              aria-label={`${person.disabledAt ? 'Enable' : 'Disable'} ${person.fullName}`}
            >
              {person.disabledAt ? 'Enable' : 'Disable'}
            </Button>
          )}
        </Form>
      </div>
    </PersonRow>
  );
}

interface RoleChipProps {
  readonly role: Role;
  readonly on: string;
  readonly byGroup: string | null;
  readonly whose: string;
}

function RoleChip({ role, on, byGroup, whose }: RoleChipProps) {
  const label = `${role} · ${on}${byGroup ? `, by ${byGroup}` : ''}`;
  if (byGroup) return <Chip size="small" label={label} />;
  return (
    <Chip
      size="small"
      label={
        <>
          {label}
          <ChipEnd type="submit" aria-label={`Take ${role} on ${on} from ${whose}`}>
            ×
          </ChipEnd>
        </>
      }
    />
  );
}

const PersonRow = styled('section')({
  display: 'grid',
  gridTemplateColumns: 'minmax(150px, 1fr) minmax(180px, 1.3fr) minmax(380px, 2fr)',
  gap: '14px',
  alignItems: 'center',
  padding: '10px 0',
  borderTop: '1px solid var(--mui-palette-divider)',
  '&.off': {
    opacity: '0.75',
  },
  '& .roles': {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '6px',
  },
  '& .give form': {
    display: 'flex',
    gap: '8px',
    alignItems: 'center',
    paddingTop: '10px',
  },
  '& .give .MuiTextField-root': {
    width: '130px',
  },
  '@media (max-width: 900px)': {
    gridTemplateColumns: '1fr',
    '& .actions': {
      flexWrap: 'wrap',
    },
  },
});

const ChipEnd = styled('button')({
  font: 'inherit',
  border: '0',
  background: 'none',
  color: 'inherit',
  cursor: 'pointer',
  marginLeft: '4px',
});
