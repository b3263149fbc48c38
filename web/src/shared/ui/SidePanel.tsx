import { Box, CloseButton, Flex } from "@chakra-ui/react";
import type { ReactNode } from "react";

export const PANEL_WIDTH = 372;

interface Props {
  label: string;
  title: ReactNode;
  onClose: () => void;
  /** In pixels, where it needs more room than others. */
  width?: number;
  children: ReactNode;
}

/** A panel at the right of the stage; Esc closes it. */
export function SidePanel({ label, title, onClose, width = PANEL_WIDTH, children }: Props) {
  return (
    // Keys of what stands in it come up to here.
    // oxlint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <Flex
      as="aside"
      aria-label={label}
      direction="column"
      width={`${width}px`}
      flexShrink="0"
      height="100%"
      bg="panel"
      borderLeftWidth="1px"
      borderColor="strongLine"
      onKeyDown={(event) => event.key === "Escape" && onClose()}
    >
      <Flex align="flex-start" px="4" pt="3" pb="2" gap="2">
        <Box flex="1" fontSize="16px" fontWeight="650" lineHeight="1.25">
          {title}
        </Box>
        <CloseButton size="xs" aria-label={`Close ${label.toLowerCase()}`} onClick={onClose} />
      </Flex>
      <Box flex="1" minH="0" overflow="auto" px="4" pb="5">
        {children}
      </Box>
    </Flex>
  );
}
