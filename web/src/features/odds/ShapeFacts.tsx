import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { formatOne, formatWhole } from "../../shared/format/numbers";
import { Word } from "../../shared/words/Word";
import type { Quantity, Reading } from "../../shared/odds/quantity";
import { letter } from "../../shared/odds/sentences";

const ENDS = {
  finish: ["Earliest", "Latest"],
  start: ["Earliest", "Latest"],
  cost: ["Lowest", "Highest"],
  duration: ["Shortest", "Longest"],
} as const;

interface Props {
  quantity: Quantity;
  /** What is kept with the level that matters, and in the middle case. */
  safe?: Reading;
  middle?: Reading;
  /** Asks for the same with other seeds. */
  onRepeat: () => void;
}

/** Mean, spread and ends of the futures, and what they come to in words fit for a letter. */
export function ShapeFacts({ quantity, safe, middle, onRepeat }: Props) {
  const [copied, setCopied] = useState(false);
  const words = letter(quantity, safe, middle);
  const facts = [
    ["Mean", "mean", quantity.format(quantity.mean)],
    ["Most likely around", "likely", quantity.format(quantity.mode)],
    ["Standard deviation", "sd", quantity.sd],
    ["Skewness, kurtosis", "skewness", `${formatOne(quantity.skewness)}, ${formatOne(quantity.kurtosis)}`],
    [`${ENDS[quantity.name][0]} seen`, undefined, quantity.format(quantity.min)],
    [`${ENDS[quantity.name][1]} seen`, undefined, quantity.format(quantity.max)],
  ] as const;
  return (
    <>
      <Box as="section" aria-label="Shape">
        <Box as="h2" fontWeight="650" mb="1">
          Shape
        </Box>
        {facts.map(([name, word, value]) => (
          <Flex key={name} justify="space-between" py="4px" borderBottomWidth="1px" borderColor="line">
            <Box>{word ? <Word id={word}>{name}</Word> : name}</Box>
            <Box>{value}</Box>
          </Flex>
        ))}
      </Box>
      <Box as="section" aria-label="In words">
        <Box as="h2" fontWeight="650" mb="1">
          In words
        </Box>
        <Box>{words}</Box>
        <Button
          variant="plain"
          px="0"
          height="auto"
          mt="1"
          color="action"
          fontSize="13.5px"
          onClick={() => void navigator.clipboard.writeText(words).then(() => setCopied(true))}
        >
          {copied ? "Copied" : "Copy text"}
        </Button>
        <Box color="softInk" fontSize="12.5px" mt="2">
          By {formatWhole(quantity.iterations)} <Word id="future">futures</Word>, <Word id="seed">seed</Word>{" "}
          {quantity.seed}
          {quantity.sampling === "latin" ? ", Latin hypercube." : ", plain sampling."}{" "}
          <Button
            variant="plain"
            px="0"
            height="auto"
            color="action"
            fontSize="12.5px"
            title="How far P50 and the level that matters wander by chance alone"
            onClick={onRepeat}
          >
            Repeat with other seeds
          </Button>
        </Box>
      </Box>
    </>
  );
}
