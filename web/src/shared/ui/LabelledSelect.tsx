import { chakra, Flex } from "@chakra-ui/react";
import { useId } from "react";

const Select = chakra("select");
const Label = chakra("label");

interface Props<V extends string> {
  /** What it is called when it is read out. */
  label: string;
  /** What stands before it; nothing where what stands around says it. */
  before?: string;
  hint?: string;
  value: V;
  width?: string;
  disabled?: boolean;
  choices: readonly { value: V; label: string }[];
  onPick: (value: V) => void;
}

/** A list that opens, small enough for a bar of tools. */
export function LabelledSelect<V extends string>(props: Props<V>) {
  const { label, before, hint, value, width, disabled, choices, onPick } = props;
  const id = useId();
  return (
    <Flex gap="1.5" align="center" title={hint}>
      {before && <Label htmlFor={id}>{before}</Label>}
      <Select
        id={id}
        aria-label={label}
        value={value}
        disabled={disabled}
        width={width}
        height="28px"
        px="1.5"
        bg="panel"
        color="ink"
        borderWidth="1px"
        borderColor="line"
        borderRadius="4px"
        _disabled={{ color: "softInk" }}
        onChange={(event) => {
          const chosen = choices.find((choice) => choice.value === event.target.value);
          if (chosen) onPick(chosen.value);
        }}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </Select>
    </Flex>
  );
}
