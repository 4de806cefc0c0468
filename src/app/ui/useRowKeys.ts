import { useCallback, useEffect, useMemo, useRef } from 'react';
import { NavigationType, useLocation, useNavigate, useNavigationType } from 'react-router';
import { useKeys } from './keys';

/**
 * j and k, or the arrows, choose the next and the one before; `to` gives the address of a row. What it returns tells which
 * is chosen at the moment, though its page may still be on its way; -1 for none.
 */
export function useRowKeys(count: number, chosen: number, to: (index: number) => string): () => number {
  const navigate = useNavigate();
  // Whoever holds a key down is faster than the pages that it leads through: those arrive late and say where one was.
  const at = useRef(chosen);
  const last = useRef(0);
  const { state, key } = useLocation() as { readonly state: { readonly step?: number } | null; readonly key: string };
  const back = useNavigationType() === NavigationType.Pop;
  const step = state?.step;
  useEffect(() => {
    const late = !back && step !== undefined && step < last.current;
    if (!late) at.current = chosen;
  }, [back, step, key, chosen]);
  const go = useCallback(
    (by: number): void => {
      if (count === 0) return;
      const from = at.current;
      at.current = from < 0 ? (by > 0 ? 0 : count - 1) : Math.min(Math.max(from + by, 0), count - 1);
      last.current = Math.max(last.current + 1, Date.now());
      void navigate(to(at.current), { replace: from >= 0, preventScrollReset: true, state: { step: last.current } });
    },
    [count, to, navigate],
  );
  useKeys(
    useMemo(
      () => [
        { key: 'j', does: 'next', run: () => go(1) },
        { key: 'ArrowDown', does: 'next', run: () => go(1) },
        { key: 'k', does: 'the one before', run: () => go(-1) },
        { key: 'ArrowUp', does: 'the one before', run: () => go(-1) },
        {
          key: '/',
          does: 'filter the list',
          run: () => document.querySelector<HTMLInputElement>('.list input[type=search]')?.focus(),
        },
      ],
      [go],
    ),
  );
  return useCallback(() => at.current, []);
}
