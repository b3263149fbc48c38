import { History, Redo2, Undo2 } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { refusalOf, useUndo, useUndoing } from "../shared/api/edits";
import { lazily } from "../shared/ui/lazily";
import { notify } from "../shared/ui/notify";
import { ToolButton } from "../shared/ui/ToolButton";

const HistoryPopover = lazily(() => import("./HistoryPopover"), "HistoryPopover");

/** Takes edits back and does them again, whatever the stage; and the history of all of them. */
export function UndoButtons({ projectId, revision }: { projectId: string; revision: number }) {
  const { undo: takeBack, redo: doAgain } = useUndo(projectId);
  const [asked, setAsked] = useState(false);
  const undoing = useUndoing(projectId);
  const { undo, redo } = undoing.data ?? {};
  const go = useCallback(
    (back: boolean) =>
      (back ? takeBack() : doAgain()).then(
        (result) => {
          const label = back ? result.undoing.redo : result.undoing.undo;
          if (label) notify(back ? `Taken back: ${label}` : `Done again: ${label}`);
        },
        (error: unknown) => notify(refusalOf(error)),
      ),
    [takeBack, doAgain],
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
      {asked ? (
        <HistoryPopover projectId={projectId} revision={revision} />
      ) : (
        <ToolButton label="History of edits" onClick={() => setAsked(true)}>
          <History />
        </ToolButton>
      )}
    </>
  );
}
