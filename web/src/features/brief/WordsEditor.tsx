import { Box, chakra, Flex } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import type { BriefField, BriefLine } from "../../shared/api/client";
import { useBlockFields } from "../../shared/api/briefs";
import { PAPER } from "./paper";
import { fieldNode, fill, read, same, type Typed } from "./words";

const Button = chakra("button");
const Select = chakra("select");

interface Props {
  project: string;
  brief: string;
  block: string;
  lines: readonly BriefLine[];
  large: boolean;
  byHand: boolean;
  /** Hands the words in; answers with the reason where they are refused. */
  onHandIn: (typed: Typed) => Promise<string | undefined>;
  /** Back to the words that are written from the numbers. */
  onUsual: () => void;
  onClose: () => void;
}

/** Where the words of a block are typed. Numbers stand in them as they are, and are put in from a list. */
export function WordsEditor(props: Props) {
  const { project, brief, block, lines, onHandIn, onClose } = props;
  const editor = useRef<HTMLDivElement>(null);
  const caret = useRef<Range>(undefined);
  const opened = useRef(lines);
  const [refusal, setRefusal] = useState<string>();
  const fields = useBlockFields(project, brief, block, true);
  useEffect(() => {
    const element = editor.current;
    if (!element) return;
    fill(element, opened.current);
    element.focus();
    getSelection()?.selectAllChildren(element);
    getSelection()?.collapseToEnd();
  }, []);
  const handIn = async () => {
    if (!editor.current) return;
    const typed = read(editor.current);
    if (same(typed, opened.current)) return onClose();
    const why = await onHandIn(typed);
    setRefusal(why);
    if (!why) onClose();
  };
  const insert = (field: BriefField) => {
    const element = editor.current;
    if (!element) return;
    const range = caret.current ?? document.createRange();
    if (!caret.current) {
      range.selectNodeContents(element.lastElementChild ?? element);
      range.collapse(false);
    }
    const node = fieldNode(field.key, field.value);
    range.deleteContents();
    range.insertNode(node);
    range.setStartAfter(node);
    range.collapse(true);
    element.focus();
    getSelection()?.removeAllRanges();
    getSelection()?.addRange(range);
  };
  const remember = () => {
    const selection = getSelection();
    if (selection?.rangeCount && editor.current?.contains(selection.anchorNode)) {
      caret.current = selection.getRangeAt(0).cloneRange();
    }
  };
  return (
    <Box>
      <Box
        ref={editor}
        role="textbox"
        tabIndex={0}
        aria-multiline="true"
        aria-label="Words of the block"
        contentEditable
        suppressContentEditableWarning
        dir="auto"
        fontSize={props.large ? "17px" : "14.5px"}
        lineHeight="1.45"
        px="2"
        py="1"
        mx="-2"
        bg={PAPER.sheet}
        outline={`2px solid ${PAPER.action}`}
        css={{
          "& p": { marginBottom: "6px", whiteSpace: "pre-wrap" },
          "& [data-field]": {
            background: PAPER.tint,
            borderRadius: "3px",
            padding: "0 3px",
            fontWeight: 600,
          },
        }}
        onKeyUp={remember}
        onMouseUp={remember}
        onBlur={remember}
        onKeyDown={(event) => {
          if (event.key === "Escape") {
            event.stopPropagation();
            onClose();
          } else if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            void handIn();
          }
        }}
        onPaste={(event) => {
          event.preventDefault();
          document.execCommand("insertText", false, event.clipboardData.getData("text/plain"));
        }}
      />
      {refusal && (
        <Box role="alert" color={PAPER.again} fontSize="13px" mt="2">
          {refusal}
        </Box>
      )}
      <Flex mt="2" gap="4" align="center" fontSize="13px" wrap="wrap" color={PAPER.soft}>
        <Button
          px="3"
          py="1"
          bg={PAPER.action}
          color={PAPER.sheet}
          borderRadius="4px"
          onClick={() => void handIn()}
        >
          Keep these words
        </Button>
        <Button color={PAPER.action} onClick={onClose}>
          Take back
        </Button>
        {props.byHand && (
          <Button color={PAPER.action} onClick={props.onUsual}>
            Write them from the numbers
          </Button>
        )}
        <Select
          aria-label="Put a number in"
          value=""
          height="28px"
          maxW="16rem"
          borderWidth="1px"
          borderColor={PAPER.line}
          bg={PAPER.sheet}
          color={PAPER.ink}
          onChange={(event) => {
            const field = fields.data?.find(({ key }) => key === event.target.value);
            if (field) insert(field);
          }}
        >
          <option value="">{fields.isLoading ? "Numbers are worked out…" : "Put a number in…"}</option>
          {fields.data?.map(({ key, label, value }) => (
            <option key={key} value={key}>
              {label}: {value}
            </option>
          ))}
        </Select>
        <Box>Ctrl+Enter keeps, Esc takes back</Box>
      </Flex>
    </Box>
  );
}
