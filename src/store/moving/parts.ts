// What belongs to a source, table by table, in the order in which it comes in: what it goes with from one installation to another.

export interface Part {
  readonly table: string;
  /** Which of its rows are the source's: $1 is its number. */
  readonly of: string;
  /** Unique, and in time where that matters. */
  readonly order: string;
  /** Columns that hold numbers of rows of other parts, or its own. */
  readonly numbers: Readonly<Record<string, string>>;
  /** Of these, those whose rows come in after it. */
  readonly later?: readonly string[];
  /** Columns that stay behind: secrets, values of rows. */
  readonly without?: readonly string[];
  /** What columns hold where it comes in, whatever they held, in JSON. */
  readonly instead?: Readonly<Record<string, unknown>>;
}

const ofSource = 'source_id = $1';
const ofDocket = 'docket_id in (select id from dockets where source_id = $1)';
const ofFinding = 'finding_id in (select id from findings where source_id = $1)';
const ofSurvey = 'survey_id in (select id from surveys where source_id = $1)';
const ofRun = `run_id in (select id from runs where ${ofDocket})`;

export const parts: readonly Part[] = [
  {
    table: 'sources',
    of: 'id = $1',
    order: 'id',
    numbers: { id: 'sources' },
    without: ['sealed_password', 'sealed_rehearsal_server'],
    instead: { sealed_password: '\\x' },
  },
  { table: 'house_styles', of: ofSource, order: 'version', numbers: { source_id: 'sources' } },
  { table: 'wishes', of: ofSource, order: 'id', numbers: { source_id: 'sources' } },
  { table: 'surveyed_tables', of: ofSource, order: 'table_id', numbers: { source_id: 'sources' } },
  { table: 'inventory', of: ofSource, order: 'kind, place, id', numbers: { source_id: 'sources' } },
  { table: 'dockets', of: ofSource, order: 'id', numbers: { id: 'dockets', source_id: 'sources', signed_by_id: 'people' } },
  {
    table: 'docket_authors',
    of: ofDocket,
    order: 'docket_id, person_id',
    numbers: { docket_id: 'dockets', person_id: 'people' },
  },
  { table: 'docket_backups', of: ofDocket, order: 'id', numbers: { id: 'docket_backups', docket_id: 'dockets' } },
  {
    table: 'schedules',
    of: ofSource,
    order: 'id',
    numbers: { id: 'schedules', source_id: 'sources', last_survey_id: 'surveys', counted_survey_id: 'surveys' },
    later: ['last_survey_id', 'counted_survey_id'],
    // Two installations would survey the same database.
    instead: { is_on: false },
  },
  {
    table: 'surveys',
    of: ofSource,
    order: 'id',
    numbers: { id: 'surveys', source_id: 'sources', docket_id: 'dockets', schedule_id: 'schedules' },
  },
  { table: 'evidence', of: ofSurvey, order: 'survey_id, request_key', numbers: { survey_id: 'surveys' } },
  { table: 'asked_scripts', of: ofSurvey, order: 'survey_id, round, script_id', numbers: { survey_id: 'surveys' } },
  { table: 'answers', of: ofSurvey, order: 'survey_id, query_id', numbers: { survey_id: 'surveys' } },
  {
    table: 'findings',
    of: ofSource,
    order: 'id',
    numbers: { id: 'findings', source_id: 'sources', first_survey_id: 'surveys' },
  },
  {
    table: 'finding_events',
    of: ofFinding,
    order: 'id',
    numbers: { id: 'finding_events', finding_id: 'findings', survey_id: 'surveys', docket_id: 'dockets' },
  },
  {
    table: 'finding_amounts',
    of: ofFinding,
    order: 'finding_id, survey_id',
    numbers: { finding_id: 'findings', survey_id: 'surveys' },
  },
  {
    table: 'docket_items',
    of: ofDocket,
    order: 'docket_id, finding_id',
    numbers: { docket_id: 'dockets', finding_id: 'findings' },
  },
  { table: 'rehearsals', of: ofDocket, order: 'id', numbers: { id: 'rehearsals', docket_id: 'dockets' } },
  { table: 'runs', of: ofDocket, order: 'id', numbers: { id: 'runs', docket_id: 'dockets' } },
  { table: 'run_steps', of: ofRun, order: 'run_id, position', numbers: { run_id: 'runs' }, without: ['told'] },
  {
    table: 'proofs',
    of: ofRun,
    order: 'id',
    numbers: { id: 'proofs', run_id: 'runs', finding_id: 'findings' },
    without: ['told'],
  },
  {
    table: 'refusals',
    of: ofFinding,
    order: 'finding_id, tried_in, step, at',
    numbers: { finding_id: 'findings', docket_id: 'dockets' },
  },
  {
    table: 'standings',
    of: ofSource,
    order: 'survey_id',
    numbers: { survey_id: 'surveys', source_id: 'sources', last_event: 'finding_events' },
  },
  {
    table: 'drifts',
    of: ofSource,
    order: 'id',
    numbers: { id: 'drifts', source_id: 'sources', survey_id: 'surveys', since_survey_id: 'surveys' },
  },
];

/** Who had a hand in its dockets: they go by their names, and are found again or stand there as people who cannot sign in. */
export const peopleOf = `select id, name, full_name from people
  where id in (select signed_by_id from dockets where source_id = $1)
     or id in (select person_id from docket_authors where ${ofDocket})
  order by id`;

/** What stays where it is: people and what is theirs, what this installation promised others, and its own working. */
export const stays = [
  ...[
    'people',
    'grants',
    'invitations',
    'person_settings',
    'sessions',
    'sign_ins_elsewhere',
    'sign_in_tries',
    'installation',
    'tokens',
    'looks',
  ],
  ...['listeners', 'deliveries', 'owed_removals', 'journal', 'migrations', 'sealing_keys', 'workers'],
] as const;
