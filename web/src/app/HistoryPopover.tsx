import { Box, Flex, Popover, Portal } from "@chakra-ui/react";
import { History } from "lucide-react";
import { useState } from "react";
import { useHistory } from "../shared/api/edits";
import { formatMoment } from "../shared/format/dates";
import { ToolButton } from "../shared/ui/ToolButton";

/** The edits of a project, newest first; opens as it is shown. */
export function HistoryPopover({ projectId, revision }: { projectId: string; revision: number }) {
  const [open, setOpen] = useState(true);
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
