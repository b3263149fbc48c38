import { Box, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { Notice } from "../../shared/ui/Notice";
import { ConfidenceTable } from "./ConfidenceTable";
import { OddsChart } from "./OddsChart";
import type { QuantityName } from "./quantity";
import { planSentence, readingSentence, targetSentence } from "./sentences";
import { ShapeFacts } from "./ShapeFacts";
import { TakeOutMenu } from "./TakeOutMenu";
import { type Line, useQuantity, useReading } from "./useOdds";

const USUAL_LEVELS = [10, 25, 50, 70, 80, 90, 95];

/** The answer first, as a sentence; then the curve it is read from, and the table. */
export function QuantityOdds({ run, name, currency }: { run: string; name: QuantityName; currency: string }) {
  const [levels, setLevels] = useState(USUAL_LEVELS);
  const [line, setLine] = useState<Line>({ by: "chance", chance: 80 });
  const chart = useRef<HTMLDivElement>(null);
  const odds = useQuantity(run, name, levels, currency);
  const reading = useReading(run, name, line);
  if (odds.isError) return <Notice alert>{odds.error.message}</Notice>;
  const quantity = odds.data;
  if (!quantity) return <Notice>Reading the run…</Notice>;
  return (
    <Flex height="100%">
      <Flex direction="column" flex="1" minW="0" pl="5" pr="2" pt="4" pb="2">
        <Flex align="flex-start" gap="2">
          <Box
            as="h1"
            flex="1"
            fontSize="21px"
            fontWeight="600"
            lineHeight="1.3"
            aria-live="polite"
            data-testid="reading"
          >
            {reading.data ? readingSentence(quantity, reading.data) : " "}
          </Box>
          <TakeOutMenu
            run={run}
            name={name}
            chart={chart}
            title={reading.data ? readingSentence(quantity, reading.data) : quantity.title}
          />
        </Flex>
        <Box color="softInk" mt="1">
          {planSentence(quantity)} {targetSentence(quantity)}
        </Box>
        <Box ref={chart} flex="1" minHeight="0">
          <OddsChart quantity={quantity} reading={reading.data} line={line} onLine={setLine} />
        </Box>
      </Flex>
      <Flex
        as="aside"
        direction="column"
        gap="6"
        width="326px"
        px="5"
        py="4"
        bg="panel"
        borderLeftWidth="1px"
        borderColor="line"
        overflow="auto"
      >
        <ConfidenceTable
          quantity={quantity}
          levels={levels}
          line={line}
          onLine={setLine}
          onLevels={setLevels}
        />
        <ShapeFacts quantity={quantity} />
      </Flex>
    </Flex>
  );
}
