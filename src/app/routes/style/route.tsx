import { pathTo } from '~/app/ui/pathTo';
import { ShareBar } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, Outlet, useFetcher, useParams } from 'react-router';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { Allowed } from '~/app/ui/Allowed';
import { BringFile, useBringing, WhatCame } from '~/app/ui/BringFile';
import { percent } from '~/app/ui/format';
import { Desk } from '~/app/ui/list/Desk';
import { NothingFits } from '~/app/ui/list/NothingFits';
import type { WholeField } from '~/app/ui/list/whole';
import { WholeList } from '~/app/ui/list/WholeList';
import { Moment } from '~/app/ui/Moment';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { styledInWords } from '~/core/naming/styled';
import { fewestOfStyle, isStyle } from '~/core/naming/infer';
import { capital } from '~/core/naming/words';
import { may } from '~/core/rights/rights';
import { listStyles } from '~/store/sources/houseStyles';
import { getSettings } from '~/store/sources/settings';
import { findLastWhole } from '~/store/surveys/surveys';
import { latestCatalogue } from '~/work/catalogues';
import { onNamesOf } from '~/work/houseStyle';
import { sourcesFor } from '~/work/sources';
import { Copy } from './Copy';
import { styleIntents } from './styleForms.server';
import { TemplateText } from './TemplateText';
import type { Route } from './+types/route';
import { Versions } from './Versions';
import { Words } from './Words';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store, office, actor } = await enter({ params, context }, 'seeFindings');
  const [catalogue, last, { templates, dictionary }, versions, sources] = await Promise.all([
    latestCatalogue(store, source.id),
    findLastWhole(store, source.id),
    getSettings(store, source.id),
    listStyles(store, source.id),
    sourcesFor(office, actor),
  ]);
  return {
    source: source.id,
    name: source.name,
    takenAt: last?.finishedAt ?? null,
    conventions: catalogue ? await onNamesOf('conventions', catalogue, { templates }) : [],
    dictionary,
    learnt: catalogue ? await onNamesOf('words', catalogue, undefined) : [],
    versions: versions.map(({ style: _, ...told }) => told),
    targets: sources
      .filter(({ id }) => id !== source.id && may(actor.bounds, 'keepRules', id))
      .map(({ id, name }) => ({ id, name })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(styleIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('House style', matches);
}

export default function HouseStyle({ loaderData }: Route.ComponentProps) {
  const { source, conventions, versions, dictionary, learnt } = loaderData;
  const { kind: chosenKind } = useParams();
  const names = conventions.reduce((sum, one) => sum + one.names, 0);
  return (
    <Desk>
      <WholeList
        name="House style"
        what="kind"
        label="What names follow"
        all={conventions.map((one) => ({ ...one, id: one.kind }))}
        fields={fields}
        groups={['style']}
        here={pathTo('/s/:source/style', { source })}
        chosenId={chosenKind}
        empty={<NothingFits what="kind of name" here={pathTo('/s/:source/style', { source })} />}
        keys={{ 'j k': 'move', '/': 'filter' }}
        foot={(rows) => `${rows.length} kinds, ${names.toLocaleString('en-GB')} names`}
        above={<StyleHead {...loaderData} />}
        below={
          <Box sx={{ flex: 'none', maxHeight: '45%', overflow: 'auto', borderTop: '1px solid var(--mui-palette-divider)' }}>
            <Words dictionary={dictionary} learnt={learnt} source={source} shown={versions[0]?.version ?? 0} />
            <Versions versions={versions} source={source} />
          </Box>
        }
      />
      <Outlet />
    </Desk>
  );
}

type Told = Awaited<ReturnType<typeof loader>>;
type KindRow = Told['conventions'][number] & { readonly id: string };

function StyleHead({ source, name, takenAt, conventions, versions, targets }: Told) {
  const { data: came } = useFetcher<typeof action>({ key: 'house style' });
  const names = conventions.reduce((sum, one) => sum + one.names, 0);
  const { busy, said, bring } = useBringing(pathTo('/s/:source/style/bring', { source }));
  const [latest] = versions;
  return (
    <div style={{ padding: '14px 16px 8px' }}>
      <h1>House style of {name}</h1>
      <Typography variant="note" component="p" style={{ margin: '0 0 8px' }}>
        {takenAt === null ? (
          'Names are read in a survey; there was none yet.'
        ) : (
          <>
            Learnt from {names.toLocaleString('en-GB')} names in the survey of <Moment at={takenAt} />.
          </>
        )}{' '}
        {latest ? (
          <>
            Version {latest.version}, kept by {latest.keptBy} <Moment at={latest.keptAt} />.
          </>
        ) : (
          'Nothing is adopted yet: choose a kind and adopt what most of its names follow.'
        )}
      </Typography>
      <div className="actions" style={{ margin: 0 }}>
        <Button component="a" href={pathTo('/s/:source/style/export', { source })} download>
          Export the style
        </Button>
        <Allowed right="keepRules">
          <BringFile
            busy={busy}
            bring={bring}
            label="Bring a file"
            what="File of a house style"
            accept="application/json,.json"
          />
          <Copy targets={targets} name={name} source={source} />
        </Allowed>
      </div>
      <WhatCame said={said} />
      {came?.problem && (
        <Alert severity="error" role="alert">
          {came.problem}
        </Alert>
      )}
      {came?.problem === null && (
        <Alert severity="info" role="status">
          {came.intent === 'copy' ? 'Copied.' : 'Kept. What does not follow is a finding now.'}{' '}
          <Link to={`${pathTo('/s/:source/findings', { source })}?concern=Naming`}>Findings on names</Link>
        </Alert>
      )}
    </div>
  );
}

/** What was adopted, or what more than half of the names follow; else how they are made, each with its share. */
function Followed({ template, adopted, names, follow, patterns }: KindRow) {
  if (template !== null && (adopted || isStyle({ names, follow }))) return <TemplateText text={template} />;
  if (names < fewestOfStyle) return <Typography variant="mute">too few to tell: {names}</Typography>;
  if (patterns.length === 0) return <Typography variant="mute">no two are made alike</Typography>;
  return (
    <Typography variant="small">
      {patterns.map((one, at) => (
        <span key={one.template} style={{ whiteSpace: 'nowrap' }}>
          {at > 0 && ', '}
          <TemplateText text={one.template} /> <Typography variant="mute">{percent(one.follow / names)}</Typography>
        </span>
      ))}
    </Typography>
  );
}

const fields: readonly WholeField<KindRow>[] = [
  {
    ...{ name: 'kind', title: 'For', type: 'text', width: 130, usual: true },
    of: ({ kind }) => capital(styledInWords[kind]),
    draw: ({ kind }) => capital(styledInWords[kind]),
  },
  {
    ...{ name: 'template', title: 'What most names follow', type: 'text', width: 240, usual: true },
    of: ({ template }) => template,
    draw: (row) => <Followed {...row} />,
  },
  {
    ...{ name: 'share', title: 'Share', type: 'share', width: 110, usual: true },
    of: ({ follow, names }) => follow / names,
    draw: ({ follow, names }) => (
      <Box component="span" sx={{ typography: 'mono', display: 'flex', alignItems: 'center', gap: 1 }}>
        <ShareBar sx={{ flex: 1, margin: 0 }}>{follow > 0 && <i style={{ width: `${(100 * follow) / names}%` }} />}</ShareBar>
        {percent(follow / names)}
      </Box>
    ),
  },
  { name: 'follow', title: 'Follow', type: 'number', width: 56, usual: true, of: ({ follow }) => follow },
  { name: 'exceptions', title: 'Do not', type: 'number', width: 56, usual: true, of: ({ follow, names }) => names - follow },
  {
    ...{ name: 'style', title: 'Style', type: 'text', width: 80, usual: true },
    of: ({ adopted, template }) => (adopted ? 'adopted' : template === null ? null : 'as found'),
    draw: ({ adopted, template }) => (
      <span className={adopted ? 'verd strong' : 'mute'}>{adopted ? 'adopted' : template === null ? '' : 'as found'}</span>
    ),
  },
];

export { ProblemStation as ErrorBoundary };
