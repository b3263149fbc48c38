import { Box } from "@chakra-ui/react";
import { useRef } from "react";
import { useHeight, useWidth } from "../ui/useSize";
import { type StepDrawn, Steps } from "./Steps";

interface SizedProps {
  steps: StepDrawn[];
  target?: { at: number; label: string };
  chosen?: string;
  tick: (value: number) => string;
  onOpen: (step: string) => void;
}

/** A staircase in whatever room there is. */
export function SizedSteps(props: SizedProps) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  return (
    <Box ref={box} width="100%" height="100%">
      {width > 0 && height > 0 && <Steps {...props} width={width} height={height} />}
    </Box>
  );
}
