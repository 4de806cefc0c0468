import { useWrong } from '~/app/ui/useWrong';
import { Fields, Frame } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import { Folded } from '~/app/ui/Folded';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { Form, useNavigation } from 'react-router';
import { actorIn, enterAll } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { Moment } from '~/app/ui/Moment';
import { SourceChoice } from '~/app/ui/SourceChoice';
import { Strip } from '~/app/ui/Strip';
import { type Role, roleNames, roles } from '~/core/rights/rights';
import { listGrants, listPeople } from '~/store/people/people';
import { listSources } from '~/store/sources/sources';
import { lockedAmong } from '~/work/people';
import type { Route } from './+types/route';
import { actOn } from '~/app/server/intents.server';
import { peopleIntents } from './peopleForms.server';

export async function loader({ context }: Route.LoaderArgs) {
  await enterAll({ context }, 'keepPeople');
  const { store } = office();
  const [people, grants, sources] = await Promise.all([listPeople(store), listGrants(store), listSources(store)]);
  const locked = await lockedAmong(office(), people);
  return {
    you: actorIn({ context }).person?.id ?? null,
    sources: sources.map(({ id, name }) => ({ id, name })),
    people: people.map((person) => ({
      ...person,
      locked: locked.has(person.id),
      grants: grants
        .filter(({ personId }) => personId === person.id)
        .map(({ id, role, source, byGroup }) => ({
          id,
          role,
          on: source === null ? 'all sources' : (sources.find((row) => row.id === source)?.name ?? `source ${source}`),
          byGroup,
        })),
    })),
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return actOn(peopleIntents, actorIn({ context }), request);
}

export function meta() {
  return [{ title: 'People · Pawl' }];
}

export default function People({ loaderData: { people, sources, you }, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  const wrong = useWrong();
  return (
    <Frame>
      <Strip />
      <main className="page" id="content">
        <div className="narrow wide">
          <h1>People</h1>
          <p className="mute small">
            A role holds for all sources, or for one. What each is for:{' '}
            {roleNames.map((role) => `${role} ${roles[role].about}`).join('; ')}.
          </p>
          {actionData?.problem && (
            <Alert severity="error" role="alert">
              {actionData.problem}
            </Alert>
          )}
          {actionData?.shown && (
            <Alert severity="info" role="status">
              {actionData.shown.words}
              <pre className="mono token">{actionData.shown.secret}</pre>
            </Alert>
          )}
          {people.map((person) => (
            <PersonRow key={person.id} className={person.disabledAt ? 'off' : ''} aria-label={person.fullName}>
              <div>
                <div className="title">{person.fullName}</div>
                <div className="small mute">
                  <span className="mono">{person.name}</span>
                  {person.issuer && ` by ${new URL(person.issuer).hostname}`}
                  {!person.issuer && !person.hasPassword && ', no password yet'}
                  {person.locked && <b className="brass">, locked for a while after wrong tries</b>}
                  {person.disabledAt && (
                    <>
                      , disabled <Moment at={person.disabledAt} />
                    </>
                  )}
                </div>
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
                {person.grants.length === 0 && <span className="small mute">no role</span>}
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
                  {person.id !== you && (
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
          ))}
          <Form method="post" aria-label="Add a person" key={actionData?.shown?.secret ?? 'new'}>
            <h2>Add a person</h2>
            <Fields>
              <TextField name="fullName" label="Who it is" required autoComplete="off" {...wrong('fullName')} />
              <TextField name="name" label="Signs in as" required autoComplete="off" {...wrong('name')} />
              <RoleFields sources={sources} />
            </Fields>
            <div className="actions">
              <Button type="submit" variant="contained" name="intent" value="add" disabled={busy}>
                Add and invite
              </Button>
            </div>
          </Form>
        </div>
      </main>
    </Frame>
  );
}

function RoleFields({ sources }: { readonly sources: readonly { readonly id: number; readonly name: string }[] }) {
  return (
    <>
      <TextField name="role" label="Role" select defaultValue="Reader">
        {roleNames.map((role) => (
          <MenuItem key={role} value={role}>
            {role}
          </MenuItem>
        ))}
      </TextField>
      <SourceChoice label="On" all="all sources" sources={sources} />
    </>
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
