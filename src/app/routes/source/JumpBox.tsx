import Dialog from '@mui/material/Dialog';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useFetcher, useNavigate } from 'react-router';
import { useKeys } from '~/app/ui/keys';
import type { Found, Landing } from '../jump/route';

/** Finds any table, column, finding or docket by a few of its letters, and goes there. */
export function JumpBox({ source }: { readonly source: number }) {
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState(0);
  const fetcher = useFetcher<Found>();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const landings = fetcher.data?.landings ?? [];
  const [typed, setTyped] = useState('');
  // Enter was pressed before what was typed had been looked for: nobody goes where an earlier letter led.
  const waiting = useRef(false);
  const isCurrent = fetcher.data?.text === typed.slice(0, 200).trim();
  const search = (text: string): void => {
    setAt(0);
    setTyped(text);
    waiting.current = false;
    void fetcher.load(`/s/${source}/jump?q=${encodeURIComponent(text)}`);
  };
  const go = (landing: Landing | undefined): void => {
    if (!landing) return;
    setOpen(false);
    void navigate(landing.to);
  };
  useEffect(() => {
    if (!waiting.current || !isCurrent || fetcher.state !== 'idle') return;
    waiting.current = false;
    go(landings[0]);
  });
  const { load } = fetcher;
  const keys = useMemo(() => {
    const run = (): void => {
      setOpen(true);
      setAt(0);
      setTyped('');
      void load(`/s/${source}/jump`);
    };
    return [
      { key: 'g', does: 'go to any table, column, finding or docket', run },
      { key: 'ctrl+k', does: 'go to any table, column, finding or docket', run, always: true },
    ];
  }, [load, source]);
  useKeys(keys);

  return (
    <Dialog
      open={open}
      onClose={() => setOpen(false)}
      fullWidth
      maxWidth="sm"
      aria-label="Go to"
      slotProps={{ transition: { onEntered: () => input.current?.focus() } }}
    >
      <div style={{ padding: 14 }}>
        <input
          ref={input}
          className="jump"
          placeholder="Table, column, finding or docket"
          aria-label="Go to"
          role="combobox"
          aria-expanded
          aria-controls="landings"
          aria-activedescendant={landings[at] ? `landing-${at}` : undefined}
          style={{
            width: '100%',
            font: 'inherit',
            padding: '8px 10px',
            border: '1px solid var(--mui-palette-divider)',
            background: 'var(--mui-palette-background-default)',
            color: 'var(--mui-palette-text-primary)',
            borderRadius: 3,
          }}
          onChange={(event) => search(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'ArrowDown') setAt(Math.min(at + 1, landings.length - 1));
            else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
            else if (event.key === 'Enter' && isCurrent) go(landings[at]);
            else if (event.key === 'Enter') waiting.current = true;
            else return;
            event.preventDefault();
          }}
        />
        <div id="landings" role="listbox" aria-label="Found" style={{ marginTop: 8, maxHeight: 380, overflow: 'auto' }}>
          {landings.map((landing, i) => (
            <div
              key={landing.to + landing.label}
              id={`landing-${i}`}
              role="option"
              aria-selected={i === at}
              className={`row${i === at ? ' chosen' : ''}`}
              style={{ gridTemplateColumns: '70px 1fr', cursor: 'pointer' }}
              onClick={() => go(landing)}
            >
              <span className="mute small">{landing.kind}</span>
              <span className={landing.kind === 'finding' || landing.kind === 'station' ? undefined : 'mono'}>
                {landing.label}
              </span>
            </div>
          ))}
          {fetcher.state === 'idle' && landings.length === 0 && (
            <p className="mute" style={{ padding: '6px 16px' }}>
              Nothing of that name.
            </p>
          )}
        </div>
      </div>
    </Dialog>
  );
}
