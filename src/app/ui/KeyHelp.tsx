import { Facts } from '~/app/ui/parts';
import Dialog from '@mui/material/Dialog';
import { useMemo, useState } from 'react';
import { type Shortcut, useAllKeys, useKeys } from './keys';

const names: Readonly<Record<string, string>> = {
  ArrowDown: '↓',
  ArrowUp: '↑',
  Enter: '↵',
  'ctrl+k': 'Ctrl K',
  'ctrl+a': 'Ctrl A',
  ' ': 'Space',
  'shift+ ': 'Shift Space',
};

/** `?` lists the keys that work on the screen that is shown. */
export function KeyHelp() {
  const [shown, setShown] = useState<readonly Shortcut[] | null>(null);
  const all = useAllKeys();
  useKeys(useMemo(() => [{ key: '?', does: 'show these keys', run: () => setShown(all()) }], [])); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <Dialog open={shown !== null} onClose={() => setShown(null)} aria-labelledby="keys-title">
      <div style={{ padding: '14px 20px 18px', minWidth: 320 }}>
        <h1 id="keys-title">Keys</h1>
        <Facts>
          {grouped(shown ?? []).map(({ keys, does }) => (
            <div key={does} style={{ display: 'contents' }}>
              <dt>
                {keys.map((key) => (
                  <span key={key}>
                    <kbd>{names[key] ?? key}</kbd>{' '}
                  </span>
                ))}
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
          <dt>
            <kbd>Tab</kbd>
          </dt>
          <dd>
            from part to part; <kbd>Enter</kbd> opens or presses
          </dd>
        </Facts>
      </div>
    </Dialog>
  );
}

function grouped(shortcuts: readonly Shortcut[]) {
  const byEffect = new Map<string, string[]>();
  for (const { key, does } of shortcuts) byEffect.set(does, [...new Set([...(byEffect.get(does) ?? []), key])]);
  return [...byEffect].map(([does, keys]) => ({ does, keys }));
}
