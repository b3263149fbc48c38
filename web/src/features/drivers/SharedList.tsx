import { Box, chakra, Flex } from "@chakra-ui/react";
import type { SharedRow } from "../../shared/api/client";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import { sharedWords } from "./pathWords";
import type { Thing } from "./toThing";

const Button = chakra("button");

interface Props {
  rows: readonly SharedRow[];
  currency: string;
  thingsOf: (row: SharedRow) => Thing[];
}

/** What some futures share and the others do not, each as a sentence with its mark; a click leads to the thing itself. */
export function SharedList({ rows, currency, thingsOf }: Props) {
  return (
    <Box as="ul" listStyleType="none">
      {rows.map((row) => {
        const { what, how } = sharedWords(row, currency);
        const thing = thingsOf(row)[0];
        return (
          <Flex as="li" key={row.input.key} gap="2.5" py="1">
            <svg width="12" height="24" aria-hidden="true" style={{ flexShrink: 0 }}>
              <Mark kind={row.input.mark as MarkKind} x={6} y={12} size={4.6} />
            </svg>
            <Box minW="0">
              <Button
                textAlign="left"
                minH="24px"
                cursor="pointer"
                title={thing?.label}
                _hover={{ color: "action" }}
                onClick={() => thing?.go()}
              >
                {what}
              </Button>
              <Box color="softInk">{how}</Box>
            </Box>
          </Flex>
        );
      })}
    </Box>
  );
}
