import { Box, chakra, Popover, Portal } from "@chakra-ui/react";
import { ChevronDown } from "lucide-react";
import { useMemo, useState } from "react";
import type { PlanView } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { Picker } from "../../shared/ui/Picker";
import { found, type Item, itemsOf, nameOf, type Subject } from "./subject";

const Button = chakra("button");
const MOST_SHOWN = 60;

const KINDS: Record<Item["kind"], string> = {
  project: "",
  branch: "branch",
  milestone: "milestone",
  activity: "activity",
};

interface Props {
  plan: PlanView;
  subject: Subject;
  onChange: (of: string) => void;
}

/** Of what odds are read: the project, or a branch, milestone or activity that is looked for by code or name. */
export function SubjectPicker({ plan, subject, onChange }: Props) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const items = useMemo(() => itemsOf(plan), [plan]);
  const fitting = useMemo(() => found(items, text), [items, text]);
  const shown = useMemo(
    () =>
      fitting.slice(0, MOST_SHOWN).map(({ id, name, kind }) => ({
        id,
        label: name,
        code: kind === "project" ? "" : id,
        note: KINDS[kind],
      })),
    [fitting],
  );
  const foot =
    fitting.length === 0
      ? `Nothing has “${text}” in its code or name.`
      : fitting.length > MOST_SHOWN
        ? `and ${formatWhole(fitting.length - MOST_SHOWN)} more: type some of the name`
        : undefined;
  return (
    <Popover.Root
      open={open}
      onOpenChange={(change) => {
        setOpen(change.open);
        setText("");
      }}
      positioning={{ placement: "bottom-start" }}
      lazyMount
      unmountOnExit
    >
      <Popover.Trigger asChild>
        <Button
          display="flex"
          alignItems="center"
          gap="1.5"
          height="28px"
          px="2.5"
          maxW="212px"
          bg="panel"
          borderWidth="1px"
          borderColor="line"
          borderRadius="5px"
          cursor="pointer"
          aria-label={`Odds of what: ${nameOf(plan, subject) ?? "The project"}`}
        >
          <Box whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" fontWeight="600">
            {nameOf(plan, subject) ?? "The project"}
          </Box>
          <ChevronDown size={14} />
        </Button>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content bg="panel" width="24rem" aria-label="Odds of what">
            <Popover.Body p="2">
              <Picker
                label="Look for a branch, milestone or activity"
                placeholder="Code or name"
                items={shown}
                height="320px"
                foot={foot}
                onText={setText}
                onChoose={(item) => {
                  onChange(item.id);
                  setOpen(false);
                }}
              />
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
