// Pages that are files: no script, no font, nothing from outside; names of the audited database are text and nothing else.

/** What is HTML already. */
export class Html {
  constructor(readonly text: string) {}
}

type Part = Html | string | number | null | false | readonly Part[];

/** HTML in which every value is text, unless it is HTML itself; lists stand one after the other, null and false for nothing. */
export function html(strings: TemplateStringsArray, ...values: readonly Part[]): Html {
  return new Html(strings.reduce((text, part, n) => `${text}${n === 0 ? '' : written(values[n - 1] ?? null)}${part}`, ''));
}

function written(part: Part): string {
  if (part === null || part === false) return '';
  if (part instanceof Html) return part.text;
  if (typeof part === 'object') return part.map(written).join('');
  return String(part).replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
}

const style = `
@page { size: A4; margin: 18mm 16mm; }
body { font: 10.5pt/1.4 "Liberation Sans", Arial, sans-serif; color: #1d2a30; max-width: 178mm; margin: 0 auto; padding: 8mm 4mm; }
h1 { font-size: 17pt; margin: 0 0 2mm; } h2 { font-size: 12pt; margin: 7mm 0 2mm; border-bottom: 0.3mm solid #1d6d63; color: #1d6d63; break-after: avoid; }
h3 { font-size: 10.5pt; margin: 4mm 0 1mm; break-after: avoid; }
table { border-collapse: collapse; width: 100%; margin: 2mm 0; } th, td { text-align: left; vertical-align: top; padding: 1mm 2mm 1mm 0; border-bottom: 0.2mm solid #e1dac8; overflow-wrap: anywhere; }
th { font-size: 9pt; color: #5a676b; } thead { display: table-header-group; } tr { break-inside: avoid; }
pre { font: 8.5pt/1.35 "Liberation Mono", monospace; white-space: pre-wrap; overflow-wrap: anywhere; background: #f6f2e8; padding: 2mm; margin: 1mm 0; }
.mute { color: #5a676b; } .harm { color: #a23a1c; font-weight: 600; } .held { color: #1d6d63; font-weight: 600; }
dl { display: grid; grid-template-columns: 42mm 1fr; gap: 1mm 3mm; margin: 1mm 0; } dt { color: #5a676b; } dd { margin: 0; min-width: 0; overflow-wrap: anywhere; }
`;

/** A whole page that prints on A4. */
export function pageOf(title: string, body: Html): string {
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'" />
        <title>${title}</title>
        <style>
          ${new Html(style)}
        </style>
      </head>
      <body>
        ${body}
      </body>
    </html> `.text;
}

/** Rows under their heads; without heads where there are none. */
export function tableOf(heads: readonly string[], rows: readonly (readonly string[])[]): Html {
  return html`<table>
    ${
      heads.length > 0 &&
      html`<thead>
        <tr>
          ${heads.map((head) => html`<th>${head}</th>`)}
        </tr>
      </thead>`
    }
    <tbody>
      ${rows.map(
        (row) =>
          html`<tr>
            ${row.map((cell) => html`<td>${cell}</td>`)}
          </tr>`,
      )}
    </tbody>
  </table>`;
}

/** `2026-11-27 14:05 UTC`: the same wherever it is read. */
export function momentOf(at: string | null): string {
  return at === null ? 'never' : `${at.slice(0, 10)} ${at.slice(11, 16)} UTC`;
}
