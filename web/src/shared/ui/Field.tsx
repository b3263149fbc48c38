import { Box, chakra, Flex } from "@chakra-ui/react";
import { type ReactNode, useId, useState } from "react";
import { Refusal } from "./Refusal";

const Input = chakra("input");
const Area = chakra("textarea");
const Select = chakra("select");

const LOOK = {
  width: "100%",
  minW: 0,
  px: "2",
  py: "0.5",
  bg: "ground",
  color: "ink",
  borderWidth: "1px",
  borderColor: "line",
  _hover: { borderColor: "strongLine" },
  _disabled: { color: "softInk", borderColor: "transparent" },
} as const;

/** Hands a text in; answers with the reason where it is refused. */
export type HandIn = (text: string) => Promise<string | undefined> | string | undefined;

interface Common {
  label: string;
  value: string;
  hint?: string;
  name?: string;
  onHandIn: HandIn;
}

/** A field with its label, which is read out alone where what stands around says it already; Enter or leaving it hands the text in, Esc takes it back, a refusal keeps what was typed. */
export function TextField({
  label,
  value,
  hint,
  name,
  onHandIn,
  lines = 1,
  disabled,
  unseen = false,
}: Common & { lines?: number; disabled?: boolean; unseen?: boolean }) {
  const [typed, setTyped] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const [shown, setShown] = useState(value);
  if (shown !== value) {
    setShown(value);
    setTyped(undefined);
    setRefusal(undefined);
  }
  const id = useId();
  const handIn = async () => {
    if (typed === undefined || typed === value) return setTyped(undefined);
    const refused = await onHandIn(typed);
    setRefusal(refused);
    if (!refused) setTyped(undefined);
  };
  const common = {
    "aria-label": unseen ? label : undefined,
    ...LOOK,
    id,
    name,
    disabled,
    value: typed ?? value,
    "aria-invalid": refusal ? true : undefined,
    borderColor: refusal ? "risk" : "line",
    onChange: (event: { target: { value: string } }) => setTyped(event.target.value),
    onBlur: () => void handIn(),
    onKeyDown: (event: React.KeyboardEvent) => {
      if (event.key === "Enter" && (lines === 1 || event.ctrlKey)) void handIn();
      if (event.key === "Escape" && typed !== undefined) {
        event.stopPropagation();
        setTyped(undefined);
        setRefusal(undefined);
      }
    },
  } as const;
  return (
    <Labelled label={unseen ? "" : label} id={id} hint={hint} refusal={refusal}>
      {lines > 1 ? <Area {...common} rows={lines} /> : <Input {...common} />}
    </Labelled>
  );
}

/** A field where one of a few words is chosen. */
export function ChoiceField({
  label,
  value,
  hint,
  choices,
  onHandIn,
}: Common & { choices: readonly { value: string; label: string }[] }) {
  const [refusal, setRefusal] = useState<string>();
  const id = useId();
  return (
    <Labelled label={label} id={id} hint={hint} refusal={refusal}>
      <Select
        {...LOOK}
        id={id}
        value={value}
        onChange={(event) => void Promise.resolve(onHandIn(event.target.value)).then(setRefusal)}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </Select>
    </Labelled>
  );
}

function Labelled({
  label,
  id,
  hint,
  refusal,
  children,
}: {
  label: string;
  id: string;
  hint?: string;
  refusal?: string;
  children: ReactNode;
}) {
  return (
    <Box mb="2">
      <Flex align="center" gap="2">
        {label && (
          <Box asChild width="112px" flexShrink="0" color="softInk" fontSize="12.5px">
            <label htmlFor={id} title={hint}>
              {label}
            </label>
          </Box>
        )}
        <Box flex="1" minW="0">
          {children}
        </Box>
      </Flex>
      {refusal && <Refusal mt="1">{refusal} Esc takes the old value back.</Refusal>}
    </Box>
  );
}
