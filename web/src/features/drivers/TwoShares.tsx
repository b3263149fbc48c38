import { Box, chakra, Flex } from "@chakra-ui/react";
import type { SharedRow } from "../../shared/api/client";
import { Mark, type MarkKind } from "../../shared/charts/marks";
import { colourOf } from "./spindles";
import { inHundred, sharedWords, twoShares } from "./pathWords";

const Button = chakra("button");
const WIDTH = 300;
const EDGE = 16;
const HEIGHT = 26;

interface Props {
  rows: readonly SharedRow[];
  currency: string;
  onGo: (row: SharedRow) => void;
}

/** What is told of each input on one axis from none to all: full among the late futures, hollow among the others. */
export function TwoShares({ rows, currency, onGo }: Props) {
  const x = (share: number) => EDGE + share * (WIDTH - 2 * EDGE);
  return (
    <Box>
      <Flex color="softInk" fontSize="12px">
        <Box flex="1" />
        <svg width={WIDTH} height="18" fill="currentColor" aria-hidden="true">
          {[0, 0.25, 0.5, 0.75, 1].map((share) => (
            <text key={share} x={x(share)} y="13" textAnchor="middle">
              {share * 100} %
            </text>
          ))}
        </svg>
        <Box width="64px" textAlign="right">
          in 100
        </Box>
      </Flex>
      {rows.map((row) => {
        const { what, how } = sharedWords(row, currency);
        const { late, others } = twoShares(row);
        return (
          <Flex key={row.input.key} align="center" borderTopWidth="1px" borderColor="line" title={how}>
            <Box color="softInk" width="58px" flexShrink="0">
              {row.input.id}
            </Box>
            <Button
              flex="1"
              minW="0"
              truncate
              textAlign="left"
              minH="24px"
              cursor="pointer"
              _hover={{ color: "action" }}
              onClick={() => onGo(row)}
              data-shared={row.input.key}
            >
              {what}
            </Button>
            <svg width={WIDTH} height={HEIGHT} role="img" aria-label={how} style={{ flexShrink: 0 }}>
              <Shares row={row} x={x} y={HEIGHT / 2} />
            </svg>
            <Box width="64px" flexShrink="0" textAlign="right">
              {brief(late)}
              <Box as="span" color="softInk">
                {" "}
                · {brief(others)}
              </Box>
            </Box>
          </Flex>
        );
      })}
    </Box>
  );
}

/** "under 1" as "<1", where there is little room. */
const brief = (share: number) => inHundred(share).replace("under ", "<");

interface SharesProps {
  row: SharedRow;
  x: (share: number) => number;
  y: number;
}

/** The two shares of one input along an axis. */
export function Shares({ row, x, y }: SharesProps) {
  const { late, others } = twoShares(row);
  const kind = row.input.mark as MarkKind;
  return (
    <g>
      <line x1={x(0)} x2={x(1)} y1={y} y2={y} stroke="var(--chakra-colors-line)" />
      <line x1={x(others)} x2={x(late)} y1={y} y2={y} stroke={colourOf(row.input.mark)} strokeWidth="2" />
      <Mark kind={kind} x={x(others)} y={y} hollow />
      <Mark kind={kind} x={x(late)} y={y} />
    </g>
  );
}
