import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useEffect, useRef } from 'react';

interface VirtualRowsProps {
  readonly count: number;
  readonly head: ReactNode;
  readonly label: string;
  /** The row that is chosen, kept in sight; -1 for none. */
  readonly chosen: number;
  readonly children: (index: number) => ReactNode;
}

const rowHeight = 29;

/** Rows of one height, of which only those in sight are drawn: ten thousand scroll like fifty. */
export function VirtualRows({ count, head, label, chosen, children }: VirtualRowsProps) {
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    initialRect: { width: 800, height: 700 },
    scrollPaddingStart: 32,
    // The head stands in the list as well.
    scrollPaddingEnd: 32,
  });
  useEffect(() => {
    if (chosen >= 0) virtual.scrollToIndex(chosen, { align: 'auto' });
  }, [chosen]); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <div className="rows" ref={scroller} role="table" aria-label={label} aria-rowcount={count + 1}>
      {head}
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }} role="rowgroup">
        {virtual.getVirtualItems().map((item) => (
          <div key={item.key} className="virtual" style={{ transform: `translateY(${item.start}px)`, height: rowHeight }}>
            {children(item.index)}
          </div>
        ))}
      </div>
    </div>
  );
}
