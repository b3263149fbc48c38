import { Box } from "@chakra-ui/react";
import { useInputChanges } from "../../shared/api/runs";
import { formatWhole } from "../../shared/format/numbers";
import { inWords } from "../../shared/odds/inputChange";

const MOST = 40;

type Until = Parameters<typeof useInputChanges>[1];

/** What has changed in the inputs since a run, until another or until now, object by object. */
export function InputChanges({ run, until }: { run: string; until: Until }) {
  const changes = useInputChanges(run, until);
  if (changes.isError) return <Box role="alert">{changes.error.message}</Box>;
  if (!changes.data) return <Box color="softInk">Comparing…</Box>;
  if (changes.data.length === 0) return <Box color="softInk">Nothing in the inputs.</Box>;
  return (
    <Box as="ul" pl="5" my="1" listStyleType="disc" maxH="220px" overflow="auto">
      {changes.data.slice(0, MOST).map((change) => (
        <li key={`${change.section} ${change.key}`}>{inWords(change)}</li>
      ))}
      {changes.data.length > MOST && <li>and {formatWhole(changes.data.length - MOST)} more</li>}
    </Box>
  );
}
