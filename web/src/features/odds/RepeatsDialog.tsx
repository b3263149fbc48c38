import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { type PlanView, type Repeat } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { civil } from "../../shared/format/dates";
import { formatWhole } from "../../shared/format/numbers";
import { WideDialog } from "../../shared/ui/WideDialog";
import type { Quantity, Reading } from "../../shared/odds/quantity";
import { wanderSentence } from "../../shared/odds/sentences";
import { PROJECT, type QuantityName } from "../../shared/odds/subject";
import { readRepeat, useQuantity } from "./useOdds";

const Svg = chakra("svg");
const TIMES = 10;
const WIDTH = 420;
const HEIGHT = 30;

interface Props {
  plan: PlanView;
  run: string;
  onClose: () => void;
}

/** The same simulation with other seeds: how far percentiles wander, beside the interval worked out from the one run. */
export function RepeatsDialog({ plan, run, onClose }: Props) {
  const [repeats, setRepeats] = useState<Repeat[]>([]);
  const [refusal, setRefusal] = useState<string>();
  const stopped = useRef(false);
  const [ended, setEnded] = useState(false);
  useEffect(() => {
    stopped.current = false;
    const work = async () => {
      for (let number = 1; number <= TIMES && !stopped.current; number++) {
        const repeat = await readRepeat(run, number);
        setRepeats((before) => [...before.filter((one) => one.number !== number), repeat]);
      }
      setEnded(true);
    };
    work().catch((error: unknown) => setRefusal(refusalOf(error)));
    return () => {
      stopped.current = true;
    };
  }, [run]);
  const level = plan.project.confidence;
  const strips: { what: QuantityName; level: number; of: (repeat: Repeat) => number }[] = [
    { what: "finish", level: 50, of: (repeat) => civil(repeat.middleFinish) },
    { what: "finish", level, of: (repeat) => civil(repeat.levelFinish) },
    { what: "cost", level: 50, of: (repeat) => repeat.middleCost },
    { what: "cost", level, of: (repeat) => repeat.levelCost },
  ];
  return (
    <WideDialog title="The same with other seeds" onClose={onClose} width="820px">
      <Box flex="1">
        <Box mb="3" maxW="46rem">
          Each dot is the same plan simulated anew with other random numbers. The band is the 95 % interval
          worked out from the one run alone: it should hold most of the dots. How far the dots lie apart is
          how much of a percentile is chance.
        </Box>
        {strips
          .filter((strip) => strip.what === "finish" || plan.plannedCost !== 0)
          .map((strip) => (
            <Strip
              key={`${strip.what} ${strip.level}`}
              plan={plan}
              run={run}
              what={strip.what}
              level={strip.level}
              values={repeats.map(strip.of)}
            />
          ))}
        {refusal && (
          <Box role="alert" color="risk">
            {refusal}
          </Box>
        )}
        <Flex mt="3" gap="4" align="center">
          <Box role="status" color="softInk">
            {formatWhole(repeats.length)} of {TIMES} repeats{ended ? "" : " so far"}, seeds{" "}
            {repeats.map((repeat) => repeat.seed).join(", ")}
          </Box>
          {!ended && !refusal && (
            <Button
              size="xs"
              variant="outline"
              onClick={() => {
                stopped.current = true;
                setEnded(true);
              }}
            >
              That will do
            </Button>
          )}
        </Flex>
      </Box>
    </WideDialog>
  );
}

interface StripProps {
  plan: PlanView;
  run: string;
  what: QuantityName;
  level: number;
  values: number[];
}

function Strip({ plan, run, what, level, values }: StripProps) {
  const odds = useQuantity(run, { what, of: PROJECT }, { levels: [level], currency: plan.project.currency });
  const own = odds.data?.levels[0];
  if (!odds.data || !own) return null;
  return (
    <Flex
      gap="5"
      align="center"
      py="1.5"
      borderTopWidth="1px"
      borderColor="line"
      data-strip={`${what} ${level}`}
    >
      <Box width="250px">
        <b>
          {what === "finish" ? "Finish" : "Cost"} P{level}
        </b>
        <Box>{wanderSentence(odds.data, own, values)}</Box>
      </Box>
      <Dots quantity={odds.data} own={own} values={values} />
    </Flex>
  );
}

function Dots({ quantity, own, values }: { quantity: Quantity; own: Reading; values: number[] }) {
  const all = [own.low, own.high, own.value, ...values];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const room = 0.08 * (high - low || 1);
  const x = (value: number) => ((value - low + room) / (high - low + 2 * room)) * WIDTH;
  return (
    <Svg width={WIDTH} height={HEIGHT + 16} fontSize="11.5px" aria-hidden="true">
      <rect
        x={x(own.low)}
        width={Math.max(1, x(own.high) - x(own.low))}
        y="2"
        height={HEIGHT - 4}
        fill="var(--chakra-colors-simulated-soft)"
        opacity="0.6"
      />
      <line
        x1={x(own.value)}
        x2={x(own.value)}
        y1="0"
        y2={HEIGHT}
        stroke="var(--chakra-colors-ink)"
        strokeWidth="2"
      />
      {values.map((value, i) => (
        <circle
          key={i}
          cx={x(value)}
          cy={HEIGHT / 2}
          r="4.5"
          fill="var(--chakra-colors-simulated)"
          fillOpacity="0.75"
          stroke="var(--chakra-colors-panel)"
        />
      ))}
      <text x={x(own.low)} y={HEIGHT + 12} textAnchor="start" fill="var(--chakra-colors-soft-ink)">
        {quantity.format(own.low)}
      </text>
      <text x={x(own.high)} y={HEIGHT + 12} textAnchor="end" fill="var(--chakra-colors-soft-ink)">
        {quantity.format(own.high)}
      </text>
    </Svg>
  );
}
