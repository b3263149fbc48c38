import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";

const Input = chakra("input");

interface Props {
  label: string;
  text: string;
  /** Takes what was typed; returns the reason where it is refused. */
  onType: (text: string) => string | undefined | void;
  left: number;
  top: number;
  width: number;
  align: "left" | "center";
}

/** A number on the chart that can be typed over. Enter takes it, Esc brings the old one back. */
export function Pill({ label, text, onType, left, top, width, align }: Props) {
  const [typed, setTyped] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const stop = () => {
    setTyped(undefined);
    setRefusal(undefined);
  };
  return (
    <Box
      position="absolute"
      left={`${left}px`}
      top={`${top}px`}
      width={`${width}px`}
      zIndex="1"
      pointerEvents="auto"
    >
      <Input
        aria-label={label}
        aria-invalid={refusal ? true : undefined}
        title={`${label}: click to type`}
        value={typed ?? text}
        width="100%"
        height="26px"
        px="2"
        borderRadius="5px"
        bg="action"
        color="onAction"
        fontWeight="600"
        textAlign={align}
        cursor="text"
        onFocus={(event) => {
          setTyped(text);
          const input = event.currentTarget;
          requestAnimationFrame(() => input.select());
        }}
        onBlur={stop}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Escape") {
            stop();
            event.currentTarget.blur();
          }
          if (event.key === "Enter" && typed !== undefined) {
            const reason = onType(typed);
            setRefusal(reason ?? undefined);
            if (!reason) event.currentTarget.blur();
          }
        }}
      />
      {refusal && (
        <Box
          role="alert"
          position="absolute"
          bottom="30px"
          right="0"
          width="max-content"
          maxW="18rem"
          px="2.5"
          py="1"
          bg="riskTint"
          borderWidth="1px"
          borderColor="risk"
        >
          {refusal}
        </Box>
      )}
    </Box>
  );
}
