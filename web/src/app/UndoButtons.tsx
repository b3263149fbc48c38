import { Box, Flex, Popover, Portal } from "@chakra-ui/react";
import { History, Redo2, Undo2 } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { refusalOf, useEdits, useHistory, useUndoing } from "../shared/api/edits";
import { formatMoment } from "../shared/format/dates";
import { notify } from "../shared/ui/notify";
import { ToolButton } from "../shared/ui/ToolButton";

/** Takes edits back and does them again, whatever the stage; and the history of all of them. */
export function UndoButtons({ projectId, revision }: { projectId: string; revision: number }) {
  const edits = useEdits(projectId);
  const undoing = useUndoing(projectId);
  const { undo, redo } = undoing.data ?? {};
  const go = useCallback(
    (back: boolean) =>
      (back ? edits.undo() : edits.redo()).then(
        (result) => {
          const label = back ? result.undoing.redo : result.undoing.undo;
          if (label) notify(back ? `Taken back: ${label}` : `Done again: ${label}`);
        },
        (error: unknown) => notify(refusalOf(error)),
      ),
    [edits],
  );
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(event.target.tagName);
      if (typing || !(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key !== "z" && key !== "y") return;
      event.preventDefault();
      void go(key === "z" && !event.shiftKey);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [go]);
  return (
    <>
      <ToolButton
        label="Undo"
        hint={undo ? `Take back: ${undo} (Ctrl Z)` : "Nothing to take back"}
        disabled={!undo}
        onClick={() => void go(true)}
      >
        <Undo2 />
      </ToolButton>
      <ToolButton
        label="Redo"
        hint={redo ? `Do again: ${redo} (Ctrl Y)` : "Nothing to do again"}
        disabled={!redo}
        onClick={() => void go(false)}
      >
        <Redo2 />
      </ToolButton>
      <HistoryPopover projectId={projectId} revision={revision} />
    </>
  );
}

function HistoryPopover({ projectId, revision }: { projectId: string; revision: number }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={(change) => setOpen(change.open)} lazyMount unmountOnExit>
      <Popover.Trigger asChild>
        <ToolButton label="History of edits">
          <History />
        </ToolButton>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content bg="panel" width="26rem">
            <Popover.Body maxH="60vh" overflow="auto">
              <HistoryList projectId={projectId} revision={revision} />
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}

function HistoryList({ projectId, revision }: { projectId: string; revision: number }) {
  const history = useHistory(projectId, revision);
  if (history.data?.length === 0) return <Box color="softInk">Nothing has been edited yet.</Box>;
  return (
    <>
      {(history.data ?? []).map((edit) => (
        <Flex key={edit.revision} gap="3" py="1" borderBottomWidth="1px" borderColor="line">
          <Box color="softInk" whiteSpace="nowrap">
            {formatMoment(edit.at)}
          </Box>
          <Box flex="1">
            {edit.label}
            {!edit.own && (
              <Box as="span" color="softInk">
                {" "}
                by somebody else
              </Box>
            )}
          </Box>
        </Flex>
      ))}
    </>
  );
}
