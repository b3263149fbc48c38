import { Box, chakra } from "@chakra-ui/react";
import { ChevronDown } from "lucide-react";
import { useCallback, useMemo } from "react";
import type { PlanView } from "../api/client";
import { PickerPopover } from "../ui/PickerPopover";
import { found, type Item, itemsOf, nameOf, type Subject } from "./subject";

const Button = chakra("button");

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
  const items = useMemo(() => itemsOf(plan), [plan]);
  const find = useCallback(
    (text: string) =>
      found(items, text).map(({ id, name, kind }) => ({
        id,
        label: name,
        code: kind === "project" ? "" : id,
        note: KINDS[kind],
      })),
    [items],
  );
  return (
    <PickerPopover
      title="Odds of what"
      label="Look for a branch, milestone or activity"
      placeholder="Code or name"
      find={find}
      onChoose={(item) => onChange(item.id)}
    >
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
    </PickerPopover>
  );
}
