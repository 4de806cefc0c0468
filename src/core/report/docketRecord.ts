// The whole record of a docket, for a change board: what it is about, what it does, how it was tried, who signed, what was run
// and proven. Nothing in it says when it was written: what comes out is the same tomorrow, as long as nothing happens.

import type { Rehearsal } from '../plan/rehearsal';
import type { DocketState, FindingState } from '../ratchet/states';
import type { Severity } from '../rules/finding';
import { html, type Html, momentOf, pageOf, tableOf as table } from './html';

export interface DocketRecord {
  readonly format: 'pawl-docket/1';
  readonly source: { readonly name: string; readonly environment: string; readonly engine: string };
  readonly docket: {
    readonly number: number;
    readonly name: string;
    readonly state: DocketState;
    readonly mode: string;
    readonly made: string;
    readonly stateSince: string;
    readonly authors: readonly string[];
    readonly signedBy: string | null;
    readonly signedAt: string | null;
    /** SHA-256 of plan, scripts and decisions. */
    readonly digest: string;
  };
  readonly backups: readonly { readonly at: string; readonly place: string; readonly by: string }[];
  /** The first first. */
  readonly history: readonly {
    readonly at: string;
    readonly what: string;
    readonly by: string | null;
    readonly note: string | null;
  }[];
  readonly findings: readonly {
    readonly id: string;
    readonly severity: Severity;
    readonly state: FindingState;
    readonly title: string;
    readonly message: string;
    readonly consequence: string;
    readonly evidence: readonly { readonly label: string; readonly text: string }[];
    readonly decision: Readonly<Record<string, string>>;
  }[];
  readonly steps: readonly { readonly title: string; readonly cost: string }[];
  readonly leftOut: readonly string[];
  readonly scripts: Readonly<Partial<Record<'before' | 'forward' | 'after' | 'back', string>>>;
  readonly rehearsal: {
    readonly at: string;
    readonly by: string | null;
    readonly state: string;
    readonly report: Rehearsal | null;
  } | null;
  readonly runs: readonly {
    readonly number: number;
    readonly direction: string;
    readonly by: string | null;
    readonly user: string | null;
    readonly state: string;
    readonly problem: string | null;
    readonly asked: string;
    readonly finished: string | null;
    readonly steps: readonly {
      readonly title: string;
      readonly state: string;
      readonly outcome: string | null;
      readonly finished: string | null;
    }[];
    readonly proofs: readonly {
      readonly title: string;
      readonly statement: string;
      readonly outcome: string;
      readonly answer: string;
    }[];
  }[];
}

export function docketPage(record: DocketRecord): string {
  const { docket, source } = record;
  return pageOf(
    `${docket.name}, ${source.name}`,
    html`<h1>${docket.name}</h1>
      <p class="mute">
        Docket ${docket.number} of ${source.name} (${source.environment}, ${source.engine}), ${docket.state} since
        ${momentOf(docket.stateSince)}.
      </p>
      <dl>
        <dt>Planned by</dt>
        <dd>${docket.authors.join(', ') || 'nobody has said'}, ${momentOf(docket.made)}</dd>
        <dt>Signed by</dt>
        <dd>${docket.signedBy === null ? 'nobody' : `${docket.signedBy}, ${momentOf(docket.signedAt)}`}</dd>
        <dt>Digest</dt>
        <dd>${docket.digest}</dd>
        <dt>Way</dt>
        <dd>${docket.mode === 'quiet' ? 'quietly, beside users at work' : 'plainly, in one transaction'}</dd>
        ${record.backups.map(
          ({ at, place, by }) =>
            html`<dt>Backup</dt>
              <dd>of ${momentOf(at)}, at ${place}, said by ${by}</dd>`,
        )}
      </dl>
      ${record.findings.length > 0 && about(record.findings)}
      <h2>What it does</h2>
      ${table(
        ['Step', 'What it takes'],
        record.steps.map(({ title, cost }) => [title, cost]),
      )}
      ${record.leftOut.map((problem) => html`<p class="harm">Left out: ${problem}</p>`)} ${rehearsed(record.rehearsal)}
      ${record.runs.map(ran)}
      <h2>History</h2>
      ${table(
        ['At', 'What', 'By', 'Note'],
        record.history.map(({ at, what, by, note }) => [momentOf(at), what, by ?? '', note ?? '']),
      )}
      <h2>Scripts</h2>
      ${(['before', 'forward', 'after', 'back'] as const).map((name) => {
        const script = record.scripts[name];
        return script === undefined
          ? null
          : html`<h3>${name}.sql</h3>
              <pre>${script}</pre>`;
      })}`,
  );
}

function about(findings: DocketRecord['findings']): Html {
  return html`<h2>What it is about</h2>
    ${findings.map(
      ({ severity, title, message, consequence, evidence, decision, state, id }) =>
        html`<h3>${title} <span class="mute">${severity}, ${state}</span></h3>
          <p>${message} ${consequence}</p>
          <table>
            <tbody>
              ${evidence.map(
                ({ label, text }) =>
                  html`<tr>
                    <td class="mute">${label}</td>
                    <td>${text}</td>
                  </tr>`,
              )}
              ${Object.entries(decision).map(
                ([question, answer]) =>
                  html`<tr>
                    <td class="mute">decided: ${question}</td>
                    <td>${answer}</td>
                  </tr>`,
              )}
              <tr>
                <td class="mute">finding</td>
                <td>${id}</td>
              </tr>
            </tbody>
          </table>`,
    )}`;
}

function rehearsed(rehearsal: DocketRecord['rehearsal']): Html {
  if (!rehearsal)
    return html`<h2>Rehearsal</h2>
      <p>It was not rehearsed.</p>`;
  const { at, by, state, report } = rehearsal;
  return html`<h2>Rehearsal</h2>
    <p>
      On a copy, ${momentOf(at)}${by === null ? '' : `, asked by ${by}`}:
      <span class="${report?.holds ? 'held' : 'harm'}">${report?.holds ? 'it holds' : state}</span>.
    </p>
    ${
      report &&
      table(
        ['Part', 'State', 'What it found'],
        report.parts.map((part) => [part.name, part.state, part.says]),
      )
    }`;
}

function ran(run: DocketRecord['runs'][number]): Html {
  return html`<h2>Run ${run.direction}, ${momentOf(run.asked)}</h2>
    <p>
      ${run.by === null ? 'Asked' : `Asked by ${run.by}`}${run.user === null ? ', run elsewhere' : `, run as ${run.user}`}:
      <span class="${run.state === 'done' ? 'held' : 'harm'}">${run.state}</span>, ${momentOf(run.finished)}.
      ${run.problem && html`<span class="harm">${run.problem}</span>`}
    </p>
    ${
      run.steps.length > 0 &&
      table(
        ['Step', 'State', 'What came of it', 'At'],
        run.steps.map((step) => [step.title, step.state, step.outcome ?? '', momentOf(step.finished)]),
      )
    }
    ${
      run.proofs.length > 0 &&
      html`<h3>Proofs</h3>
        ${table(
          ['Tried', 'Outcome', 'The database said'],
          run.proofs.map((proof) => [`${proof.title}: ${proof.statement}`, proof.outcome, proof.answer]),
        )}`
    }`;
}
