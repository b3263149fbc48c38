import { Box } from "@chakra-ui/react";
import { useRef } from "react";
import type { ScatterView } from "../../shared/api/client";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { Cloud } from "./Cloud";

interface Props {
  view: ScatterView;
  currency: string;
  onX: (value: number) => void;
  onY: (value: number) => void;
  onFuture: (number: number) => void;
}

/** A cloud in whatever room there is. */
export function ScatterBox(props: Props) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = useHeight(box);
  return (
    <Box ref={box} width="100%" height="100%">
      {width > 0 && height > 0 && <Cloud {...props} width={width} height={height} />}
    </Box>
  );
}
