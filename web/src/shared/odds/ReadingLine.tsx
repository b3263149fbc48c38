import { Box, chakra } from "@chakra-ui/react";
import { GripLine } from "../charts/GripLine";
import { formatChance, parseNumber } from "../format/numbers";
import type { Axis } from "./chartAxis";
import { Pill } from "./Pill";
import { clearOf, type Place, placeOf } from "./place";
import type { Quantity, Reading } from "./quantity";
import { isDate } from "./subject";
import type { Line } from "./place";

const Svg = chakra("svg");

interface Props {
  quantity: Quantity;
  axis: Axis;
  width: number;
  height: number;
  /** The exact reading; the line is drawn where it was put, without waiting for it. */
  reading: Reading | undefined;
  line: Line;
  onLine: (line: Line) => void;
  /** Of the second of two: where the first stands, so that its numbers stay readable. */
  second?: { first: Place };
}

/** The one marker that converts chance and value: drag it, use the arrow keys, or type either. */
export function ReadingLine({ quantity, axis, width, height, reading, line, onLine, second }: Props) {
  const { chance, value, x, y } = placeOf(line, quantity, axis);
  const valueLeft = (at: number) => Math.max(0, Math.min(width - VALUE_PILL, at - VALUE_PILL / 2));
  const which = second ? "Second " : "";

  const onDrag = (at: number) => {
    const within = Math.max(axis.min, Math.min(axis.max, axis.value(at)));
    onLine({ by: "value", value: quantity.snap(within) });
  };
  const onStep = (by: number, far: boolean) => {
    const percent = Math.round(chance * 100) + by * (far ? 10 : 1);
    onLine({ by: "chance", chance: Math.max(0, Math.min(100, percent)) });
  };
  const typeChance = (text: string) => {
    const percent = parseNumber(text.replace("%", ""));
    if (percent === undefined) return `A chance is a number from 0 to 100, not “${text}”.`;
    if (percent < 0 || percent > 100) return `A chance lies between 0 and 100 %; this is ${text}.`;
    onLine({ by: "chance", chance: percent });
  };
  const typeValue = (text: string) => {
    const typed = quantity.parse(text);
    if (typed === undefined) {
      return `Type ${quantity.example}, not “${text}”.`;
    }
    onLine({ by: "value", value: typed });
  };

  const exact = reading ?? { chance, value };
  const spoken = `${quantity.format(exact.value)}, chance ${formatChance(exact.chance)}`;
  return (
    <Box position="absolute" inset="0" pointerEvents="none">
      <Svg
        width={width}
        height={height}
        position="absolute"
        inset="0"
        pointerEvents="none"
        color="action"
        style={{ touchAction: "none" }}
      >
        <path
          d={`M${x} ${axis.bottom}V${y}H${axis.right}`}
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
          strokeDasharray={second && "5 3"}
        />
        <GripLine
          label={second ? "Second reading line" : "Reading line"}
          spoken={spoken}
          now={Math.round(exact.chance * 100)}
          least={0}
          most={100}
          direction="across"
          from={[x, axis.top]}
          to={[x, axis.bottom]}
          onDrag={onDrag}
          onStep={onStep}
        >
          <circle
            cx={x}
            cy={y}
            r="7"
            fill="var(--chakra-colors-panel)"
            stroke="currentColor"
            strokeWidth="3"
          />
        </GripLine>
      </Svg>
      <Pill
        label={second ? "Second chance in percent" : "Chance in percent"}
        text={formatChance(exact.chance)}
        onType={typeChance}
        left={axis.right + 4}
        top={clearOf(y, second?.first.y, PILL_HEIGHT) - 13}
        width={GRID_PILL}
        align="left"
      />
      <Pill
        label={`${which}${isDate(quantity.name) ? (second ? "date" : "Date") : second ? "amount" : "Amount"}`}
        text={quantity.format(exact.value)}
        onType={typeValue}
        left={clearOf(valueLeft(x), second && valueLeft(second.first.x), VALUE_PILL + 4)}
        top={axis.bottom + 24}
        width={VALUE_PILL}
        align="center"
      />
    </Box>
  );
}

const PILL_HEIGHT = 28;
const GRID_PILL = 84;
const VALUE_PILL = 122;
