// What is used of Apache ECharts; loaded when the first chart is shown.

import { LineChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent, MarkPointComponent, TooltipComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

echarts.use([LineChart, GridComponent, MarkLineComponent, MarkPointComponent, TooltipComponent, SVGRenderer]);

export const { init } = echarts;
