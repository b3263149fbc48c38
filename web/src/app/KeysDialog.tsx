import { Box, CloseButton, Dialog, Grid, Portal } from "@chakra-ui/react";
import { Fragment } from "react";

const KEYS = [
  ["Arrows, Page Up and Down", "move; with Shift, select a block"],
  ["Ctrl Home, Ctrl End", "to the first and last row"],
  ["Typing", "replaces what is in the cell"],
  ["Enter or F2", "opens the cell; on a branch, opens or closes it"],
  ["Enter, Tab", "hands the entry in and goes down, or on"],
  ["Esc", "takes the old value back"],
  ["Delete", "clears the cells; in Ranges, takes back to the inherited grade"],
  ["+ and − in the Grade column", "step the selected rows along the grades"],
  ["Ctrl Enter", "hands the entry in for all selected rows"],
  ["Insert, Shift Insert", "adds an activity, a branch; in Risks, a risk"],
  ["Alt A in Risks", "gives rows of the plan to a risk, by their codes"],
  ["Ctrl Delete", "removes the selected rows"],
  ["Alt ↑ ↓ ← →", "moves rows up and down, out and in"],
  ["Ctrl and click", "selects rows one by one"],
  ["Ctrl Z, Ctrl Y", "takes the last edit back, does it again"],
  ["Alt Enter", "opens and closes the sheet of the row"],
  ["Alt O", "shows the odds of the row"],
  ["Alt and a letter", "does what a note at the foot offers"],
  ["/", "finds rows"],
  ["Ctrl K", "finds anything by name: what can be done here, rows, risks, projects, words"],
  ["F1", "explains the column one is in"],
  ["Ctrl C, Ctrl V", "copies and pastes blocks, to and from any spreadsheet"],
  ["Ctrl D", "fills the selected block down from its first row"],
  ["← and → on a branch's name", "closes and opens it"],
  ["← and → on the reading line", "moves it by one percent; with Shift by ten"],
  ["?", "shows this"],
] as const;

export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(change) => !change.open && onClose()} size="md">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="panel" color="ink">
            <Dialog.Header>
              <Dialog.Title>Keys</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Grid templateColumns="auto 1fr" columnGap="6" rowGap="1.5">
                {KEYS.map(([keys, what]) => (
                  <Fragment key={keys}>
                    <Box fontWeight="600">{keys}</Box>
                    <Box color="softInk">{what}</Box>
                  </Fragment>
                ))}
              </Grid>
            </Dialog.Body>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
