import { Box, chakra, Popover, Portal } from "@chakra-ui/react";
import { ChevronDown } from "lucide-react";
import { type KeyboardEvent, useMemo, useRef, useState } from "react";
import type { PlanView } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { found, type Item, itemsOf, nameOf, type Subject } from "./subject";

const Input = chakra("input");
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
  const [at, setAt] = useState(0);
  const list = useRef<HTMLDivElement>(null);
  const items = useMemo(() => itemsOf(plan), [plan]);
  const fitting = useMemo(() => found(items, text), [items, text]);
  const shown = fitting.slice(0, MOST_SHOWN);
  const choose = (item: Item | undefined) => {
    if (!item) return;
    onChange(item.id);
    setOpen(false);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === "Enter") choose(shown[at]);
    if (!step) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(shown.length - 1, at + step));
    setAt(next);
    list.current?.children[next]?.scrollIntoView({ block: "nearest" });
  };
  return (
    <Popover.Root
      open={open}
      onOpenChange={(change) => {
        setOpen(change.open);
        setText("");
        setAt(0);
      }}
      positioning={{ placement: "bottom-start" }}
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
          aria-label="Odds of what"
        >
          <Box whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" fontWeight="600">
            {nameOf(plan, subject) ?? "The project"}
          </Box>
          <ChevronDown size={14} />
        </Button>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content bg="panel" width="23rem">
            <Popover.Body p="2">
              <Input
                autoFocus
                aria-label="Look for a branch, milestone or activity"
                placeholder="Code or name"
                value={text}
                width="100%"
                height="30px"
                px="2"
                bg="ground"
                borderWidth="1px"
                borderColor="strongLine"
                borderRadius="4px"
                onChange={(event) => {
                  setText(event.target.value);
                  setAt(0);
                }}
                onKeyDown={onKeyDown}
              />
              <Box ref={list} role="listbox" aria-label="What is found" mt="1" maxH="320px" overflow="auto">
                {shown.map((item, i) => (
                  <Box
                    key={item.id}
                    role="option"
                    aria-selected={i === at}
                    display="grid"
                    gridTemplateColumns="58px 1fr auto"
                    gap="2"
                    px="2"
                    py="1"
                    cursor="pointer"
                    bg={i === at ? "actionTint" : "transparent"}
                    onMouseEnter={() => setAt(i)}
                    onClick={() => choose(item)}
                    data-item={item.id}
                  >
                    <Box color="softInk">{item.kind === "project" ? "" : item.id}</Box>
                    <Box whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
                      {item.name}
                    </Box>
                    <Box color="softInk">{KINDS[item.kind]}</Box>
                  </Box>
                ))}
              </Box>
              {fitting.length === 0 && <Box px="2">Nothing has “{text}” in its code or name.</Box>}
              {fitting.length > MOST_SHOWN && (
                <Box px="2" color="softInk">
                  and {formatWhole(fitting.length - MOST_SHOWN)} more: type some of the name
                </Box>
              )}
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
