import { chakra } from "@chakra-ui/react";
import type { RangeView } from "../api/client";

const Svg = chakra("svg");

interface Props {
  range: RangeView;
  /** What the left and the right edge stand for. */
  low: number;
  high: number;
  width: number;
  height: number;
}

/** The density of a range drawn small, on an axis that others share. */
export function SmallDensity({ range, low, high, width, height }: Props) {
  const x = (value: number) => ((Math.min(Math.max(value, low), high) - low) / (high - low)) * width;
  const outline = range.density.map((tall, i) => {
    const at = range.low + ((range.high - range.low) * i) / (range.density.length - 1);
    return `${x(at).toFixed(1)} ${(height - 2 - ((height - 4) * tall) / 100).toFixed(1)}`;
  });
  return (
    <Svg width={width} height={height} display="block" aria-hidden="true">
      {outline.length > 0 && (
        <path
          d={`M${x(range.low)} ${height - 2}L${outline.join("L")}L${x(range.high)} ${height - 2}Z`}
          fill="var(--chakra-colors-action)"
          fillOpacity="0.28"
          stroke="var(--chakra-colors-action)"
        />
      )}
      <line
        x1={x(range.planned)}
        x2={x(range.planned)}
        y2={height}
        stroke="var(--chakra-colors-plan)"
        strokeWidth="1.4"
      />
    </Svg>
  );
}
