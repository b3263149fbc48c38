import { IconButton, type IconButtonProps } from "@chakra-ui/react";

interface Props extends IconButtonProps {
  label: string;
  /** What it says under the pointer, where that is more than its label. */
  hint?: string;
}

/** A small button with a drawing; its label is read out and shown under the pointer. */
export function ToolButton({ label, hint, ...rest }: Props) {
  return (
    <IconButton
      size="xs"
      variant="ghost"
      color="softInk"
      aria-label={label}
      title={hint ?? label}
      {...rest}
    />
  );
}
