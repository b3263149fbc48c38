import { Box, chakra } from "@chakra-ui/react";
import { type ComponentProps, useId } from "react";
import { Input } from "./Input";

const Label = chakra("label");

/** A line of a form: its label over it, a hint or what is wrong with it beneath. */
export function Entry({
  label,
  hint,
  wrong,
  ...input
}: { label: string; hint?: string; wrong?: string } & ComponentProps<typeof Input>) {
  const id = useId();
  return (
    <Box mt="4">
      <Label htmlFor={id} display="block" mb="1" fontWeight="600">
        {label}
      </Label>
      <Input
        id={id}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={hint || wrong ? `${id}-told` : undefined}
        borderColor={wrong ? "risk" : "strongLine"}
        {...input}
      />
      {(wrong ?? hint) && (
        <Box
          id={`${id}-told`}
          mt="1"
          fontSize="13px"
          color={wrong ? "ink" : "softInk"}
          role={wrong ? "alert" : undefined}
        >
          {wrong ?? hint}
        </Box>
      )}
    </Box>
  );
}
