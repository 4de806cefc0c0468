import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Paper from '@mui/material/Paper';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, Link, useNavigation } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { Moment } from '~/app/ui/Moment';
import { Fields } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { useSaid } from '~/app/ui/Saying';
import { titled } from '~/app/ui/title';
import { useChanges } from '~/app/ui/useChanges';
import { useWrong } from '~/app/ui/useWrong';
import { visible } from '~/core/naming/visible';
import { listDeliveries, listListeners } from '~/store/sources/listeners';
import { listenersIntents } from './listenersForms.server';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'keepSources');
  const [listeners, deliveries] = await Promise.all([listListeners(store, source.id), listDeliveries(store, source.id, 50)]);
  return { source: source.id, name: source.name, listeners, deliveries };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(listenersIntents, await enter({ params, context }, 'keepSources'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Who hears of it', matches);
}

type Loaded = Route.ComponentProps['loaderData'];

const hears = { worse: 'where something is new, slipped or failed', every: 'of every survey' } as const;

export default function Listeners({ loaderData: { source, name, listeners, deliveries }, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  const wrong = useWrong();
  useSaid(actionData);
  useChanges(deliveries.some(({ state }) => state === 'waiting'));
  return (
    <main className="page" id="content">
      <div className="narrow">
        <h1>Who hears of {name}</h1>
        <Typography variant="mute" component="p">
          After a survey a message is sent to these addresses: JSON, signed with HMAC-SHA256 over its time and body; to a mailbox,
          a letter. What is not taken is tried again for half a day. Names of tables and columns are in it, values never.
        </Typography>
        {actionData?.shown && (
          <Alert severity="info" role="status">
            {actionData.shown.words}
            <Typography variant="mono" component="pre" className="token">
              {actionData.shown.secret}
            </Typography>
          </Alert>
        )}
        {actionData?.problem && Object.keys(actionData.errors).length === 0 && (
          <Alert severity="error" role="alert">
            {actionData.problem}
          </Alert>
        )}
        {listeners.map((listener) => (
          <Listener key={listener.id} listener={listener} />
        ))}
        <Allowed right="keepSources">
          <Paper variant="outlined" sx={{ p: 1.5, my: 1 }}>
            <Form method="post" aria-label="Allow an address" key={listeners.length} preventScrollReset>
              <Fields style={{ marginTop: 4 }}>
                <TextField
                  name="address"
                  label="Address"
                  placeholder="https://"
                  {...wrong('address', 'https:// (http:// on this machine alone), or a mailbox')}
                />
                <TextField select name="hears" label="It hears" defaultValue="worse" {...wrong('hears')}>
                  {Object.entries(hears).map(([value, words]) => (
                    <MenuItem key={value} value={value}>
                      {words}
                    </MenuItem>
                  ))}
                </TextField>
              </Fields>
              <div className="actions">
                <Button type="submit" variant="contained" name="intent" value="allow" disabled={busy}>
                  Allow it to hear
                </Button>
              </div>
            </Form>
          </Paper>
        </Allowed>
        {deliveries.length > 0 && <Deliveries source={source} deliveries={deliveries} listeners={listeners} />}
      </div>
    </main>
  );
}

function Listener({
  listener: { id, address, hears: what, isOn, keptBy, keptAt },
}: {
  readonly listener: Loaded['listeners'][number];
}) {
  return (
    <Paper variant="outlined" sx={{ p: 1.5, my: 1 }}>
      <div>
        <Typography variant="mono" component="b">
          {shown(address)}
        </Typography>{' '}
        hears {hears[what]}. {!isOn && <span className="brass">Switched off.</span>}
      </div>
      <Typography variant="note" component="div">
        Allowed by {keptBy}, <Moment at={keptAt} />.
      </Typography>
      <Form method="post" className="actions" preventScrollReset>
        <input type="hidden" name="listener" value={id} />
        <Button variant="text" type="submit" name="intent" value="try" disabled={!isOn}>
          Send a test
        </Button>
        <Button variant="text" type="submit" name="intent" value={isOn ? 'off' : 'on'}>
          Switch {isOn ? 'off' : 'on'}
        </Button>
        <Button variant="text" type="submit" name="intent" value="remove">
          Remove
        </Button>
      </Form>
    </Paper>
  );
}

function Deliveries({ source, deliveries, listeners }: Pick<Loaded, 'source' | 'deliveries' | 'listeners'>) {
  const addresses = new Map(listeners.map(({ id, address }) => [id, address]));
  return (
    <>
      <h2>What was sent</h2>
      <Table size="small" aria-label="What was sent">
        <TableHead>
          <TableRow>
            {['When', 'Where', 'Of', 'State', 'What came back'].map((head) => (
              <TableCell key={head}>{head}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {deliveries.map(({ id, listener, survey, state, tries, madeAt, nextAt, answer }) => (
            <TableRow key={id}>
              <TableCell>
                <Moment at={madeAt} />
              </TableCell>
              <TableCell>{shown(addresses.get(listener) ?? '')}</TableCell>
              <TableCell>
                {survey === null ? (
                  'a test'
                ) : (
                  <Link to={pathTo('/s/:source/surveys/:survey', { source, survey })}>survey {survey}</Link>
                )}
              </TableCell>
              <TableCell>
                <span className={state === 'sent' ? 'verd strong' : state === 'failed' ? 'rust strong' : 'mute'}>{state}</span>
                {state === 'waiting' && tries > 0 && (
                  <>
                    , again <Moment at={nextAt} />
                  </>
                )}
              </TableCell>
              <TableCell>{answer}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </>
  );
}

function shown(address: string): string {
  return visible(address.replace(/^mailto:/, ''));
}

export { ProblemStation as ErrorBoundary };
