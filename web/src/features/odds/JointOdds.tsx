import { Box, Flex } from "@chakra-ui/react";
import { type ComponentProps, useRef, useState } from "react";
import { refusalOf } from "../../shared/api/edits";
import { formatDay, typedDay } from "../../shared/format/dates";
import {
  formatChance,
  editedNumber,
  formatMoney,
  parseMoney,
  parseNumber,
} from "../../shared/format/numbers";
import { TextField } from "../../shared/ui/Field";
import { Notice } from "../../shared/ui/Notice";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { fading } from "../../shared/ui/fading";
import { jointSentence } from "./joint";
import { JointCloud } from "./JointCloud";
import { type Pledge, useJoint } from "./useOdds";

const SHOWN_PAIRS = 6;
/** The last minute of a working day, as dates are promised. */
const BY_EVENING = "T23:59:00";

interface Props {
  run: string;
  currency: string;
  onFuture: (number: number) => void;
}

/** Time and money together: the cloud of futures, a date and a budget to set, and what holds with the wanted chance. */
export function JointOdds({ run, currency, onFuture }: Props) {
  const [pledge, setPledge] = useState<Pledge>({ chance: 70 });
  const joint = useJoint(run, pledge);
  if (joint.isError) return <Notice alert>{refusalOf(joint.error)}</Notice>;
  const shown = joint.data;
  if (!shown) return <Notice>Reading the run…</Notice>;
  const number = (text: string, least: number, most: number, take: (value: number) => void) => {
    const value = most === 100 ? parseNumber(text.replace("%", "")) : parseMoney(text);
    if (value === undefined || value < least || value > most)
      return most === 100
        ? `A chance lies above 0 and at most 100, not “${text}”.`
        : `An amount is needed, not “${text}”.`;
    take(value);
    return undefined;
  };
  const every = Math.max(1, Math.floor(shown.pairs.length / SHOWN_PAIRS));
  return (
    <Flex height="100%" {...fading(shown.run !== run)}>
      <Flex direction="column" flex="1" minW="0" pl="5" pr="3" pt="4" pb="3">
        <Box as="h1" fontSize="19px" fontWeight="600" lineHeight="1.3" aria-live="polite" data-testid="joint">
          {jointSentence(shown, currency)}
        </Box>
        <Box color="softInk" mt="1" mb="2">
          Each point is a future. Drag the two lines, or type them; a click on a point shows that future.
        </Box>
        <Cloud
          joint={shown}
          currency={currency}
          chance={pledge.chance}
          onDate={(date) => setPledge({ ...pledge, date })}
          onAmount={(amount) => setPledge({ ...pledge, amount })}
          onFuture={onFuture}
        />
      </Flex>
      <Box
        as="aside"
        width="326px"
        px="5"
        py="4"
        bg="panel"
        borderLeftWidth="1px"
        borderColor="line"
        overflow="auto"
      >
        <TextField
          label="Date"
          name="date"
          value={formatDay(shown.date)}
          onHandIn={(text) => {
            const typed = typedDay(text);
            if ("refusal" in typed) return typed.refusal;
            setPledge({ ...pledge, date: typed.day === null ? undefined : `${typed.day}${BY_EVENING}` });
            return undefined;
          }}
        />
        <TextField
          label="Budget"
          name="budget"
          value={editedNumber(Math.round(shown.amount))}
          onHandIn={(text) => number(text, -Infinity, Infinity, (amount) => setPledge({ ...pledge, amount }))}
        />
        <TextField
          label="Wanted chance, %"
          name="chance"
          value={editedNumber(pledge.chance)}
          onHandIn={(text) => number(text, 1e-9, 100, (chance) => setPledge({ ...pledge, chance }))}
        />
        <Box mt="5" mb="2" fontWeight="650">
          Kept together with {formatChance(pledge.chance / 100)} chance
        </Box>
        {shown.pairs
          .filter((_, i) => i % every === 0 || i === shown.pairs.length - 1)
          .map((pair) => (
            <Flex key={pair.finish} justify="space-between" py="1" borderBottomWidth="1px" borderColor="line">
              <Box>{formatDay(pair.finish)}</Box>
              <Box>{formatMoney(pair.cost, currency)}</Box>
            </Flex>
          ))}
        <Box color="softInk" fontSize="12.5px" mt="2">
          Any of these pairs holds in {formatChance(pledge.chance / 100)} of all futures: a later date needs a
          smaller budget.
        </Box>
      </Box>
    </Flex>
  );
}

/** The cloud in whatever room there is. */
function Cloud(props: Omit<ComponentProps<typeof JointCloud>, "width" | "height">) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  return (
    <Box ref={box} flex="1" minHeight="0">
      {width > 0 && height > 0 && <JointCloud {...props} width={width} height={height} />}
    </Box>
  );
}
