import { Box, Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { RunView } from "../../shared/api/client";
import { InputChanges } from "./InputChanges";
import { differenceOf, type Quantity, type Reading } from "../../shared/odds/quantity";
import { besideSentence, noiseSentence } from "../../shared/odds/sentences";

interface Props {
  quantity: Quantity;
  other: Quantity;
  /** What is kept with the level by either. */
  own?: Reading;
  theirs?: Reading;
  called: string;
  /** Percent at which they are compared. */
  level: number;
  /** The recorded runs that are compared; none for live odds. */
  shown?: RunView;
  beside?: RunView;
  revision: number;
}

/** How far the odds lie from those they are compared with, whether that may be chance, and what changed in between. */
export function BesideNote({ quantity, other, own, theirs, called, level, shown, beside, revision }: Props) {
  const [open, setOpen] = useState(false);
  // The earlier run is asked what has changed until the later one, or until now.
  const first = beside && shown ? (beside.revision <= shown.revision ? beside : shown) : (beside ?? shown);
  const last = first === shown ? beside : shown;
  return (
    <Box mt="1" data-testid="beside">
      <Flex gap="3" align="baseline" wrap="wrap">
        {own && theirs && (
          <Box>
            <b>{besideSentence(quantity, level, differenceOf(quantity, own.value, theirs.value), called)}</b>{" "}
            <Box as="span" color="softInk">
              {noiseSentence(quantity, own, other, theirs)}
            </Box>
          </Box>
        )}
        {first && (
          <Button
            variant="plain"
            px="0"
            height="auto"
            color="action"
            fontSize="13.5px"
            onClick={() => setOpen(!open)}
          >
            {open ? "Fold what changed" : "What changed in between"}
          </Button>
        )}
      </Flex>
      {open && first && <InputChanges run={first.id} until={last ? { run: last.id } : { revision }} />}
    </Box>
  );
}
