import { styled } from '@mui/material/styles';
import { type CSSProperties, type KeyboardEvent, type PointerEvent, type ReactNode, useRef } from 'react';
import { useKept } from '~/app/ui/useKept';

const unmoved: number | null = null;
const narrowest = 320;

/** A list on the left and a dossier on the right; where they part can be moved, by hand or with the arrows, and is remembered. */
export function Desk({ children }: { readonly children: readonly [list: ReactNode, dossier: ReactNode] }) {
  // Null for as wide as it usually is.
  const [width, setWidth] = useKept<number | null>('dossier', unmoved);
  const desk = useRef<HTMLDivElement>(null);
  const within = (wanted: number): number => {
    const most = Math.max(narrowest, (desk.current?.clientWidth ?? 1280) - 420);
    return Math.round(Math.min(Math.max(wanted, narrowest), most));
  };
  const drag = (event: PointerEvent<HTMLDivElement>): void => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const right = desk.current?.getBoundingClientRect().right ?? 0;
    setWidth(() => within(right - event.clientX));
  };
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: 24, ArrowRight: -24 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const now = desk.current?.querySelector<HTMLElement>(':scope > .dossier')?.offsetWidth ?? narrowest;
    setWidth((before) => within((before ?? now) + by));
  };
  const [list, dossier] = children;
  return (
    <div ref={desk} className="desk" style={width === null ? undefined : ({ '--dossier': `${width}px` } as CSSProperties)}>
      {list}
      <Splitter
        role="separator"
        aria-orientation="vertical"
        aria-label="Width of the dossier"
        aria-valuenow={width ?? 505}
        aria-valuemin={narrowest}
        tabIndex={0}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
        onKeyDown={keys}
        onDoubleClick={() => setWidth(() => unmoved)}
      />
      {dossier}
    </div>
  );
}

const Splitter = styled('div')({
  flex: '0 0 7px',
  margin: '0 -3px',
  zIndex: '2',
  cursor: 'col-resize',
  touchAction: 'none',
  '&:hover': {
    background: 'var(--mui-palette-primary-light)',
  },
  '&:focus-visible': {
    background: 'var(--mui-palette-primary-light)',
  },
  '@media (max-width: 900px)': {
    display: 'none',
  },
});
