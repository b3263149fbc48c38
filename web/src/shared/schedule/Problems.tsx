import { Box } from "@chakra-ui/react";
import { formatWhole } from "../format/numbers";

const MOST = 50;

/** What keeps a file from being taken over, each with where it stands. */
export function Problems({
  title,
  problems,
}: {
  title: string;
  problems: readonly { where: string; message: string }[];
}) {
  return (
    <Box role="alert" px="4" py="3" bg="riskTint" borderWidth="1px" borderColor="risk">
      <Box fontWeight="600">{title}</Box>
      <Box as="ul" mt="1" maxH="11rem" overflow="auto">
        {problems.slice(0, MOST).map((problem) => (
          <Box as="li" key={problem.where + problem.message}>
            {problem.where && <b>{problem.where}: </b>}
            {problem.message}
          </Box>
        ))}
        {problems.length > MOST && <li>and {formatWhole(problems.length - MOST)} more</li>}
      </Box>
    </Box>
  );
}
