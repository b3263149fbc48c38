import { Box, chakra } from "@chakra-ui/react";
import type { PathsView as Paths } from "../../shared/api/client";
import { formatChance, formatWhole } from "../../shared/format/numbers";
import type { Goal } from "./goal";
import { pathName, type Way } from "./ways";

const Button = chakra("button");
const MOST_ROWS = 12;

interface TableProps {
  view: Paths;
  ways: readonly Way[];
  goal: Goal;
  chosen: number;
  onChoose: (path: number) => void;
}

/** The paths one by one. */
export function PathTable({ view, ways, goal, chosen, onChoose }: TableProps) {
  const number = { as: "td", textAlign: "right", py: "1", pl: "5", whiteSpace: "nowrap" } as const;
  const rest = view.paths.slice(MOST_ROWS).reduce((sum, { share }) => sum + share, 0) + view.others;
  const more = view.paths.length - MOST_ROWS;
  return (
    <Box px="5" pb="3" flexShrink="0" maxH="42%" overflow="auto">
      <Box as="table" width="100%" aria-label="Driving paths">
        <thead>
          <Box as="tr" color="softInk">
            <Box as="th" fontWeight="400" textAlign="left">
              Path
            </Box>
            <Box as="th" fontWeight="400" textAlign="right" pl="5">
              Futures
            </Box>
            <Box
              as="th"
              fontWeight="400"
              textAlign="right"
              pl="5"
              title="Working days from the project's start to its end"
            >
              Length, days
            </Box>
            <Box
              as="th"
              fontWeight="400"
              textAlign="right"
              pl="5"
              whiteSpace="nowrap"
              title={`Of the futures that end after ${goal.value(view.beyond)}`}
            >
              Of late futures
            </Box>
          </Box>
        </thead>
        <tbody>
          {view.paths.slice(0, MOST_ROWS).map((path) => (
            <Box
              as="tr"
              key={path.number}
              borderTopWidth="1px"
              borderColor="line"
              bg={path.number === chosen ? "actionTint" : undefined}
              data-path-row={path.number}
            >
              <Box as="td" py="1" maxW="0" width="100%">
                <Button
                  width="100%"
                  textAlign="left"
                  truncate
                  minH="24px"
                  cursor="pointer"
                  aria-pressed={path.number === chosen}
                  title={path.steps.map(({ id, name }) => `${id} ${name}`).join(" → ")}
                  onClick={() => onChoose(path.number)}
                >
                  {pathName(path, ways)}
                  <Box as="span" color="softInk">
                    {" "}
                    · {path.steps.map(({ id }) => id).join(" → ")}
                  </Box>
                </Button>
              </Box>
              <Box {...number}>{formatChance(path.share)}</Box>
              <Box {...number}>
                {formatWhole(path.meanDays)} ± {formatWhole(path.sdDays)}
              </Box>
              <Box {...number}>{path.lateShare === undefined ? "" : formatChance(path.lateShare)}</Box>
            </Box>
          ))}
        </tbody>
      </Box>
      {more > 0 && (
        <Box color="softInk" pt="1">
          {formatWhole(more)} more, {formatChance(rest)} together
        </Box>
      )}
    </Box>
  );
}
