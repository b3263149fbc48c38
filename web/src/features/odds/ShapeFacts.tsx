import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { Quantity } from "./quantity";
import { letter } from "./sentences";

/** Mean, spread and ends of the futures, and what they come to in words fit for a letter. */
export function ShapeFacts({ quantity }: { quantity: Quantity }) {
  const [copied, setCopied] = useState(false);
  const words = letter(quantity);
  const facts = [
    ["Mean", quantity.format(quantity.mean)],
    ["Most likely around", quantity.format(quantity.mode)],
    ["Standard deviation", quantity.sd],
    [quantity.name === "finish" ? "Earliest seen" : "Lowest seen", quantity.format(quantity.min)],
    [quantity.name === "finish" ? "Latest seen" : "Highest seen", quantity.format(quantity.max)],
  ] as const;
  return (
    <>
      <Box as="section" aria-label="Shape">
        <Box as="h2" fontWeight="650" mb="1">
          Shape
        </Box>
        {facts.map(([name, value]) => (
          <Flex key={name} justify="space-between" py="4px" borderBottomWidth="1px" borderColor="line">
            <Box>{name}</Box>
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
      </Box>
    </>
  );
}
