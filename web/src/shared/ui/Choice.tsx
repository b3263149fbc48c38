import { chakra, Flex } from "@chakra-ui/react";
import { useNarrow } from "./useNarrow";

const Option = chakra("button");
const Select = chakra("select");

interface Props<T extends string> {
  label: string;
  choices: readonly { value: T; label: string }[];
  value: T;
  onChange: (value: T) => void;
}

/** A few words of which one holds, side by side; in a narrow window, a list that opens. */
export function Choice<T extends string>({ label, choices, value, onChange }: Props<T>) {
  if (useNarrow())
    return (
      <Select
        aria-label={label}
        value={value}
        height="26px"
        px="1"
        bg="panel"
        borderWidth="1px"
        borderColor="line"
        onChange={(event) => {
          const chosen = choices.find((choice) => choice.value === event.target.value);
          if (chosen) onChange(chosen.value);
        }}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </Select>
    );
  return (
    <Flex role="group" aria-label={label} gap="1">
      {choices.map((choice) => (
        <Option
          key={choice.value}
          type="button"
          px="2"
          py="0.5"
          whiteSpace="nowrap"
          cursor="pointer"
          aria-pressed={choice.value === value}
          color={choice.value === value ? "ink" : "softInk"}
          fontWeight={choice.value === value ? 650 : 400}
          _hover={{ color: "ink" }}
          onClick={() => onChange(choice.value)}
        >
          {choice.label}
        </Option>
      ))}
    </Flex>
  );
}
