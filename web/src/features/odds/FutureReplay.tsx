import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { ChevronLeft, ChevronRight, Pause, Play } from "lucide-react";
import { useEffect, useState } from "react";
import { refusalOf } from "../../shared/api/edits";
import { editedNumber, formatChance, numberExample, parseNumber } from "../../shared/format/numbers";
import { Notice } from "../../shared/ui/Notice";
import { ToolButton } from "../../shared/ui/ToolButton";
import { fading } from "../../shared/ui/fading";
import { FutureRows } from "./FutureRows";
import { futureSentence, moneySentence, pathSentence, struckSentence } from "./futureWords";
import { PROJECT_FINISH } from "../../shared/odds/subject";
import { useFuture, useQuantity, type Which } from "./useOdds";

const Input = chakra("input");
const NO_LEVELS: number[] = [];
const SLOWLY_MS = 1600;
const LOOK = {
  height: "28px",
  px: "2",
  bg: "panel",
  borderWidth: "1px",
  borderColor: "line",
  textAlign: "right",
} as const;

interface Props {
  run: string;
  currency: string;
  which: Which;
  onWhich: (which: Which) => void;
  onOdds: (activity: string) => void;
}

/** One simulated future beside the plan: what struck, what drove, what it cost. Steps to the next, or plays them slowly. */
export function FutureReplay({ run, currency, which, onWhich, onOdds }: Props) {
  const future = useFuture(run, which);
  const finish = useQuantity(run, PROJECT_FINISH, { levels: NO_LEVELS, currency });
  const [playing, setPlaying] = useState(false);
  const [chance, setChance] = useState(editedNumber(which.by === "chance" ? which.chance : 80));
  const [number, setNumber] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const shown = future.data;
  const current = shown?.number ?? 1;
  const step = (by: number) => {
    if (!shown) return;
    const next = ((current - 1 + by + shown.of) % shown.of) + 1;
    onWhich({ by: "number", number: next });
  };
  useEffect(() => {
    if (!playing || !shown || future.isPlaceholderData) return;
    const next = (current % shown.of) + 1;
    const timer = setTimeout(() => onWhich({ by: "number", number: next }), SLOWLY_MS);
    return () => clearTimeout(timer);
  }, [playing, shown, current, future.isPlaceholderData, onWhich]);

  const goTo = (text: string, how: (value: number) => Which) => {
    const value = parseNumber(text.replace(/^P/i, ""));
    setRefusal(
      value === undefined ? `A number is needed, such as ${numberExample(80)}, not “${text}”.` : undefined,
    );
    setNumber(undefined);
    if (value !== undefined) onWhich(how(value));
  };
  const said = refusal ?? (future.isError ? refusalOf(future.error) : undefined);
  return (
    <Flex
      direction="column"
      height="100%"
      px="5"
      pt="4"
      {...fading(shown !== undefined && shown.run !== run)}
    >
      <Box as="h1" fontSize="19px" fontWeight="600" lineHeight="1.3" aria-live="polite" data-testid="future">
        {shown ? futureSentence(shown, currency) : said ? "" : "Working this future out again…"}
      </Box>
      {shown && (
        <Box color="softInk" mt="1">
          It stands at {formatChance(shown.finishChance)} of all finishes
          {shown.planCost !== 0 && ` and ${formatChance(shown.costChance)} of all costs`}.{" "}
          {struckSentence(shown)} {pathSentence(shown)} {moneySentence(shown, currency)}
        </Box>
      )}
      <Flex gap="2" align="center" my="3" wrap="wrap">
        <Box>Show me a P</Box>
        <Input
          {...LOOK}
          width="52px"
          aria-label="Percent of the world to show"
          value={chance}
          onChange={(event) => setChance(event.target.value)}
          onKeyDown={(event) =>
            event.key === "Enter" && goTo(chance, (value) => ({ by: "chance", chance: value }))
          }
        />
        <Button
          size="xs"
          variant="outline"
          onClick={() => goTo(chance, (value) => ({ by: "chance", chance: value }))}
        >
          world
        </Button>
        <Box ml="5">or future</Box>
        <Input
          {...LOOK}
          width="84px"
          aria-label="Number of the future"
          value={number ?? String(current)}
          onChange={(event) => setNumber(event.target.value)}
          onBlur={() => setNumber(undefined)}
          onKeyDown={(event) =>
            event.key === "Enter" &&
            goTo(number ?? String(current), (value) => ({ by: "number", number: value }))
          }
        />
        <ToolButton label="The future before" onClick={() => step(-1)}>
          <ChevronLeft size={17} />
        </ToolButton>
        <ToolButton label="The next future" onClick={() => step(1)}>
          <ChevronRight size={17} />
        </ToolButton>
        <Button size="xs" variant="outline" onClick={() => setPlaying(!playing)}>
          {playing ? <Pause size={14} /> : <Play size={14} />}
          {playing ? "Hold" : "Play them slowly"}
        </Button>
        {said && (
          <Box role="alert" color="risk">
            {said}
          </Box>
        )}
      </Flex>
      {shown ? (
        <FutureRows future={shown} until={finish.data?.max} onOdds={onOdds} />
      ) : (
        !said && <Notice>Reading the run…</Notice>
      )}
    </Flex>
  );
}
