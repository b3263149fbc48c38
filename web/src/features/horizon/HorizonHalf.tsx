import { Box, Flex } from "@chakra-ui/react";
import { useRef } from "react";
import { useWidth } from "../../shared/ui/useSize";
import { chanceSentence, type Heading, pinSentence, told } from "../../shared/heading/heading";
import { HeadingDrawing } from "../../shared/heading/HeadingDrawing";
import { Word } from "../../shared/words/Word";

const TEXT_WIDTH = 208;

interface Props {
  heading: Heading;
  pinned?: Heading;
  /** What that is, as it stands behind “than”. */
  than?: string;
  currency: string;
  old: boolean;
}

/** One half of the horizon: the promise that holds in four futures of five, what the plan is worth, and the drawing. */
export function HorizonHalf({ heading, pinned, than, currency, old }: Props) {
  const room = useRef<HTMLDivElement>(null);
  const width = useWidth(room);
  const since = pinSentence(heading, pinned, currency, than);
  return (
    <Flex flex="1" minW="0" gap="4" data-heading={heading.name} data-old={old || undefined}>
      <Box width={`${TEXT_WIDTH}px`} flexShrink="0" pt="1.5" lineHeight="1.3">
        <Box>
          <Box as="span" color="softInk">
            {heading.name === "finish" ? "Finish" : "Cost"} <Word id="percentile">P{heading.level}</Word>
          </Box>{" "}
          <Box as="b" fontSize="15.5px">
            {told(heading, heading.kept, currency)}
          </Box>
        </Box>
        <Box fontSize="12.5px" color="softInk">
          {chanceSentence(heading, currency)}
        </Box>
        {since && (
          <Box fontSize="12.5px" color="action" fontWeight="600">
            {since}
          </Box>
        )}
      </Box>
      <Box ref={room} flex="1" minW="0" overflow="hidden">
        {width > 0 && (
          <HeadingDrawing heading={heading} pinned={pinned} currency={currency} width={width} old={old} />
        )}
      </Box>
    </Flex>
  );
}
