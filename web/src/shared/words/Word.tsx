import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { explain } from "./wordStore";

const Button = chakra("button");

/** A word in a text that can be had explained: by a click, or Enter on it. */
export function Word({ id, children }: { id: string; children: ReactNode }) {
  return (
    <Button
      font="inherit"
      color="inherit"
      textDecoration="underline dotted"
      textUnderlineOffset="3px"
      cursor="help"
      title="What this means"
      onClick={() => explain(id)}
    >
      {children}
    </Button>
  );
}
