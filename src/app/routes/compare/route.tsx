import { styled } from '@mui/material/styles';
import Alert from '@mui/material/Alert';
import Select from '@mui/material/Select';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Form, Link, useSubmit } from 'react-router';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { dayOf } from '~/app/ui/format';
import { State } from '~/app/ui/FindingEntry';
import { Folded } from '~/app/ui/Folded';
import { NothingFits } from '~/app/ui/list/NothingFits';
import { WholeList } from '~/app/ui/list/WholeList';
import { Empty } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { Teeth } from '~/app/ui/Teeth';
import { titled } from '~/app/ui/title';
import { useAllowed } from '~/app/ui/useAllowed';
import { visible } from '~/core/naming/visible';
import { counted } from '~/core/naming/words';
import { wishInWords } from '~/core/wishes/index';
import { listSurveys } from '~/store/surveys/surveys';
import { compare } from '~/work/comparing';
import { sourcesFor } from '~/work/sources';
import { Aligning } from './Aligning';
import { ComparedForm, compareIntents } from './compareForms.server';
import { differenceFields, type DifferenceLine } from './fields';
import type { Route } from './+types/route';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const { source, store, office, actor } = room;
  const { before, after, other } = await asked(ComparedForm, request);
  const surveys = (await listSurveys(store, source.id, 200)).filter(({ state }) => state === 'done');
  const others = (await sourcesFor(office, actor)).filter(({ id }) => id !== source.id);
  const earlier = surveys.find(({ id }) => id !== (before ?? surveys[0]?.id));
  const there =
    other === undefined ? { source: source.id, survey: after ?? earlier?.id ?? null } : { source: other, survey: null };
  const isPossible = surveys.length > 0 && (other !== undefined || there.survey !== null);
  const compared = isPossible ? await compare(room, before ?? null, there) : null;
  const told = compared && !('problem' in compared) ? compared : null;
  return {
    source: source.id,
    name: source.name,
    surveys: surveys.map(({ id, depth, finishedAt }) => ({ id, depth, at: finishedAt })),
    others: others.map(({ id, name }) => ({ id, name })),
    other: other ?? null,
    problem: compared && 'problem' in compared ? compared.problem : null,
    here: told?.here ?? before ?? null,
    there: told?.there ?? after ?? null,
    isNow: told?.isNow ?? false,
    findings: told?.findings ?? [],
    lines:
      told?.aligned.map(({ difference, wish, why }, id): DifferenceLine => ({
        ...difference,
        id,
        remedy: wish && wishInWords(wish),
        why,
      })) ?? null,
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return actOn(compareIntents, { room, signal: request.signal }, request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Compare', matches);
}

type Loaded = Route.ComponentProps['loaderData'];

export default function Compare({ loaderData, actionData }: Route.ComponentProps) {
  const { source, lines, problem, isNow, findings } = loaderData;
  const mayPlan = useAllowed()('plan');
  const here = pathTo('/s/:source/compare', { source });
  const all = useMemo(() => lines ?? [], [lines]);
  const top = (
    <Top>
      <h1>Compare {loaderData.name}</h1>
      <Sides {...loaderData} />
      {problem && (
        <Alert severity="warning" role="alert">
          {problem}
        </Alert>
      )}
      {actionData?.problem && (
        <Alert severity="error" role="alert">
          {actionData.problem}
        </Alert>
      )}
    </Top>
  );
  if (lines === null || lines.length === 0)
    return (
      <main className="page" id="content" style={{ padding: 0 }}>
        {top}
        {problem === null && (
          <Empty>
            <h1>{lines === null ? 'Nothing to compare with yet' : 'Declared alike'}</h1>
            <p>
              {lines === null
                ? 'Take a second survey, or choose another source.'
                : 'Tables, columns, constraints, indexes, triggers and sequences are the same on both sides.'}
            </p>
          </Empty>
        )}
        {lines !== null && <Findings findings={findings} source={source} />}
      </main>
    );
  return (
    <div className="desk">
      <WholeList
        name="Differences"
        what="difference"
        label="Differences"
        all={all}
        fields={differenceFields}
        groups={['table', 'of', 'change']}
        here={here}
        apart
        above={top}
        below={<Findings findings={findings} source={source} />}
        empty={<NothingFits what="difference" here={here} />}
        keys={{ 'j k': 'move', Space: 'choose', '/': 'filter' }}
        foot={(rows) =>
          `${counted(rows.length, 'difference')}${isNow ? `, ${rows.filter(({ remedy }) => remedy !== null).length} can be aligned here` : ''}`
        }
        several={isNow && mayPlan ? (picked) => <Aligning picked={picked} {...loaderData} /> : undefined}
      />
    </div>
  );
}

/** Which two are compared: this source at one of its surveys, and another of them or another source. */
function Sides({ surveys, others, other, here, there }: Loaded) {
  const submit = useSubmit();
  const survey = ({ id, depth, at }: Loaded['surveys'][number]) => `survey ${id}, ${depth}${at === null ? '' : `, ${dayOf(at)}`}`;
  return (
    <Form method="get" aria-label="What is compared" onChange={(event) => void submit(event.currentTarget, { replace: true })}>
      <label>
        Here{' '}
        <Select native size="small" name="before" value={here ?? ''} onChange={() => undefined}>
          {surveys.map((one) => (
            <option key={one.id} value={one.id}>
              {survey(one)}
            </option>
          ))}
        </Select>
      </label>
      <label>
        and{' '}
        <Select native size="small" name="other" value={other ?? ''} onChange={() => undefined}>
          <option value="">the same source</option>
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}, as last surveyed
            </option>
          ))}
        </Select>
      </label>
      {other === null && (
        <label>
          at{' '}
          <Select native size="small" name="after" value={there ?? ''} onChange={() => undefined}>
            {surveys.map((one) => (
              <option key={one.id} value={one.id}>
                {survey(one)}
              </option>
            ))}
          </Select>
        </label>
      )}
    </Form>
  );
}

function Findings({ findings, source }: Pick<Loaded, 'findings' | 'source'>) {
  if (findings.length === 0) return null;
  return (
    <Below>
      <Folded title={`${counted(findings.length, 'finding')} in another state`}>
        <Table size="small">
          <TableHead>
            <TableRow>
              {['Finding', 'Where', 'Here', 'There'].map((head) => (
                <TableCell key={head}>{head}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {findings.slice(0, 300).map(({ id, rule, severity, place, here, there }) => (
              <TableRow key={`${rule} ${place}`}>
                <TableCell>
                  <Teeth severity={severity} />{' '}
                  {id === null ? (
                    rule
                  ) : (
                    <Link to={`${pathTo('/s/:source/findings/:finding', { source, finding: id })}?show=all`}>{rule}</Link>
                  )}
                </TableCell>
                <TableCell>{visible(place)}</TableCell>
                {[here, there].map((state, n) => (
                  <TableCell key={n}>
                    {state === null ? <Typography variant="mute">not known</Typography> : <State state={state} />}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
        {findings.length > 300 && (
          <Typography variant="note" component="p">
            … and {findings.length - 300} more.
          </Typography>
        )}
      </Folded>
    </Below>
  );
}

const Below = styled('div')({ padding: '0 20px', maxHeight: '40vh', overflow: 'auto' });

const Top = styled('div')({
  padding: '14px 20px 4px',
  '& form': { display: 'flex', flexWrap: 'wrap', gap: '6px 14px', alignItems: 'center', margin: '6px 0' },
});

export { ProblemStation as ErrorBoundary };
