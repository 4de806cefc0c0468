import { useWrong } from '~/app/ui/useWrong';
import { Fields, Frame } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, useNavigation } from 'react-router';
import { actorIn, enterAll } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { Strip } from '~/app/ui/Strip';
import { roleNames, roles } from '~/core/rights/rights';
import { listGrants, listPeople } from '~/store/people/people';
import { listSources } from '~/store/sources/sources';
import { lockedAmong } from '~/work/people';
import type { Route } from './+types/route';
import { actOn } from '~/app/server/intents.server';
import { peopleIntents } from './peopleForms.server';
import { PersonLine } from './PersonLine';
import { RoleFields } from './RoleFields';

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
          <Typography variant="note" component="p">
            A role holds for all sources, or for one. What each is for:{' '}
            {roleNames.map((role) => `${role} ${roles[role].about}`).join('; ')}.
          </Typography>
          {actionData?.problem && (
            <Alert severity="error" role="alert">
              {actionData.problem}
            </Alert>
          )}
          {actionData?.shown && (
            <Alert severity="info" role="status">
              {actionData.shown.words}
              <Typography variant="mono" component="pre" className="token">
                {actionData.shown.secret}
              </Typography>
            </Alert>
          )}
          {people.map((person) => (
            <PersonLine key={person.id} person={person} sources={sources} self={person.id === you} />
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
