import { chakra } from "@chakra-ui/react";

/** A field of one line as it stands by itself; the library's own look would be a part of every first load. */
export const Input = chakra("input", {
  base: {
    width: "100%",
    minW: 0,
    height: "36px",
    px: "3",
    bg: "panel",
    color: "ink",
    borderWidth: "1px",
    borderColor: "strongLine",
    borderRadius: "4px",
    _disabled: { color: "softInk" },
  },
});
