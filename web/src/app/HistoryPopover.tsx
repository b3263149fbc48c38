import { Box, chakra, Flex, Popover, Portal } from "@chakra-ui/react";
import { History } from "lucide-react";
import { useState } from "react";
import type { HistoryEdit } from "../shared/api/client";
import { type HistoryFilter, refusalOf, useBackTo, useHistory } from "../shared/api/edits";
import { useRole } from "../shared/api/people";
import { formatMoment } from "../shared/format/dates";
import { useGridStore, viewOf } from "../shared/grid/gridStore";
import { LabelledSelect } from "../shared/ui/LabelledSelect";
import { notify } from "../shared/ui/notify";
import { ToolButton } from "../shared/ui/ToolButton";

const Plain = chakra("button");

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
          <Popover.Content bg="panel" width="32rem">
            <Popover.Body maxH="60vh" overflow="auto">
              <HistoryList projectId={projectId} revision={revision} />
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}

const whoOf = (edit: HistoryEdit) => (edit.own ? "you" : (edit.name ?? "somebody else"));

function HistoryList({ projectId, revision }: { projectId: string; revision: number }) {
  const [filter, setFilter] = useState<HistoryFilter>({});
  const row = useGridStore((state) => viewOf(state, projectId).active?.row);
  const everybody = useHistory(projectId, revision).data ?? [];
  const history = useHistory(projectId, revision, filter);
  const edits = history.data ?? [];
  const people = [...new Map(everybody.map((edit) => [edit.person, whoOf(edit)]))];
  const filtered = filter.person !== undefined || filter.key !== undefined;
  return (
    <>
      <Flex gap="3" mb="2" wrap="wrap">
        {(people.length > 1 || filter.person) && (
          <LabelledSelect
            label="Edits by"
            value={filter.person ?? ""}
            choices={[
              { value: "", label: "by everybody" },
              ...people.map(([value, name]) => ({ value, label: `by ${name}` })),
            ]}
            onPick={(person) => setFilter({ ...filter, person: person || undefined })}
          />
        )}
        {row && (
          <LabelledSelect
            label="Edits of"
            value={filter.key ? "row" : ""}
            choices={[
              { value: "", label: "of everything" },
              { value: "row", label: `of ${filter.key ?? row}` },
            ]}
            onPick={(which) => setFilter({ ...filter, key: which ? row : undefined })}
          />
        )}
      </Flex>
      {history.isSuccess && edits.length === 0 && (
        <Box color="softInk">{filtered ? "No edit is like that." : "Nothing has been edited yet."}</Box>
      )}
      {edits.map((edit) => (
        <EditLine key={edit.revision} project={projectId} edit={edit} now={edit.revision === revision} />
      ))}
    </>
  );
}

function EditLine({ project, edit, now }: { project: string; edit: HistoryEdit; now: boolean }) {
  const backTo = useBackTo(project);
  const role = useRole(project);
  const edits = role === "editor" || role === "owner";
  return (
    <Flex
      gap="3"
      py="1"
      borderBottomWidth="1px"
      borderColor="line"
      data-edit={edit.revision}
      className="group"
    >
      <Box color="softInk" whiteSpace="nowrap">
        {formatMoment(edit.at)}
      </Box>
      <Box flex="1">
        {edit.label}
        {!edit.own && (
          <Box as="span" color="softInk">
            {" "}
            by {whoOf(edit)}
          </Box>
        )}
      </Box>
      {edits && !now && (
        <Plain
          color="action"
          whiteSpace="nowrap"
          onClick={() =>
            void backTo(edit.revision).then(
              () => notify("The plan is as it was after that edit. Ctrl Z takes it back."),
              (error: unknown) => notify(refusalOf(error)),
            )
          }
        >
          Back to this
        </Plain>
      )}
    </Flex>
  );
}
