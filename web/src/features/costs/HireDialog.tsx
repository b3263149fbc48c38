import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useId, useState } from "react";
import type { PlanView } from "../../shared/api/client";
import { useCostEdits } from "../../shared/api/costs";
import { refusalOf } from "../../shared/api/edits";
import { notify } from "../../shared/ui/notify";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { goToFreshLine } from "./freshLine";

const Input = chakra("input");

interface Props {
  plan: PlanView;
  /** The row that was selected, from which it is hired unless another is said. */
  row?: string;
  onClose: () => void;
}

/** Something hired from the start of one row to the finish of another: a hammock and its cost line in one step. */
export function HireDialog({ plan, row, onClose }: Props) {
  const edits = useCostEdits(plan.project.id);
  const isRow = [...plan.activities, ...plan.branches].some((one) => one.id === row);
  const begun = isRow ? (row ?? "") : "";
  const [words, setWords] = useState({
    name: "",
    from: begun,
    to: begun,
    fixed: "",
    perDay: "",
    category: "",
  });
  const [refusal, setRefusal] = useState<string>();
  const rows = useId();
  const change = (field: keyof typeof words) => (text: string) => setWords({ ...words, [field]: text });
  const hire = async () => {
    try {
      const result = await edits.hire({
        ...words,
        from: codeOf(plan, words.from),
        to: codeOf(plan, words.to),
      });
      goToFreshLine(plan, result);
      notify(`${words.name} is hired from ${words.from} to ${words.to}. Ctrl Z takes it back.`);
      onClose();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  return (
    <WideDialog title="Hire from here to there" onClose={onClose} width="560px">
      <Box flex="1" minW="0">
        <Box color="softInk" mb="3">
          A hammock from the start of the first row to the finish of the last, whatever lies between, with a
          cost line on it: a part that is due anyway, and the rest for each working day that it really lasts.
        </Box>
        <datalist id={rows}>
          {[...plan.branches, ...plan.activities]
            .filter((one) => !("kind" in one && one.kind === "hammock"))
            .map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
        </datalist>
        <Line label="What is hired" value={words.name} onText={change("name")} placeholder="Tower crane" />
        <Line
          label="From the start of"
          value={words.from}
          onText={change("from")}
          list={rows}
          placeholder="Code of an activity or a branch"
        />
        <Line
          label="To the finish of"
          value={words.to}
          onText={change("to")}
          list={rows}
          placeholder="Code of an activity or a branch"
        />
        <Line
          label="Due anyway"
          value={words.fixed}
          onText={change("fixed")}
          placeholder={`0, in ${plan.project.currency}`}
        />
        <Line label="A working day" value={words.perDay} onText={change("perDay")} placeholder="1,700" />
        <Line
          label="Category"
          value={words.category}
          onText={change("category")}
          placeholder="Plant/Cranes"
        />
        {refusal && <Refusal mt="2">{refusal}</Refusal>}
        <Flex mt="4" gap="3" justify="flex-end">
          <Button size="sm" variant="ghost" onClick={onClose}>
            Leave it
          </Button>
          <Button size="sm" bg="action" color="onAction" onClick={() => void hire()}>
            Hire it
          </Button>
        </Flex>
      </Box>
    </WideDialog>
  );
}

/** The code of a row that is called by its code or its name. */
function codeOf(plan: PlanView, text: string): string {
  const small = text.trim().toLowerCase();
  const rows = [...plan.activities, ...plan.branches];
  return (
    rows.find((one) => one.id.toLowerCase() === small)?.id ??
    rows.find((one) => one.name.toLowerCase() === small)?.id ??
    text.trim()
  );
}

interface LineProps {
  label: string;
  value: string;
  placeholder: string;
  list?: string;
  onText: (text: string) => void;
}

function Line({ label, value, placeholder, list, onText }: LineProps) {
  const id = useId();
  return (
    <Flex align="center" gap="3" mb="2">
      <Box asChild width="130px" flexShrink="0" color="softInk">
        <label htmlFor={id}>{label}</label>
      </Box>
      <Input
        id={id}
        flex="1"
        px="2"
        py="1"
        bg="ground"
        borderWidth="1px"
        borderColor="line"
        list={list}
        value={value}
        placeholder={placeholder}
        onChange={(event) => onText(event.target.value)}
      />
    </Flex>
  );
}
