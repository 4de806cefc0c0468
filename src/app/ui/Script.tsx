import { PostgreSQL } from '@codemirror/lang-sql';
import { highlightTree, tagHighlighter, tags } from '@lezer/highlight';
import type { ReactNode } from 'react';

const highlighter = tagHighlighter([
  { tag: tags.keyword, class: 'keyword' },
  { tag: tags.typeName, class: 'keyword' },
  { tag: tags.standard(tags.name), class: 'keyword' },
  { tag: tags.bool, class: 'keyword' },
  { tag: tags.null, class: 'keyword' },
  { tag: tags.name, class: 'identifier' },
  { tag: tags.special(tags.string), class: 'identifier' },
  { tag: tags.comment, class: 'comment' },
]);

// Longer scripts are shown plain: colouring them would take longer than reading their first page.
const longest = 200_000;

/** SQL, to be read and copied: key words bold, identifiers green, comments italic. */
export function Script({ text, label }: { readonly text: string; readonly label: string }) {
  return (
    <pre className="script" tabIndex={0} aria-label={label}>
      {text.length > longest ? text : coloured(text)}
    </pre>
  );
}

function coloured(text: string): ReactNode[] {
  const pieces: ReactNode[] = [];
  let at = 0;
  highlightTree(PostgreSQL.language.parser.parse(text), highlighter, (from, to, classes) => {
    if (from > at) pieces.push(text.slice(at, from));
    pieces.push(
      <span key={from} className={classes}>
        {text.slice(from, to)}
      </span>,
    );
    at = to;
  });
  pieces.push(text.slice(at));
  return pieces;
}
