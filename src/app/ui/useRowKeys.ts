import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useKeys } from './keys';

/** j and k, or the arrows, choose the next and the one before; `to` gives the address of a row. */
export function useRowKeys(count: number, chosen: number, to: (index: number) => string): void {
  const navigate = useNavigate();
  useKeys(
    useMemo(() => {
      const go = (by: number) => (): void => {
        if (count === 0) return;
        const next = chosen < 0 ? (by > 0 ? 0 : count - 1) : Math.min(Math.max(chosen + by, 0), count - 1);
        void navigate(to(next), { replace: chosen >= 0, preventScrollReset: true });
      };
      return [
        { key: 'j', does: 'next', run: go(1) },
        { key: 'ArrowDown', does: 'next', run: go(1) },
        { key: 'k', does: 'the one before', run: go(-1) },
        { key: 'ArrowUp', does: 'the one before', run: go(-1) },
        {
          key: '/',
          does: 'filter the list',
          run: () => document.querySelector<HTMLInputElement>('.bar input[type=search]')?.focus(),
        },
      ];
    }, [count, chosen, to, navigate]),
  );
}
