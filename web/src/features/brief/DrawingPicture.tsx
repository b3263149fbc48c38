import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { BriefDrawing } from "../../shared/api/client";

const Svg = chakra("svg");

/** A drawing of a brief: the same marks as in print. */
export function DrawingPicture({ drawing, children }: { drawing: BriefDrawing; children?: ReactNode }) {
  return (
    <Svg
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      width="100%"
      display="block"
      role="img"
      aria-label={drawing.alt}
      my="2"
      // As wide as in print, where figures are not set in columns.
      fontVariantNumeric="normal"
    >
      {drawing.marks.map((mark, i) =>
        mark.text !== undefined ? (
          <text
            key={i}
            x={mark.x}
            y={mark.y}
            // As a style: what the page says of all texts of drawings would go before an attribute.
            style={{ fontSize: mark.size, fontWeight: mark.strong ? 600 : 400 }}
            textAnchor={mark.anchor as "start" | "middle" | "end"}
            fill={mark.colour}
          >
            {mark.text}
          </text>
        ) : (
          <path
            key={i}
            d={mark.d}
            fill={mark.width === undefined ? mark.colour : "none"}
            fillOpacity={mark.opacity}
            stroke={mark.width === undefined ? "none" : mark.colour}
            strokeWidth={mark.width}
            strokeDasharray={mark.dashed ? "5 4" : undefined}
          />
        ),
      )}
      {children}
    </Svg>
  );
}
