import { pathTo } from '~/app/ui/pathTo';
import { Facts, Grade, Headline } from '~/app/ui/parts';
import { Folded } from '~/app/ui/Folded';
import { Allowed } from '~/app/ui/Allowed';
import Button from '@mui/material/Button';
import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';
import { Form, Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import { dayOf, percent } from '~/app/ui/format';
import { State } from '~/app/ui/FindingEntry';
import { Moment } from '~/app/ui/Moment';
import { Script } from '~/app/ui/Script';
import { isHarm, Teeth } from '~/app/ui/Teeth';
import { useChanges } from '~/app/ui/useChanges';
import { answersAsked } from '~/app/server/asked.server';
import { actOn } from '~/app/server/intents.server';
import { useSaid } from '~/app/ui/Saying';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';
import { Candidates, Sureness } from './Evidence';
import { findingIntents } from './findingForms.server';
import { type Dossier, dossierOf } from './dossier.server';
import { Remedy } from './Remedy';
import { Waiver } from './Waiver';
import { Life } from './Life';
import { OffendingRows } from './OffendingRows';
import { Declaration } from '~/app/ui/Declaration';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return dossierOf(room, await idIn(params.finding, 'finding'), answersAsked(request));
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return actOn(findingIntents, { room, finding: await idIn(params.finding, 'finding') }, request);
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `${loaderData.words.title}, ${loaderData.table}` : 'Finding', matches);
}

export default function FindingDossier({ loaderData: dossier, actionData }: Route.ComponentProps) {
  const { words, severity } = dossier;
  useSaid(actionData);
  // Its docket may just be run, and the survey after it will say whether it is held.
  useChanges(dossier.state === 'Docketed' || dossier.state === 'Applied');
  return (
    <aside className="dossier" aria-label="Dossier" key={dossier.id}>
      <Headline>
        <Teeth severity={severity} />
        <Grade className={isHarm(severity) ? 'harm' : ''}>{severity}</Grade>
        <Typography variant="mono" color="textSecondary">
          {dossier.rule}
        </Typography>
        <span className="end">
          <State state={dossier.state} /> since <span suppressHydrationWarning>{dayOf(dossier.stateAt)}</span>, sure{' '}
          {percent(dossier.confidence)}
        </span>
      </Headline>
      <h1>{words.message}</h1>
      <Typography variant="small" component="div">
        <Typography
          to={pathTo('/s/:source/coverage/:table', { source: dossier.source, table: dossier.table })}
          variant="mono"
          component={Link}
        >
          {dossier.table}
        </Typography>
      </Typography>
      {dossier.reason && (
        <Alert severity={dossier.state === 'Held' ? 'info' : 'warning'} role="note">
          {dossier.reason}
        </Alert>
      )}

      {dossier.rule.endsWith('/asked') && dossier.state !== 'Lapsed' && (
        <Allowed right="plan">
          <Form method="post" preventScrollReset className="actions">
            <Button type="submit" variant="text" name="intent" value="takeBack">
              Ask for it no longer
            </Button>
          </Form>
        </Allowed>
      )}

      <Declared dossier={dossier} />
      <Says dossier={dossier} />
      {dossier.candidates.length > 0 && <Candidates candidates={dossier.candidates} />}
      <Sureness confidence={dossier.confidence} words={words} />

      {dossier.proofs.length > 0 && <Proofs proofs={dossier.proofs} />}
      {dossier.refusal && <Refusal source={dossier.source} refusal={dossier.refusal} />}
      {actionData?.problem && (
        <Alert severity="error" role="alert">
          {actionData.problem}
        </Alert>
      )}
      {dossier.remedy && <Remedy dossier={dossier} remedy={dossier.remedy} />}
      {dossier.byHand && words.advice && (
        <>
          <h2>What to do</h2>
          <div>{words.advice}</div>
          <Typography variant="note" component="p" style={{ margin: '4px 0 0' }}>
            No script: {words.noScript ?? 'it takes somebody’s thought first.'}
          </Typography>
        </>
      )}
      <Waiver key={`waiver ${dossier.id}`} dossier={dossier} />
      {!dossier.remedy && dossier.docket && (
        <Typography variant="small" component="p">
          Mended by{' '}
          <Link to={pathTo('/s/:source/dockets/:docket', { source: dossier.source, docket: dossier.docket.id })}>
            {dossier.docket.name}
          </Link>
          .
        </Typography>
      )}
      <Life dossier={dossier} />
    </aside>
  );
}

/** What the catalogue says of the object. */
function Declared({ dossier }: { readonly dossier: Dossier }) {
  return (
    <>
      <h2>Declared</h2>
      {dossier.declared.length === 0 ? (
        <Typography variant="note" component="p">
          It is no longer in the catalogue.
        </Typography>
      ) : (
        <>
          {dossier.declared
            .filter((line) => line.named)
            .map(({ label, text }) => (
              <Declaration
                key={`${dossier.id} ${label}`}
                source={dossier.source}
                table={dossier.table}
                name={label}
                words={text}
              />
            ))}
          <Facts>
            {dossier.declared
              .filter((line) => !line.named)
              .map((line, i) => (
                <Line key={i} label={line.label} text={line.text} mono />
              ))}
          </Facts>
        </>
      )}
    </>
  );
}

/** The evidence, the rows behind it, and why it matters. */
function Says({ dossier }: { readonly dossier: Dossier }) {
  const { words } = dossier;
  return (
    <>
      <h2>What the data says</h2>
      <Facts>
        {words.evidence.map((line, i) => (
          <Line key={i} {...line} />
        ))}
      </Facts>
      {dossier.hasRows && (
        <OffendingRows
          key={dossier.id}
          finding={dossier.id}
          source={dossier.source}
          atOnce={words.evidence.some((line) => line.harm)}
        />
      )}

      <h2>Why it matters</h2>
      <div>{words.consequence}</div>
      {dossier.inWords && (
        <Typography variant="note" component="div">
          Meant is: {dossier.inWords}
        </Typography>
      )}

      {words.because && (
        <Typography variant="note" component="div">
          {words.because}
        </Typography>
      )}
    </>
  );
}

function Line({
  label,
  text,
  harm = false,
  mono = false,
}: {
  readonly label: string;
  readonly text: string;
  readonly harm?: boolean;
  readonly mono?: boolean;
}) {
  return (
    <>
      <dt>{label}</dt>
      <Typography variant={mono && !harm ? 'mono' : 'inherit'} component="dd" className={harm ? 'rust strong' : undefined}>
        {text}
      </Typography>
    </>
  );
}

function Proofs({ proofs }: { readonly proofs: Dossier['proofs'] }) {
  return (
    <>
      <h2>Proof</h2>
      {proofs.map((proof) => (
        <Alert
          key={proof.title}
          severity={proof.outcome === 'accepted' ? 'error' : proof.outcome === 'not provable' ? 'warning' : 'info'}
          role="note"
        >
          <div>
            <b>{proof.title}</b>:{' '}
            {proof.outcome === 'refused'
              ? 'refused, as it should be'
              : proof.outcome === 'acted'
                ? 'acted, as declared'
                : proof.outcome}
            .{' '}
            <Typography variant="note">
              Tried and rolled back <Moment at={proof.at} />.
            </Typography>
          </div>
          <Typography variant="mono" component="div">
            {proof.told ?? proof.answer}
          </Typography>
          <Folded title="What was tried">
            <Script text={`${proof.statement};`} label="The statement that was tried" />
          </Folded>
        </Alert>
      ))}
    </>
  );
}

/** What the database said of its remedy when it was last tried. */
function Refusal({ source, refusal }: { readonly source: number; readonly refusal: NonNullable<Dossier['refusal']> }) {
  return (
    <>
      <h2>{refusal.triedIn === 'run' ? 'Refused in a run' : 'Refused on a copy'}</h2>
      <Alert severity="error" role="note">
        <Moment at={refusal.at} />: {refusal.says}
        {refusal.docketId !== null && (
          <>
            {' '}
            <Link to={pathTo('/s/:source/dockets/:docket', { source, docket: refusal.docketId })}>Its docket</Link>
          </>
        )}
      </Alert>
    </>
  );
}

export { ProblemPart as ErrorBoundary };
