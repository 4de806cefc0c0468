import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Form, Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { percent } from '~/app/ui/format';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { VirtualList } from '~/app/ui/VirtualList';
import { engineOf } from '~/core/engines/index';
import { inferConventions, kindsInWords, namedKinds, namedObjects, renamed } from '~/core/naming/infer';
import { isTemplateProblem, parseTemplate, placeholders, placeholderWords } from '~/core/naming/template';
import { visible } from '~/core/naming/visible';
import { capital } from '~/core/naming/words';
import { latestCatalogue } from '~/work/catalogues';
import type { Route } from './+types/route';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const kind = namedKinds.find((one) => one === params.kind);
  const catalogue = await latestCatalogue(store, source.id);
  if (!kind || !catalogue) throw notFound(`There are no names of ${params.kind}`, 'Choose one of the kinds on the left.');
  const learnt = inferConventions(catalogue).find((one) => one.kind === kind)?.template ?? null;
  const asked = new URL(request.url).searchParams.get('template');
  const text = asked ?? learnt ?? '';
  const parsed = text === '' ? null : parseTemplate(text);
  const objects = namedObjects(catalogue).filter((one) => one.kind === kind);
  const named =
    parsed && !isTemplateProblem(parsed)
      ? renamed(parsed, objects, engineOf(catalogue).names)
      : objects.map(({ table, name }) => ({ table, name, wouldBe: null }));
  return {
    source: source.id,
    kind,
    learnt,
    text,
    problem: parsed && isTemplateProblem(parsed) ? parsed : null,
    // Those that it does not bring back first.
    named: named.toSorted((a, b) => Number(a.wouldBe === a.name) - Number(b.wouldBe === b.name)),
    follow: named.filter(({ name, wouldBe }) => name === wouldBe).length,
  };
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `House style: ${kindsInWords[loaderData.kind]}` : 'House style', matches);
}

export default function Names({ loaderData: t }: Route.ComponentProps) {
  return (
    <aside className="dossier" aria-label="Dossier">
      <h1>{capital(kindsInWords[t.kind])}</h1>
      <Form method="get" replace preventScrollReset key={`${t.kind} ${t.text}`} style={{ marginTop: 12 }}>
        <TextField
          name="template"
          label="Template"
          defaultValue={t.text}
          error={t.problem !== null}
          helperText={
            t.problem
              ? `At ${t.problem.at + 1}, ▸${t.text.slice(t.problem.at, t.problem.at + 12)}: ${t.problem.says}`
              : 'In square brackets: only where two names would be the same.'
          }
          slotProps={{ htmlInput: { className: 'mono', spellCheck: false, autoComplete: 'off' } }}
        />
        <div className="actions">
          <Button type="submit">Try it on the names</Button>
          {t.learnt !== null && t.text !== t.learnt && (
            <Button variant="text" component={Link} to={`/s/${t.source}/style/${encodeURIComponent(t.kind)}`}>
              Back to what was learnt
            </Button>
          )}
        </div>
      </Form>
      <details className="folded">
        <summary>What can stand in braces</summary>
        <dl className="facts small">
          {placeholders.map((by) => (
            <div key={by} style={{ display: 'contents' }}>
              <dt className="mono">{`{${by}}`}</dt>
              <dd>{placeholderWords[by]}</dd>
            </div>
          ))}
        </dl>
      </details>
      <h2>On real names</h2>
      {t.problem === null && t.text !== '' && (
        <p className="small">
          {t.follow} of {t.named.length} are called that already, {percent(t.follow / t.named.length)}.
        </p>
      )}
      <div className="pairs head small mute">
        <span>Is called</span>
        <span>Would be called</span>
      </div>
      <VirtualList count={t.named.length} label="Names" height={27}>
        {(i) => {
          const one = t.named[i];
          return (
            one && (
              <div className="pairs mono" title={visible(one.table)}>
                <span>{visible(one.name)}</span>
                <span className={one.wouldBe === one.name ? 'mute' : 'strong'}>
                  {one.wouldBe === null ? '' : one.wouldBe === one.name ? 'the same' : visible(one.wouldBe)}
                </span>
              </div>
            )
          );
        }}
      </VirtualList>
    </aside>
  );
}

export { ProblemPart as ErrorBoundary };
