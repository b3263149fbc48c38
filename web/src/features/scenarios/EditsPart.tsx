import { Box, chakra, Flex } from "@chakra-ui/react";
import type { EditRow, MisfitRow, ScenarioRow } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { editSaid } from "./scenarioWords";

const Button = chakra("button");
const MOST = 40;

interface Props {
  row: ScenarioRow;
  onForget: (section: string, key: string) => void;
  onEnter: () => void;
}

/** What was edited in a scenario, and what of it no longer fits the plan; each can be given up. */
export function EditsPart({ row, onForget, onEnter }: Props) {
  const misfits = new Map(row.misfits.map((one) => [keyOf(one), one]));
  const rest = row.misfits.filter((one) => !row.edits.some((edit) => keyOf(edit) === keyOf(one)));
  return (
    <Box as="section" aria-label="Edits to the plan">
      <Flex justify="space-between" mb="1">
        <Box fontWeight="650">Edits to the plan</Box>
        {row.editCount === 0 && (
          <Button minH="24px" color="action" cursor="pointer" disabled={row.putAway} onClick={onEnter}>
            none · work in it
          </Button>
        )}
      </Flex>
      {rest.map((one) => (
        <Misfit key={keyOf(one)} misfit={one} named />
      ))}
      {row.edits.slice(0, MOST).map((edit) => {
        const misfit = misfits.get(keyOf(edit));
        return (
          <Box key={keyOf(edit)} borderTopWidth="1px" borderColor="line" py="1" data-edit={edit.key}>
            <Flex gap="2">
              <Box flex="1" minW="0">
                {editSaid(edit)}
                {edit.name && <Box color="softInk">{edit.name}</Box>}
              </Box>
              <Button
                minH="24px"
                color="action"
                cursor="pointer"
                aria-label={`Give up: ${editSaid(edit)}`}
                title="As the plan has it"
                onClick={() => onForget(edit.section, edit.key)}
              >
                Give up
              </Button>
            </Flex>
            {misfit && <Misfit misfit={misfit} />}
          </Box>
        );
      })}
      {row.editCount > MOST && <Box color="softInk">and {formatWhole(row.editCount - MOST)} more</Box>}
    </Box>
  );
}

const keyOf = ({ section, key }: Pick<EditRow, "section" | "key">) => `${section} ${key}`;

function Misfit({ misfit, named }: { misfit: MisfitRow; named?: boolean }) {
  return (
    <Box color="risk" fontSize="12.5px" py="0.5" role="note">
      {named ? `${misfit.key}: ` : misfit.idle ? "It has no effect: " : "Look: "}
      {misfit.why}.
    </Box>
  );
}
