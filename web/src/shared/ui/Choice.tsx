import { chakra, Flex } from "@chakra-ui/react";

const Option = chakra("button");

interface Props<T extends string> {
  label: string;
  choices: readonly { value: T; label: string }[];
  value: T;
  onChange: (value: T) => void;
}

/** A few words of which one holds. */
export function Choice<T extends string>({ label, choices, value, onChange }: Props<T>) {
  return (
    <Flex role="group" aria-label={label} gap="1">
      {choices.map((choice) => (
        <Option
          key={choice.value}
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
