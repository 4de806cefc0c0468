import { useMemo } from 'react';
import { Chart } from '~/app/ui/chart/Chart';
import { colors, textStyle } from '~/app/ui/chart/colors';
import { dayOf, inFull } from '~/app/ui/format';
import { counted } from '~/core/naming/words';
import type { Point } from './series';

/** Open and held over the surveys of a source; what slipped is marked, and below it the dockets that ran. */
export function OverTime({ points }: { readonly points: readonly Point[] }) {
  const option = useMemo(() => optionOf(points), [points]);
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  return (
    <Chart
      option={option}
      height={210}
      label={`${counted(points.length, 'survey')} from ${dayOf(first.at)} to ${dayOf(last.at)}: open ${inFull(first.open)}, now ${inFull(last.open)}; held ${inFull(first.held)}, now ${inFull(last.held)}`}
    />
  );
}

function optionOf(points: readonly Point[]) {
  const line = (name: string, color: string, value: (point: Point) => number) => ({
    ...{ name, type: 'line', step: 'end', symbol: 'circle', symbolSize: 4, showSymbol: points.length < 40 },
    lineStyle: { color, width: 1.8 },
    itemStyle: { color },
    endLabel: { show: true, formatter: `{@[1]} ${name}`, color, fontWeight: 600 },
    labelLayout: { moveOverlap: 'shiftY' },
    data: points.map((point) => [point.at, value(point)]),
  });
  const slips = points.filter(({ newlySlipped }) => newlySlipped > 0);
  return {
    animation: false,
    textStyle,
    grid: { left: 44, right: 84, top: 16, bottom: 26 },
    tooltip: {
      ...{ trigger: 'axis', renderMode: 'richText', backgroundColor: colors.card, borderColor: colors.line },
      textStyle: { ...textStyle, color: colors.ink },
    },
    xAxis: {
      type: 'time',
      axisLine: { lineStyle: { color: colors.line } },
      axisTick: { lineStyle: { color: colors.line } },
      axisLabel: { ...textStyle, hideOverlap: true },
    },
    yAxis: {
      ...{ type: 'value', minInterval: 1, splitNumber: 4 },
      axisLabel: textStyle,
      splitLine: { lineStyle: { color: colors.line } },
    },
    series: [
      {
        ...line('open', colors.rust, (point) => point.open),
        markLine: {
          ...{ symbol: 'none', silent: true, lineStyle: { color: colors.line, type: 'solid' } },
          label: { position: 'start', color: colors.mute, fontSize: 11, formatter: '{b}' },
          data: points
            .filter(({ docket }) => docket !== null)
            .map(({ at, docket }) => ({ xAxis: at, name: `d${docket}`, label: { distance: -14 } })),
        },
      },
      {
        ...line('held', colors.verd, (point) => point.held),
        areaStyle: { color: colors.verdTint, opacity: 0.7 },
        markPoint: {
          ...{ symbol: 'circle', symbolSize: 9, itemStyle: { color: colors.brass } },
          label: { position: 'bottom', color: colors.brass, fontWeight: 600, formatter: '{b}' },
          data: slips.map(({ at, held, newlySlipped }) => ({ coord: [at, held], name: `${newlySlipped} slipped` })),
        },
      },
    ],
  };
}
