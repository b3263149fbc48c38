import { chakra } from "@chakra-ui/react";
import type { Stroke } from "./scenarioLook";

const Label = chakra("label");
const Input = chakra("input");

interface Props {
  stroke: Stroke;
  label: string;
  on: boolean;
  disabled?: boolean;
  onChange: () => void;
}

/** The line by which a scenario is drawn, to be ticked. */
export function Swatch({ stroke, label, on, disabled, onChange }: Props) {
  return (
    <Label
      display="inline-flex"
      cursor="pointer"
      title={label}
      css={{ "&:has(:focus-visible)": { outline: "2px solid", outlineColor: "action" } }}
    >
      <Input
        type="checkbox"
        aria-label={label}
        checked={on}
        disabled={disabled}
        position="absolute"
        opacity="0"
        width="0"
        height="0"
        onChange={onChange}
        onClick={(event) => event.stopPropagation()}
      />
      <svg width="20" height="16" aria-hidden="true">
        <rect
          x="1"
          y="1"
          width="18"
          height="14"
          rx="3"
          fill={on ? "var(--chakra-colors-panel)" : "transparent"}
          stroke="var(--chakra-colors-strong-line)"
          strokeOpacity={on ? 1 : 0.7}
        />
        {on && (
          <path d="M3 8h14" stroke={stroke.colour} strokeWidth="3.4" strokeDasharray={stroke.dash && "5 2"} />
        )}
      </svg>
    </Label>
  );
}
