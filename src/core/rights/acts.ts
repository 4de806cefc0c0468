// What the journal's acts are in words: `Ada Holm signed a docket`.

import { isRight, rights } from './rights';

const words: Readonly<Record<string, string>> = {
  'person.signIn': 'signed in',
  'person.signOut': 'signed out',
  'person.password': 'chose a password',
  'person.add': 'added a person',
  'person.invite': 'invited a person',
  'person.disable': 'disabled a person',
  'person.enable': 'enabled a person',
  'person.grant': 'gave a role',
  'person.ungrant': 'took a role away',
  'token.make': 'made a token',
  'token.revoke': 'revoked a token',
  'secret.rotate': 'made a new sealing key',
  'source.add': 'added a source',
  'source.change': 'changed a source',
  'source.try': 'tried a login',
  'source.archive': 'took a source out of use',
  'source.purge': 'purged the records of a source',
  'source.rehearsalServer': 'chose the rehearsal server',
  'survey.ask': 'asked for a survey',
  'survey.cancel': 'cancelled a survey',
  'survey.resume': 'went on with a survey',
  'docket.add': 'put findings into a docket',
  'docket.take': 'took findings out of a docket',
  'docket.mode': 'chose how a docket is run',
  'docket.rename': 'renamed a docket',
  'docket.rehearse': 'rehearsed a docket',
  'docket.stopRehearsal': 'stopped a rehearsal',
  'docket.sign': 'signed a docket',
  'docket.unsign': 'took a signature back',
  'docket.backup': 'confirmed a backup',
  'docket.run': 'ran a docket forward',
  'docket.back': 'ran a docket back',
  'docket.clear': 'dropped what repairs kept',
  'docket.pause': 'paused a run',
  'docket.resume': 'let a run go on',
  'docket.stop': 'stopped a run',
  'survey.answers': 'brought answers to a survey',
  'docket.ranElsewhere': 'said that a docket was run elsewhere',
  'docket.discard': 'discarded a docket',
  'run.end': 'came to the end of a run',
  'survey.end': 'came to the end of a survey',
  'rehearsal.end': 'came to the end of a rehearsal',
  'finding.waive': 'waived a finding',
  'finding.unwaive': 'took a waiver back',
  'rule.settle': 'settled a rule',
  'style.settle': 'settled the house style',
  'budget.settle': 'settled the survey budget',
};

export function actInWords(act: string): string {
  const looked = act.startsWith('look.') ? act.slice('look.'.length) : '';
  return words[act] ?? (isRight(looked) ? `wanted to ${rights[looked]}` : act);
}
