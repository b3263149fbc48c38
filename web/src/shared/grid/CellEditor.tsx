import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { CompletionList } from "./CompletionList";
import type { Cell } from "./types";
import type { Editing } from "./useGridEditing";

/** Where to go on; "all" fills every selected row. */
export type Leave = "stay" | "down" | "right" | "left" | "all";

interface Props {
  column: { title: string; align?: "right" };
  cell: Pick<Cell<unknown, unknown>, "choices" | "complete">;
  editing: Editing;
  /** Whether this text was typed over the old one, so that the caret stands behind it. */
  onCommit: (text: string, leave: Leave) => void;
  onCancel: () => void;
}

const Input = chakra("input");
const Select = chakra("select");
const FIELD = {
  width: "100%",
  height: "100%",
  bg: "panel",
  color: "ink",
  borderWidth: "2px",
  borderColor: "action",
  outline: "none",
  px: "1.5",
  fontVariantNumeric: "tabular-nums",
} as const;

/** The open cell. Enter and Tab hand the text in, Esc takes it back; a refusal is told below and the text stays. */
export function CellEditor({ column, cell, editing, onCommit, onCancel }: Props) {
  const [text, setText] = useState(editing.text);
  const input = useRef<HTMLInputElement>(null);
  // Handing in and taking back remove the field, which blurs it: that must not hand in once more.
  const left = useRef(false);
  const choices = cell.choices;
  const completions = (text !== editing.text && cell.complete?.(text)) || [];
  const [chosen, setChosen] = useState(-1);
  const complete = (index: number) => {
    const word = completions[index];
    if (!word) return;
    setText(text.replace(/[^;,\s]*$/, word.value));
    setChosen(-1);
  };
  useEffect(() => {
    input.current?.focus();
    if (editing.refusal) input.current?.select();
  }, [editing.refusal]);

  const onKeyDown = (event: React.KeyboardEvent) => {
    event.stopPropagation();
    const leave =
      event.key === "Enter"
        ? event.ctrlKey
          ? "all"
          : "down"
        : event.key === "Tab"
          ? event.shiftKey
            ? "left"
            : "right"
          : undefined;
    if (completions.length > 0 && (event.key === "ArrowDown" || event.key === "ArrowUp")) {
      event.preventDefault();
      const step = event.key === "ArrowDown" ? 1 : -1;
      setChosen((chosen + step + completions.length) % completions.length);
    } else if (leave && chosen >= 0) {
      event.preventDefault();
      complete(chosen);
    } else if (leave) {
      event.preventDefault();
      left.current = true;
      onCommit(text, leave);
    } else if (event.key === "Escape") {
      event.preventDefault();
      left.current = true;
      onCancel();
    }
  };

  const onBlur = () => {
    if (left.current) return;
    if (editing.refusal) onCancel();
    else onCommit(text, "stay");
  };

  return (
    <Box
      role="presentation"
      position="absolute"
      inset="0"
      zIndex="2"
      onMouseDown={(event) => event.stopPropagation()}
    >
      {choices ? (
        <Select
          {...FIELD}
          autoFocus
          aria-label={column.title}
          value={text}
          onKeyDown={onKeyDown}
          onBlur={onCancel}
          onChange={(event) => onCommit(event.target.value, "stay")}
        >
          {choices.map((choice) => (
            <option key={choice.value} value={choice.value}>
              {choice.label}
            </option>
          ))}
        </Select>
      ) : (
        <Input
          {...FIELD}
          ref={input}
          aria-label={column.title}
          aria-invalid={editing.refusal ? true : undefined}
          textAlign={column.align}
          borderColor={editing.refusal ? "risk" : "action"}
          value={text}
          onChange={(event) => {
            left.current = false;
            setChosen(-1);
            setText(event.target.value);
          }}
          onKeyDown={onKeyDown}
          onBlur={onBlur}
        />
      )}
      {completions.length > 0 && (
        <CompletionList completions={completions} chosen={chosen} onChoose={complete} />
      )}
      {editing.refusal && (
        <Box
          role="alert"
          position="absolute"
          top="100%"
          left="0"
          mt="1px"
          width="max-content"
          maxW="22rem"
          px="2.5"
          py="1"
          bg="riskTint"
          color="ink"
          borderWidth="1px"
          borderColor="risk"
          textAlign="left"
          whiteSpace="normal"
          zIndex="5"
        >
          {editing.refusal} Esc takes the old value back.
        </Box>
      )}
    </Box>
  );
}
