import { Popover, Portal } from "@chakra-ui/react";
import { type ReactElement, useMemo, useState } from "react";
import { formatWhole } from "../format/numbers";
import { type Pick, Picker } from "./Picker";

const MOST_SHOWN = 60;

interface Props<P extends Pick> {
  /** What opens it. */
  children: ReactElement;
  title: string;
  label: string;
  placeholder: string;
  /** What fits a text, best first; of many the first are shown. */
  find: (text: string) => readonly P[];
  onChoose: (item: P) => void;
}

/** Something to choose among many, looked for by what is typed. */
export function PickerPopover<P extends Pick>(props: Props<P>) {
  const { find, onChoose } = props;
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const fitting = useMemo(() => (open ? find(text) : []), [find, text, open]);
  const shown = useMemo(() => fitting.slice(0, MOST_SHOWN), [fitting]);
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
      <Popover.Trigger asChild>{props.children}</Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content bg="panel" width="24rem" aria-label={props.title}>
            <Popover.Body p="2">
              <Picker
                label={props.label}
                placeholder={props.placeholder}
                items={shown}
                height="320px"
                foot={foot}
                onText={setText}
                onChoose={(item) => {
                  onChoose(item);
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
