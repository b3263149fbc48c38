import { Box, Button, chakra } from "@chakra-ui/react";
import type { EffectsView, RiskView, SchemeView } from "../../shared/api/client";
import { formatWhole } from "../../shared/format/numbers";
import { compared, quantified } from "./matrixPlaces";

const Link = chakra("button");
/** A longer list is not read. */
const MOST = 40;

interface Props {
  risks: readonly RiskView[];
  scheme: SchemeView;
  effects?: EffectsView;
  onOpen: (risk: string) => void;
  onQuantify: () => void;
}

/** Scores and simulated effects side by side, and which do not go together. */
export function Comparison({ risks, scheme, effects, onOpen, onQuantify }: Props) {
  const days = new Map(effects?.rows.map((row) => [row.risk, row.moved.days]));
  const rows = compared(risks, scheme, days);
  const bare = quantified(risks, scheme).length;
  if (rows.length === 0) return null;
  const doubts = rows.filter(({ doubt }) => doubt).length;
  return (
    <Box as="section" aria-label="Score and effect" mt="4" pt="3" borderTopWidth="1px" borderColor="line">
      <Box as="h3" fontWeight="650">
        Score and effect
      </Box>
      <Box color="softInk" mb="2">
        {doubts === 0
          ? "Every score goes together with what is simulated."
          : `${formatWhole(doubts)} of ${formatWhole(rows.length)} scores do not go together with what is simulated.`}
      </Box>
      {bare > 0 && (
        <Button size="xs" variant="outline" mb="2" onClick={onQuantify}>
          Quantify {bare === 1 ? "one" : formatWhole(bare)} from the score
        </Button>
      )}
      <Box as="table" width="100%" fontSize="12.5px">
        <thead>
          <Box as="tr" color="softInk" textAlign="left">
            <Box as="th" fontWeight="400">
              Risk
            </Box>
            <Box
              as="th"
              fontWeight="400"
              pl="3"
              textAlign="right"
              title="Level of chance times level of effect"
            >
              Score
            </Box>
            <Box as="th" fontWeight="400" pl="3" textAlign="right" title="The same by its own numbers">
              Numbers
            </Box>
            <Box
              as="th"
              fontWeight="400"
              pl="3"
              textAlign="right"
              title="Rank by score, and by the days it moves"
            >
              Rank
            </Box>
          </Box>
        </thead>
        <tbody>
          {rows.slice(0, MOST).map(({ risk, score, byNumbers, rankByScore, rankByDays, doubt }) => (
            <Box as="tr" key={risk.id} verticalAlign="top" borderTopWidth="1px" borderColor="line">
              <Box as="td" py="1" pr="2">
                <Link color="action" fontWeight="600" title={risk.title} onClick={() => onOpen(risk.id)}>
                  {risk.id}
                </Link>
                {doubt && (
                  <Box color="planText" fontSize="12px">
                    {doubt}
                  </Box>
                )}
              </Box>
              <Box as="td" py="1" textAlign="right">
                {score}
              </Box>
              <Box as="td" py="1" textAlign="right">
                {byNumbers ?? "–"}
              </Box>
              <Box as="td" py="1" textAlign="right" whiteSpace="nowrap">
                {rankByScore} / {rankByDays ?? "–"}
              </Box>
            </Box>
          ))}
        </tbody>
      </Box>
      {rows.length > MOST && <Box color="softInk">and {formatWhole(rows.length - MOST)} more</Box>}
    </Box>
  );
}
