// A schema for people who read before they build: each table with its columns, keys and neighbours in words, and what is open
// about it.

import { type TableId } from '../catalogue/identifiers';
import { columnInWords, constraintInWords, indexInWords, relationshipsInWords } from '../catalogue/inWords';
import type { Catalogue, Table } from '../catalogue/model';
import { groupBy } from '../grouping';
import { visible } from '../naming/visible';
import { counted, sizeInWords } from '../naming/words';
import type { KnownFinding } from '../ratchet/against';
import { tableOf } from '../rules/audit';
import { html, type Html, momentOf, pageOf, tableOf as table } from './html';
import { reportedWords } from './words';

export interface DescribedSchema {
  readonly database: string;
  readonly engine: string;
  /** ISO 8601. */
  readonly takenAt: string;
  readonly catalogue: Catalogue;
  readonly findings: readonly KnownFinding[];
}

export function schemaPage({ database, engine, takenAt, catalogue, findings }: DescribedSchema): string {
  const open = groupBy(findings, (finding) => tableOf(finding.object));
  const schemas = groupBy(catalogue.tables, ({ schema }) => schema);
  return pageOf(
    `Schema of ${database}`,
    html`<h1>Schema of ${database}</h1>
      <p class="mute">${engine}, as it was on ${momentOf(takenAt)}: ${counted(catalogue.tables.length, 'table')}.</p>
      ${[...schemas].map(
        ([schema, tables]) =>
          html`<h2>${visible(schema)}</h2>
            <p>${tables.map(({ id, name }, n) => html`${n > 0 && ', '}<a href="#${anchorOf(id)}">${visible(name)}</a>`)}</p>
            ${tables.map((one) => described(catalogue, one, open.get(one.id) ?? []))}`,
      )}`,
  );
}

function described(catalogue: Catalogue, one: Table, findings: readonly KnownFinding[]): Html {
  const rows = one.estimatedRows === null ? 'rows not counted' : `about ${counted(one.estimatedRows, 'row')}`;
  const size = one.bytes === null ? '' : `, ${sizeInWords(one.bytes)}`;
  const declared = [
    ...one.constraints.map((constraint) => [constraint.name, constraintInWords(constraint)]),
    ...one.indexes.filter((index) => index.constraint === null).map((index) => [index.name, indexInWords(index)]),
    ...one.triggers.map(({ name }) => [name, 'trigger']),
  ].map((cells) => cells.map((cell) => visible(cell)));
  return html`<h3 id="${anchorOf(one.id)}">${visible(one.id)} <span class="mute">${one.kind}, ${rows}${size}</span></h3>
    ${one.comment !== null && html`<p>${visible(one.comment)}</p>`} ${columnsOf(one)}
    ${declared.length > 0 && table(['Declared', ''], declared)}
    ${relationshipsInWords(catalogue, one).map((words) => html`<p>${visible(words)}</p>`)}
    ${findings.map((finding) => html`<p><span class="harm">${finding.severity}</span>: ${reportedWords(finding).message}</p>`)}`;
}

function columnsOf(one: Table): Html {
  const commented = one.columns.some(({ comment }) => comment !== null);
  return table(
    ['Column', 'Is', ...(commented ? ['About'] : [])],
    one.columns.map((column) =>
      [column.name, columnInWords(column, one), ...(commented ? [column.comment ?? ''] : [])].map((cell) => visible(cell)),
    ),
  );
}

/** In letters that an address takes as they are, whatever a table is called. */
function anchorOf(id: TableId): string {
  return `t-${[...id].map((sign) => (/[a-z0-9_]/i.test(sign) ? sign : `.${(sign.codePointAt(0) ?? 0).toString(16)}.`)).join('')}`;
}
