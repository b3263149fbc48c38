import { Box, chakra, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { explain } from "../words/wordStore";
import type { Column } from "./types";

const Button = chakra("button");

export const HEADER_HEIGHT = 40;

interface Props {
  columns: readonly Omit<Column<never>, "text" | "render" | "cell">[];
  leftWidth: number;
  width: number;
  drawing?: ReactNode;
}

/** The titles of the columns and the axis of the drawing, which stay while rows scroll. */
export function GridHeader({ columns, leftWidth, width, drawing }: Props) {
  return (
    <Flex
      role="row"
      aria-rowindex={1}
      position="sticky"
      top="0"
      zIndex="3"
      height={`${HEADER_HEIGHT}px`}
      width={`${width}px`}
      bg="ground"
    >
      <Flex
        role="presentation"
        position="sticky"
        left="0"
        zIndex="1"
        bg="ground"
        width={`${leftWidth}px`}
        flexShrink="0"
        align="flex-end"
        borderBottomWidth="1px"
        borderRightWidth={drawing === undefined ? undefined : "1px"}
        borderColor="strongLine"
      >
        {columns.map((column, i) => (
          <Box
            key={column.id}
            role="columnheader"
            aria-colindex={i + 1}
            title={column.hint}
            width={`${column.width}px`}
            flexShrink="0"
            px="2"
            pb="1"
            color="softInk"
            fontSize="12.5px"
            textAlign={column.align}
            whiteSpace="nowrap"
          >
            {column.word ? (
              <Button
                tabIndex={-1}
                cursor="help"
                _hover={{ color: "ink" }}
                onClick={() => column.word && explain(column.word)}
              >
                {column.title}
              </Button>
            ) : (
              column.title
            )}
          </Box>
        ))}
      </Flex>
      {drawing !== undefined && (
        <Box flex="1" position="relative" borderBottomWidth="1px" borderColor="strongLine" aria-hidden="true">
          {drawing}
        </Box>
      )}
    </Flex>
  );
}
