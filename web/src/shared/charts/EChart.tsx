import { Box } from "@chakra-ui/react";
import { CustomChart, LineChart } from "echarts/charts";
import { AriaComponent, GridComponent, TooltipComponent } from "echarts/components";
import * as echarts from "echarts/core";
import type { EChartsCoreOption, EChartsType } from "echarts/core";
import { SVGRenderer } from "echarts/renderers";
import { useEffect, useRef } from "react";

echarts.use([CustomChart, LineChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer]);

/** A chart that fills its box. */
export function EChart({ option, label }: { option: EChartsCoreOption; label: string }) {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(undefined);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const made = echarts.init(element, undefined, { renderer: "svg" });
    chart.current = made;
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      made.dispose();
    };
  }, []);
  useEffect(() => chart.current?.setOption(option, { notMerge: true }), [option]);
  return <Box ref={box} role="img" aria-label={label} width="100%" height="100%" />;
}
