import { styled } from '@mui/material/styles';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useRef } from 'react';

interface VirtualListProps {
  readonly count: number;
  readonly label: string;
  /** About how high an item is, in pixels: measured once it is drawn. */
  readonly height: number;
  readonly children: (index: number) => ReactNode;
}

/** Lists up to here are drawn whole. */
const drawnWhole = 60;

/** Items of any height, a list. Of a long one only those in sight are drawn, in a box that scrolls by itself. */
export function VirtualList(props: VirtualListProps) {
  if (props.count > drawnWhole) return <LongList {...props} />;
  return (
    <div role="list" aria-label={props.label}>
      {Array.from({ length: props.count }, (_, i) => (
        <div key={i} role="listitem">
          {props.children(i)}
        </div>
      ))}
    </div>
  );
}

function LongList({ count, label, height, children }: VirtualListProps) {
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: 8,
    initialRect: { width: 800, height: 420 },
  });
  return (
    <Scroller ref={scroller} role="list" aria-label={label} tabIndex={0}>
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => (
          <div
            key={item.key}
            ref={virtual.measureElement}
            data-index={item.index}
            role="listitem"
            aria-setsize={count}
            aria-posinset={item.index + 1}
            className="virtual"
            style={{ transform: `translateY(${item.start}px)` }}
          >
            {children(item.index)}
          </div>
        ))}
      </div>
    </Scroller>
  );
}

const Scroller = styled('div')({
  marginTop: '8px',
  maxHeight: '420px',
  overflow: 'auto',
  border: '1px solid var(--mui-palette-divider)',
  borderRadius: '4px',
  padding: '0 8px',
  '& .virtual': {
    contain: 'layout style',
  },
});
