import { Box, chakra } from "@chakra-ui/react";
import type { CorrelationEffect, PlanView } from "../../shared/api/client";

const Table = chakra("table");
const MOST_PAIRS = 60;
const two = (value: number) => value.toFixed(2).replace("-", "−");

interface Props {
  plan: PlanView;
  achieved: CorrelationEffect["achieved"];
}

/** The coefficients asked for, those used, and those that came out. */
export function AskedAndAchieved({ plan, achieved }: Props) {
  const pairs = achieved.flatMap((report) => {
    const members = plan.correlations.find((one) => one.id === report.id)?.members ?? [];
    return members.flatMap((one, row) =>
      members.slice(0, row).map((other, column) => ({
        key: `${report.id} ${one} ${other}`,
        pair: `${other} with ${one}`,
        asked: report.asked[row]?.[column] ?? 0,
        used: report.used[row]?.[column] ?? 0,
        came: report.achieved[row]?.[column] ?? 0,
      })),
    );
  });
  if (pairs.length === 0) return null;
  return (
    <Box mt="5">
      <Box fontWeight="650" mb="1">
        Asked and achieved
      </Box>
      <Box maxH="190px" overflow="auto">
        <Table css={{ "& td, & th": { padding: "1px 18px 1px 0", textAlign: "right" } }}>
          <thead>
            <tr>
              {["Pair", "Asked", "Used", "Achieved"].map((title) => (
                <Box as="th" key={title} color="softInk" fontWeight="500">
                  {title}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {pairs.slice(0, MOST_PAIRS).map(({ key, pair, asked, used, came }) => (
              <tr key={key}>
                <td>{pair}</td>
                <td>{two(asked)}</td>
                <td>{two(used)}</td>
                <td>{two(came)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Box>
      {pairs.length > MOST_PAIRS && <Box color="softInk">and {pairs.length - MOST_PAIRS} more pairs</Box>}
    </Box>
  );
}
