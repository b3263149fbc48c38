import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useId, useState } from "react";
import type { PlanView, RiskView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import type { RiskEdits } from "../../shared/api/risks";
import { Refusal } from "../../shared/ui/Refusal";
import { assigned, sized } from "./assign";

const Input = chakra("input");
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "2", py: "0.5" } as const;
const MOST = 12;

export interface Assignment {
  risks: string[];
  rows: string[];
}

interface Props {
  plan: PlanView;
  risks: readonly RiskView[];
  begun: Assignment;
  edits: RiskEdits;
  onClose: () => void;
}

/** Gives rows of the plan to risks: which, which, and how much. Enter does it, Esc leaves it. */
export function AssignBar({ plan, risks, begun, edits, onClose }: Props) {
  const [riskText, setRiskText] = useState(begun.risks.join(", "));
  const [rowText, setRowText] = useState(begun.rows.join(", "));
  const [size, setSize] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const targets = [...plan.activities, ...plan.branches, ...plan.costs];
  const chosenRisks = found(
    riskText,
    risks.map(({ id, title }) => ({ id, name: title })),
  );
  const chosenRows = found(rowText, targets);
  const about = risks.filter((risk) => chosenRisks.ids.includes(risk.id));
  const { without } = assigned(about, chosenRows.ids);
  const assign = async () => {
    const unknown = [...chosenRisks.unknown, ...chosenRows.unknown];
    if (unknown.length > 0) return setRefusal(`There is nothing called “${unknown[0]}”.`);
    if (about.length === 0 || chosenRows.ids.length === 0)
      return setRefusal("Say which risk, and which rows it strikes.");
    if (size.trim() === "" && without.length > 0)
      return setRefusal(`${without[0]?.id} has no effect yet: say how much, such as 10..25..60d.`);
    const send =
      size.trim() === "" ? assigned(about, chosenRows.ids).edits : sized(about, chosenRows.ids, size);
    try {
      if (send.length > 0) await edits.risks(send);
      onClose();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.key === "Enter") void assign();
    if (event.key === "Escape") onClose();
  };
  return (
    // Enter and Esc of its fields come up to here.
    // oxlint-disable-next-line jsx-a11y/no-static-element-interactions
    <Box
      position="absolute"
      bottom="4"
      left="4"
      right="4"
      zIndex="6"
      p="3"
      bg="panel"
      borderWidth="1px"
      borderColor="action"
      onKeyDown={onKeyDown}
    >
      <Flex gap="3" align="center" wrap="wrap" role="group" aria-label="Give rows to a risk">
        <Suggested
          label="Risk"
          width="120px"
          value={riskText}
          onText={setRiskText}
          from={risks.map(({ id, title }) => ({ id, name: title }))}
          focused={begun.risks.length === 0}
        />
        <Suggested
          label="strikes"
          width="260px"
          value={rowText}
          onText={setRowText}
          from={targets}
          focused={begun.risks.length > 0 && begun.rows.length === 0}
        />
        <Flex as="label" gap="2" align="center">
          <Box color="softInk">by</Box>
          <Input
            {...FIELD}
            width="150px"
            aria-label="How much"
            placeholder={without.length > 0 || about.length === 0 ? "10..25..60d" : "as it does"}
            value={size}
            // What is missing is asked for where one looks.

            autoFocus={begun.risks.length > 0 && begun.rows.length > 0}
            onChange={(event) => setSize(event.target.value)}
          />
        </Flex>
        <Button size="xs" bg="action" color="onAction" onClick={() => void assign()}>
          Assign
        </Button>
        <Button size="xs" variant="ghost" onClick={onClose}>
          Leave it
        </Button>
        <Box color="softInk" flex="1" minW="120px" truncate>
          {chosenRows.names.join(", ")}
        </Box>
      </Flex>
      {refusal && <Refusal mt="2">{refusal}</Refusal>}
    </Box>
  );
}

interface Named {
  id: string;
  name: string;
}

/** What a list of codes or names means. */
function found(text: string, from: readonly Named[]) {
  const ids: string[] = [];
  const names: string[] = [];
  const unknown: string[] = [];
  for (const word of text.split(",").map((part) => part.trim().toLowerCase())) {
    if (word === "") continue;
    const one = from.find(({ id, name }) => id.toLowerCase() === word || name.toLowerCase() === word);
    if (!one) unknown.push(word);
    else if (!ids.includes(one.id)) {
      ids.push(one.id);
      names.push(one.name);
    }
  }
  return { ids, names, unknown };
}

interface SuggestedProps {
  label: string;
  width: string;
  value: string;
  onText: (text: string) => void;
  from: readonly Named[];
  focused: boolean;
}

/** A list of codes, of which the last is completed by code or name. */
function Suggested({ label, width, value, onText, from, focused }: SuggestedProps) {
  const list = useId();
  const cut = value.lastIndexOf(",") + 1;
  const before = value.slice(0, cut);
  const last = value.slice(cut).trim().toLowerCase();
  const fitting =
    last === ""
      ? []
      : from.filter(({ id, name }) => `${id} ${name}`.toLowerCase().includes(last)).slice(0, MOST);
  return (
    <Flex as="label" gap="2" align="center">
      <Box color="softInk">{label}</Box>
      <Input
        {...FIELD}
        width={width}
        aria-label={label}
        list={list}
        value={value}

        autoFocus={focused}
        onChange={(event) => onText(event.target.value)}
      />
      <datalist id={list}>
        {fitting.map(({ id, name }) => (
          <option key={id} value={`${before}${before ? " " : ""}${id}`}>
            {name}
          </option>
        ))}
      </datalist>
    </Flex>
  );
}
