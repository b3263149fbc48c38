import { Box, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Choice } from "../ui/Choice";
import { type Command, useOffer } from "./commands";

/** Views of a stage, of which one is shown. */
export interface Views<V extends string> {
  label: string;
  choices: readonly { value: V; label: string }[];
  value: V;
  onChange: (view: V) => void;
}

interface Props<V extends string> {
  /** What it is called, as in the row of stages. */
  name: string;
  /** What the stage answers first, in a sentence. */
  sentence?: ReactNode;
  views?: Views<V>;
  /** What stands at the right of the bar: search, scales, menus. */
  tools?: ReactNode;
  /** What can be done here, by key or by name. */
  commands?: readonly Command[];
  /** What stands between the bar and the content, over its whole width. */
  band?: ReactNode;
  /** A panel beside the content. */
  beside?: ReactNode;
  /** Dialogs over it. */
  over?: ReactNode;
  children: ReactNode;
}

/** The frame of every stage: a bar with its sentence, views and tools; the content; a panel beside it. */
export function Stage<V extends string>(props: Props<V>) {
  const { name, views } = props;
  useOffer(name, [
    ...(props.commands ?? []),
    ...(views?.choices ?? [])
      .filter((choice) => choice.value !== views?.value)
      .map(({ value, label }) => ({
        id: `view ${value}`,
        label: `${views?.label}: ${label}`,
        run: () => views?.onChange(value),
      })),
  ]);
  return (
    <Flex direction="column" height="100%" minH="0">
      <Flex
        role="toolbar"
        aria-label={`${name}: what it says, and tools`}
        height="40px"
        px="4"
        gap="5"
        align="center"
        borderBottomWidth="1px"
        borderColor="line"
        flexShrink="0"
      >
        {/* The sentence gives way before the tools do. Views stand at an end, so that nothing moves them from under the pointer. */}
        {!props.sentence && views && <Choice {...views} />}
        <Flex flex="1" gap="5" align="center" minW="0" overflow="hidden" textOverflow="ellipsis">
          {props.sentence}
        </Flex>
        {props.tools}
        {props.sentence && views && <Choice {...views} />}
      </Flex>
      {props.band}
      <Flex flex="1" minH="0">
        <Box flex="1" minW="0" position="relative">
          {props.children}
        </Box>
        {props.beside}
      </Flex>
      {props.over}
    </Flex>
  );
}
