import Box from '@mui/material/Box';
import type { EChartsCoreOption } from 'echarts/core';
import { useEffect, useRef } from 'react';

interface ChartProps {
  readonly option: EChartsCoreOption;
  readonly height: number;
  /** What it shows, in words: for those who do not see it. The numbers stand beside it as a table. */
  readonly label: string;
}

/** A chart that takes its colours from the theme, by day and night, and its width from where it stands. */
export function Chart({ option, height, label }: ChartProps) {
  const at = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = at.current;
    if (!element) return;
    let stop: (() => void) | null = null;
    let gone = false;
    void import('./parts').then(({ init }) => {
      if (gone) return;
      const chart = init(element, null, { renderer: 'svg' });
      chart.setOption(option);
      const resized = new ResizeObserver(() => chart.resize());
      resized.observe(element);
      stop = () => {
        resized.disconnect();
        chart.dispose();
      };
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, [option]);
  return <Box ref={at} role="img" aria-label={label} sx={{ height, width: '100%' }} />;
}
