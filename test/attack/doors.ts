// Every door of the web server: what its routes load and do, the right that opens each, and a form that asks for it.

import { join } from 'node:path';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import routes from '../../src/app/routes';
import { docketIntents } from '../../src/app/routes/dockets/docket/docketForm.server';

const intents = Object.keys(docketIntents) as (keyof typeof docketIntents)[];
import type { Right } from '../../src/core/rights/rights';

export type Needed = Right | 'anybody signed in' | 'nobody yet';

export interface Act {
  readonly right: Needed;
  readonly form: Readonly<Record<string, string>>;
}

export interface Door {
  readonly load?: Needed;
  readonly acts?: Readonly<Record<string, Act>>;
}

const finding = { finding: '1' };
const ofFinding: Door = {
  load: 'seeFindings',
  acts: {
    add: { right: 'plan', form: { intent: 'add' } },
    remove: { right: 'plan', form: { intent: 'remove' } },
    takeBack: { right: 'plan', form: { intent: 'takeBack' } },
    care: { right: 'care', form: { intent: 'care', by: 'b' } },
    comment: { right: 'care', form: { intent: 'comment', words: 'w' } },
    join: { right: 'care', form: { intent: 'join', older: '1' } },
    part: { right: 'care', form: { intent: 'part' } },
  },
};
/** Where findings are put into a docket or waived together. */
const deciding: Door = {
  load: 'seeFindings',
  acts: {
    add: { right: 'plan', form: { findings: '1', intent: 'add' } },
    waive: { right: 'keepRules', form: { findings: '1', intent: 'waive', reason: 'r' } },
  },
};
const login = { user: 'u', password: 'p' };
const place = {
  name: 'n',
  environment: 'test',
  kind: 'postgresql',
  host: 'h',
  port: '1',
  database: 'd',
  user: 'u',
  tls: 'off',
};
const docketRights: Readonly<Record<(typeof intents)[number], Right>> = {
  run: 'run',
  back: 'run',
  clear: 'run',
  pause: 'run',
  resume: 'run',
  stop: 'run',
  sign: 'sign',
  unsign: 'sign',
  backup: 'vouch',
  elsewhere: 'vouch',
  backElsewhere: 'vouch',
  server: 'chooseRehearsalServer',
  take: 'plan',
  takeRefused: 'plan',
  add: 'plan',
  rename: 'plan',
  mode: 'plan',
  rehearse: 'plan',
  stopRehearsal: 'plan',
  discard: 'plan',
};
const docketFields = {
  ...finding,
  ...login,
  name: 'n',
  backupAt: '2026-01-01T06:00Z',
  backupWhere: 'w',
  mode: 'plain',
  seen: '0',
};

export const doors: Readonly<Record<string, Door>> = {
  'home/route.tsx': { load: 'anybody signed in' },
  'sign-in/route.tsx': { load: 'nobody yet', acts: { password: { right: 'nobody yet', form: { name: 'x', password: 'y' } } } },
  'sign-in/elsewhere.ts': { load: 'nobody yet' },
  'sign-in/return.tsx': { load: 'nobody yet' },
  'invitation/route.tsx': { load: 'nobody yet', acts: { accept: { right: 'nobody yet', form: { password: 'a', again: 'b' } } } },
  'me/route.tsx': {
    load: 'anybody signed in',
    acts: {
      password: { right: 'anybody signed in', form: { intent: 'password', next: 'a', again: 'b' } },
      makeToken: { right: 'anybody signed in', form: { intent: 'makeToken', name: 't', rights: 'survey' } },
      endToken: { right: 'anybody signed in', form: { intent: 'endToken', token: '1' } },
      signOut: { right: 'anybody signed in', form: { intent: 'signOut' } },
      signOutEverywhere: { right: 'anybody signed in', form: { intent: 'signOutEverywhere' } },
    },
  },
  'me/screens.ts': { acts: { keep: { right: 'anybody signed in', form: { name: 'dossier', value: '500' } } } },
  'people/route.tsx': {
    load: 'keepPeople',
    acts: {
      add: { right: 'keepPeople', form: { intent: 'add', name: 'x', fullName: 'X', role: 'Reader' } },
      give: { right: 'keepPeople', form: { intent: 'give', person: '1', role: 'Reader' } },
      take: { right: 'keepPeople', form: { intent: 'take', person: '1', grant: '1' } },
      invite: { right: 'keepPeople', form: { intent: 'invite', person: '1' } },
      disable: { right: 'keepPeople', form: { intent: 'disable', person: '1' } },
      enable: { right: 'keepPeople', form: { intent: 'enable', person: '1' } },
    },
  },
  'journal/route.tsx': { load: 'readJournal' },
  'journal/export.ts': { load: 'readJournal' },
  'sources/route.tsx': { load: 'anybody signed in', acts: { purge: { right: 'keepSources', form: { purge: '1' } } } },
  'sources/edit/route.tsx': {
    load: 'keepSources',
    acts: {
      save: { right: 'keepSources', form: { ...place, intent: 'save' } },
      try: { right: 'keepSources', form: { ...place, intent: 'try' } },
      remove: { right: 'keepSources', form: { intent: 'remove' } },
    },
  },
  'source/route.tsx': { load: 'seeFindings' },
  'source/start.tsx': { load: 'seeFindings' },
  'style/route.tsx': {
    load: 'seeFindings',
    acts: {
      adopt: { right: 'keepRules', form: { intent: 'adopt', shown: '0', kind: 'check', template: 'ck_{table}_{columns}' } },
      drop: { right: 'keepRules', form: { intent: 'drop', shown: '0', kind: 'check' } },
      restore: { right: 'keepRules', form: { intent: 'restore', shown: '0', version: '1' } },
      word: { right: 'keepRules', form: { intent: 'word', shown: '0', list: 'short', from: 'vsl', to: 'vessel' } },
      forget: { right: 'keepRules', form: { intent: 'forget', shown: '0', list: 'short', from: 'vsl' } },
      copy: { right: 'keepRules', form: { intent: 'copy', target: '1' } },
    },
  },
  'ask/route.tsx': {
    load: 'plan',
    acts: { ask: { right: 'plan', form: { what: 'unique', table: 'a.b', columns: '["c"]' } } },
  },
  'style/export.ts': { load: 'seeFindings' },
  'style/bring.ts': { acts: { bring: { right: 'keepRules', form: {} } } },
  'style/kind/route.tsx': { load: 'seeFindings' },
  'inventory/start.ts': { load: 'seeFindings' },
  'inventory/route.tsx': { load: 'seeFindings' },
  'inventory/line/route.tsx': { load: 'seeFindings' },
  'inventory/lines.ts': { load: 'seeFindings' },
  'inventory/sample/route.ts': { load: 'seeRows' },
  'inventory/export.ts': { load: 'seeFindings' },
  'coverage/route.tsx': { load: 'seeFindings' },
  'coverage/table/route.tsx': deciding,
  'coverage/ddl.ts': { load: 'seeFindings' },
  'findings/route.tsx': {
    load: 'seeFindings',
    acts: {
      docket: { right: 'plan', form: { intent: 'docket', findings: '1' } },
      take: { right: 'plan', form: { intent: 'take', findings: '1' } },
      waive: { right: 'keepRules', form: { intent: 'waive', findings: '1', reason: 'r' } },
      unwaive: { right: 'keepRules', form: { intent: 'unwaive', findings: '1' } },
    },
  },
  'findings/finding/route.tsx': ofFinding,
  'ratchet/route.tsx': { load: 'seeFindings' },
  'drift/route.tsx': {
    load: 'seeFindings',
    acts: { acknowledge: { right: 'care', form: { intent: 'acknowledge', changes: '1', reason: 'r' } } },
  },
  'drift/change/route.tsx': { load: 'seeFindings' },
  'compare/route.tsx': {
    load: 'seeFindings',
    acts: { align: { right: 'plan', form: { intent: 'align', differences: '0', reason: 'r' } } },
  },
  'waivers/route.tsx': { load: 'seeFindings' },
  'waivers/waiver/route.tsx': { load: 'seeFindings' },
  'listeners/route.tsx': {
    load: 'keepSources',
    acts: {
      allow: { right: 'keepSources', form: { intent: 'allow', address: 'https://hear.example/pawl', hears: 'worse' } },
      try: { right: 'keepSources', form: { intent: 'try', listener: '1' } },
      on: { right: 'keepSources', form: { intent: 'on', listener: '1' } },
      off: { right: 'keepSources', form: { intent: 'off', listener: '1' } },
      remove: { right: 'keepSources', form: { intent: 'remove', listener: '1' } },
    },
  },
  'schedules/route.tsx': {
    load: 'seeFindings',
    acts: {
      settle: { right: 'keepSources', form: { intent: 'settle', cron: '30 2 * * *', zone: 'UTC', depth: 'exact' } },
      on: { right: 'keepSources', form: { intent: 'on', schedule: '1' } },
      off: { right: 'keepSources', form: { intent: 'off', schedule: '1' } },
      remove: { right: 'keepSources', form: { intent: 'remove', schedule: '1' } },
    },
  },
  'ratchet/finding/route.tsx': ofFinding,
  'findings/rows.ts': { load: 'seeRows' },
  'findings/touches.ts': { load: 'seeFindings' },
  'findings/reach.ts': { load: 'seeRows' },
  'decide/route.tsx': deciding,
  'dockets/route.tsx': { load: 'seeFindings' },
  'dockets/docket/route.tsx': {
    load: 'seeFindings',
    acts: Object.fromEntries(
      intents.map((intent) => [intent, { right: docketRights[intent], form: { ...docketFields, intent } }]),
    ),
  },
  'dockets/script.ts': { load: 'seeFindings' },
  'dockets/record.ts': { load: 'seeFindings' },
  'surveys/report.ts': { load: 'seeFindings' },
  'ratchet/export.ts': { load: 'seeFindings' },
  'rules/route.tsx': { load: 'seeFindings' },
  'rules/rule/route.tsx': {
    load: 'seeFindings',
    acts: {
      keep: { right: 'keepRules', form: { intent: 'keep' } },
      reset: { right: 'keepRules', form: { intent: 'reset' } },
      waive: { right: 'keepRules', form: { intent: 'waive', object: 'o', reason: 'r' } },
      unwaive: { right: 'keepRules', form: { intent: 'unwaive', object: 'o' } },
    },
  },
  'budget/route.tsx': {
    load: 'seeFindings',
    acts: { keep: { right: 'keepSources', form: { connections: '1', workers: '0', rest: '1' } } },
  },
  'surveys/route.tsx': { load: 'seeFindings', acts: { ask: { right: 'survey', form: { depth: 'exact' } } } },
  'surveys/survey/route.tsx': {
    load: 'seeFindings',
    acts: {
      cancel: { right: 'survey', form: { intent: 'cancel' } },
      resume: { right: 'survey', form: { intent: 'resume' } },
    },
  },
  'dockets/evidence.ts': { acts: { bring: { right: 'vouch', form: {} } } },
  'surveys/survey/questions.ts': { load: 'survey' },
  'surveys/survey/answers.ts': { acts: { bring: { right: 'survey', form: {} } } },
  'surveys/bring.ts': { acts: { bring: { right: 'survey', form: {} } } },
  'jump/route.ts': { load: 'seeFindings' },
  'inventory/sample/children.ts': { load: 'seeRows' },
  'source/changes.ts': { load: 'seeFindings' },
};

export interface RouteModule {
  readonly loader?: (args: object) => unknown;
  readonly action?: (args: object) => unknown;
}

const filesOf = (entries: readonly RouteConfigEntry[]): string[] =>
  entries.flatMap((entry) => [entry.file, ...filesOf(entry.children ?? [])]);
export const files = [...new Set(filesOf(routes))];
export const moduleOf = (file: string): Promise<RouteModule> =>
  import(join(import.meta.dirname, '../../src/app', file)) as Promise<RouteModule>;
