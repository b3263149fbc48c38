import { Box, type BoxProps } from "@chakra-ui/react";

/** Why something was refused, beside where it was tried; read out at once. */
export function Refusal(props: BoxProps) {
  return <Box role="alert" px="2" py="1" bg="riskTint" borderWidth="1px" borderColor="risk" {...props} />;
}
