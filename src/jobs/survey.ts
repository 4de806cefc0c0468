import { inTransaction } from '../store/db';
import type { Policies } from '../core/rules/policy';
import { notMeasured } from '../core/survey/document';
import { risksInWords } from '../core/survey/login';
import { surveyByFiles } from '../sources/files/survey';
import { sourceKind } from '../sources/index';
import { type AskedByFiles, type SourceKind, usualLimits } from '../sources/kind';
import { SourceError } from '../sources/SourceError';
import { survey, type SurveyOptions, type SurveyResult } from '../sources/survey';
import { type Connection, findSource, getConnection } from '../store/sources/sources';
import { keepScript, listAnswers, listScripts } from '../store/surveys/answers';
import { getSettings } from '../store/sources/settings';
import { listWishes } from '../store/sources/wishes';
import {
  findCatalogue,
  findLastExact,
  findSurvey,
  finishSurvey,
  isCancelRequested,
  keepCatalogue,
  keepFacts,
  keepLogin,
  keepProgress,
  listFacts,
  listStranded,
  requeueSurvey,
  startSurvey,
  type SurveyRow,
} from '../store/surveys/surveys';
import type { SourceId } from '../store/ids';
import { thinSurveys } from '../store/surveys/retention';
import { pawlItself } from '../work/actor';
import { write } from '../work/perform';
import { announceEnd, recordSurvey } from '../work/recorded';
import { findRenames, followRenames } from '../work/renamed';
import type { Job, JobContext } from './job';
import { whileOwning } from './ownership';
import type { SurveyId } from '../store/ids';

const cancelPollMs = 500;
/** How often a survey is taken up that its worker died over. */
const mostAttempts = 2;

function deadlyWords({ attempts, doing }: SurveyRow): string {
  return `${attempts} workers died over it, the last at: ${doing}. Something in this database is too much for them. Survey single schemas, or give the worker more memory, then go on with it.`;
}

export const surveyJob: Job = {
  name: 'survey',

  async run(id: SurveyId, context) {
    await whileOwning(context.store, 'survey', id, async (lost) => {
      if (!(await startSurvey(context.store, id))) return;
      const row = await findSurvey(context.store, id);
      if (row) await carryOut(row, context, lost);
    });
  },

  // A survey that claims to run but that nobody holds has lost its worker: it goes on from what it kept.
  async recover({ store, enqueue }) {
    for (const { id, state } of await listStranded(store)) {
      await whileOwning(store, 'survey', id, async () => {
        const row = await findSurvey(store, id);
        if (row?.state !== state) return;
        // What ends one worker after another is in what it reads: a person has to look.
        if (state === 'running' && row.attempts >= mostAttempts) return finishSurvey(store, id, 'failed', deadlyWords(row));
        if (await requeueSurvey(store, id, [state], 'counted')) await enqueue('survey', id);
      });
    }
  },
};

async function carryOut(row: SurveyRow, { store, stopping }: JobContext, lost: AbortSignal): Promise<void> {
  const cancelled = new AbortController();
  const watch = setInterval(() => {
    void isCancelRequested(store, row.id).then(
      (asked) => asked && cancelled.abort(),
      () => undefined,
    );
  }, cancelPollMs);
  try {
    const result = await measureAndJudge(row, store, AbortSignal.any([cancelled.signal, stopping, lost]));
    // Somebody has to bring answers first.
    if (result === null) return;
    await keepResult(row, result, store);
    // What is kept too long harms nobody: the next survey lets go of it.
    await thinSurveys(store, row.sourceId).catch(() => undefined);
    await noteEnd(row, store, 'done', { findings: result.findings.length });
  } catch (error) {
    // Another worker may have it by now; what it says of it counts.
    if (lost.aborted) return;
    if (stopping.aborted && !cancelled.signal.aborted) return void (await requeueSurvey(store, row.id, ['running']));
    const isCancel = error instanceof SourceError && error.reason === 'cancelled';
    const wasAsked = isCancel && cancelled.signal.aborted;
    await inTransaction(async (db) => {
      await finishSurvey(db, row.id, wasAsked ? 'cancelled' : 'failed', messageOf(error));
      if (!wasAsked) await announceEnd(db, row, messageOf(error));
    }, store);
    await noteEnd(row, store, 'failed', { reason: messageOf(error) });
  } finally {
    clearInterval(watch);
  }
}

async function noteEnd(
  { id, sourceId, depth }: SurveyRow,
  store: JobContext['store'],
  outcome: 'done' | 'failed',
  after: object,
) {
  const source = await findSource(store, sourceId);
  const act = { act: 'survey.end' as const, source, object: `survey ${id}` };
  await write(store, pawlItself('worker'), act, { outcome, after: { depth, ...after } });
}

interface Judged extends SurveyResult {
  readonly policies: Policies;
}

/** Null when it waits for answers that somebody brings. */
async function measureAndJudge(row: SurveyRow, store: JobContext['store'], signal: AbortSignal): Promise<Judged | null> {
  const connection = await getConnection(store, row.sourceId);
  const { budget } = await getSettings(store, row.sourceId);
  let terms = await termsOf(store, row.sourceId);
  const catalogue = await findCatalogue(store, row.id);
  const options: Omit<SurveyOptions, 'depth'> = {
    tables: row.scope ? new Set(row.scope) : null,
    ...terms,
    known: catalogue ? { catalogue, facts: await listFacts(store, row.id) } : null,
    // Right after a docket everything it touched is looked at afresh.
    earlier: row.docketId === null ? await findLastExact(store, row.sourceId, row.id) : null,
    reuse: !row.forced,
    signal,
    onCatalogue: async (read) => {
      await keepCatalogue(store, row.id, read);
      const renames = await findRenames(store, row.sourceId, read);
      if (!renames) return null;
      await inTransaction((db) => followRenames(db, row.sourceId, row.id, renames), store);
      return (terms = await termsOf(store, row.sourceId));
    },
    onFacts: (facts) => keepFacts(store, row.id, facts),
    onProgress: (progress) => keepProgress(store, row.id, progress),
  };
  const { open, byFiles } = sourceKind(connection.kind);
  const result = byFiles
    ? await measureByFiles(row, store, byFiles(connection.settings), options)
    : open && (await measureLive(row, store, { ...connection, open }, { ...options, budget }));
  return result && { ...result, policies: terms.policies };
}

async function termsOf(store: JobContext['store'], source: SourceId) {
  const { policies, templates, dictionary } = await getSettings(store, source);
  return { policies, dictionary, adopted: templates, wishes: await listWishes(store, source) };
}

async function measureLive(
  row: SurveyRow,
  store: JobContext['store'],
  { open, settings, secret }: Connection & { readonly open: NonNullable<SourceKind['open']> },
  options: Omit<SurveyOptions, 'depth'>,
): Promise<SurveyResult> {
  const purpose = `survey ${row.id} of ${Date.parse(row.askedAt).toString(36)}`;
  // The first session ends those that a worker left behind which died over this survey.
  const source = await open(settings, secret, { ...usualLimits, purpose });
  try {
    const login = await source.login();
    await keepLogin(store, row.id, login);
    const risks = risksInWords(login);
    if (risks !== null && (await findSource(store, row.sourceId))?.fittingLogin)
      throw new SourceError(`This source insists on a login that can only read. ${risks}`, 'notAllowed');
    const openAnother = () => open(settings, secret, { ...usualLimits, alongside: purpose });
    return await survey(source, { ...options, depth: row.depth, openAnother });
  } finally {
    await source.close().catch(() => undefined);
  }
}

async function measureByFiles(
  row: SurveyRow,
  store: JobContext['store'],
  asked: AskedByFiles,
  options: Omit<SurveyOptions, 'depth'>,
): Promise<SurveyResult | null> {
  const rounds = (await listScripts(store, row.id)).length;
  const step = await surveyByFiles({ asked, rounds, answers: await listAnswers(store, row.id) }, options);
  if ('result' in step) return step.result;
  await inTransaction((db) => keepScript(db, row.id, step.asked), store);
  return null;
}

async function keepResult(row: SurveyRow, { catalogue, evidence, ...result }: Judged, store: JobContext['store']): Promise<void> {
  const unmeasured = notMeasured(catalogue, evidence);
  await inTransaction(async (db) => {
    await recordSurvey(db, row, { catalogue, evidence, unmeasured, ...result });
    await announceEnd(db, row, null);
    await finishSurvey(db, row.id, 'done');
  }, store);
}

export function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
