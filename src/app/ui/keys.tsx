// The keyboard: one listener, to which the screen that is shown adds its keys. They rest while
// somebody types.

import { createContext, type ReactNode, useContext, useEffect, useLayoutEffect, useMemo, useRef } from 'react';

export interface Shortcut {
  readonly key: string;
  readonly does: string;
  readonly run: () => void;
  /** True for keys that work in fields too, like Escape. */
  readonly always?: boolean;
  /** True for keys that mean this whatever other part of the screen has them too. */
  readonly first?: boolean;
}

interface Registry {
  add(shortcuts: readonly Shortcut[]): () => void;
  all(): readonly Shortcut[];
}

const RegistryContext = createContext<Registry | null>(null);

export function KeysProvider({ children }: { readonly children: ReactNode }) {
  const groups = useRef(new Set<readonly Shortcut[]>());
  const registry = useMemo<Registry>(
    () => ({
      add: (shortcuts) => {
        groups.current.add(shortcuts);
        return () => groups.current.delete(shortcuts);
      },
      all: () => [...groups.current].flat(),
    }),
    [],
  );
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.altKey || event.defaultPrevented || presses(event)) return;
      const wanted = `${event.ctrlKey || event.metaKey ? 'ctrl+' : ''}${event.shiftKey && event.key === ' ' ? 'shift+' : ''}${event.key}`;
      const typing = isTyping(event.target) || document.querySelector('[role=dialog], [role=menu]') !== null;
      // The newest screen's keys come first.
      const meant = registry.all().filter((s) => s.key === wanted && (!typing || s.always));
      const shortcut = meant.findLast((s) => s.first) ?? meant.at(-1);
      if (!shortcut) return;
      event.preventDefault();
      shortcut.run();
    };
    window.addEventListener('keydown', onKey);
    // Before this the server's page is shown, whose links and forms work but whose keys do not.
    document.documentElement.dataset['keys'] = 'ready';
    return () => window.removeEventListener('keydown', onKey);
  }, [registry]);
  return <RegistryContext.Provider value={registry}>{children}</RegistryContext.Provider>;
}

/** Adds keys while the calling screen is shown. */
export function useKeys(shortcuts: readonly Shortcut[]): void {
  const registry = useContext(RegistryContext);
  // As soon as the screen can be seen its keys work: somebody quick is not left typing into nothing.
  useLayoutEffect(() => registry?.add(shortcuts), [registry, shortcuts]);
}

export function useAllKeys(): () => readonly Shortcut[] {
  const registry = useContext(RegistryContext);
  return () => registry?.all() ?? [];
}

/** Space and Enter press what has the focus, where that can be pressed. */
function presses({ key, target }: KeyboardEvent): boolean {
  if (!(target instanceof Element) || (key !== ' ' && key !== 'Enter')) return false;
  return target.closest(`button, input, select, textarea, [role=button]${key === 'Enter' ? ', a[href]' : ''}`) !== null;
}

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement) return !['radio', 'checkbox', 'button', 'submit'].includes(target.type);
  return target.isContentEditable || ['TEXTAREA', 'SELECT'].includes(target.tagName);
}
