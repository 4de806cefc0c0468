import * as grammars from '@codemirror/lang-sql';
import { highlightTree, tagHighlighter, tags } from '@lezer/highlight';
import { useVirtualizer } from '@tanstack/react-virtual';
import { engineNamed } from '~/core/engines/index';
import { type EngineName, firstEngine } from '~/core/engines/name';
import { type ReactNode, useMemo, useRef } from 'react';

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

function grammarOf(engine: EngineName): grammars.SQLDialect {
  const grammar: unknown = Object.entries(grammars).find(([name]) => name === engineNamed(engine).grammar)?.[1];
  return grammar instanceof grammars.SQLDialect ? grammar : grammars.StandardSQL;
}

/** Longer scripts are drawn line by line, as they come into view. */
const drawnWhole = 400;
const lineHeight = 18;

/** SQL, to be read and copied: key words bold, identifiers green, comments italic. */
export function Script({ text, label }: { readonly text: string; readonly label: string }) {
  const lines = useMemo(() => text.split('\n'), [text]);
  if (lines.length > drawnWhole) return <LongScript lines={lines} label={label} />;
  return (
    <pre className="script" tabIndex={0} aria-label={label}>
      {coloured(text)}
    </pre>
  );
}

function LongScript({ lines, label }: { readonly lines: readonly string[]; readonly label: string }) {
  const scroller = useRef<HTMLPreElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => lineHeight,
    overscan: 30,
    initialRect: { width: 500, height: 560 },
  });
  return (
    <pre className="script long" tabIndex={0} aria-label={label} ref={scroller}>
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => (
          <div key={item.key} className="virtual" style={{ transform: `translateY(${item.start}px)`, height: lineHeight }}>
            {coloured(lines[item.index] ?? '')}
          </div>
        ))}
      </div>
    </pre>
  );
}

function coloured(text: string): ReactNode[] {
  const pieces: ReactNode[] = [];
  let at = 0;
  highlightTree(grammarOf(firstEngine).language.parser.parse(text), highlighter, (from, to, classes) => {
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
