import { chakra } from "@chakra-ui/react";
import { useGridStore } from "./gridStore";

const Button = chakra("button");

/** What the rows that are lit are about, and the way to put them out. */
export function LitNote({ grid, title }: { grid: string; title: string }) {
  return (
    <Button
      color="action"
      whiteSpace="nowrap"
      overflow="hidden"
      textOverflow="ellipsis"
      cursor="pointer"
      title="Put the rows out again"
      onClick={() => useGridStore.getState().light(grid, undefined)}
    >
      Lit: {title} ×
    </Button>
  );
}
